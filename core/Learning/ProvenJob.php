<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * What a closed job says about what fails: what cured the machine, proven by it running right again.
 */
final readonly class ProvenJob
{
    /**
     * @param string $remedy what was replaced, as one key; "none" where nothing was wrong
     * @param array<string, float> $faults how likely each fault of it was when it was replaced, adding up to 1; none
     *     where that is not known
     */
    public function __construct(public string $remedy, public array $faults = []) {}
}
