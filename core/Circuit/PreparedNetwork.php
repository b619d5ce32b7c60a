<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A network with its conductances, factorised: what stays while only sources and duties change.
 */
final class PreparedNetwork
{
    /** @var array<int, array<int, float>>|null fall of each port's current for a volt of each port's EMF, in S, once it is known */
    public ?array $coupling = null;

    /** @param array<int, float> $conductances by live branch */
    public function __construct(
        public readonly LiveNetwork $network,
        public readonly array $conductances,
        public readonly ?PotentialForest $joined,
    ) {
    }
}
