<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A reading that no suspect explains.
 */
final readonly class MisfitShown
{
    /**
     * @param string $hint which slips show like that
     */
    public function __construct(public string $reading, public string $sentence, public string $hint) {}
}
