<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * A reading of a test that the circuit does not have.
 */
final class UnknownTest extends \InvalidArgumentException
{
    public function __construct(public readonly string $test)
    {
        parent::__construct("The circuit has no test \"$test\".");
    }
}
