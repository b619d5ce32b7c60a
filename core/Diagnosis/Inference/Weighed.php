<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How well what was seen or heard fits a hypothesis.
 */
final readonly class Weighed
{
    /**
     * @param float                $log   natural logarithm of the likelihood
     * @param array<string, float> $fits  likelihood by reading id
     * @param array<string, float> $slips share of a slip by reading id
     * @param list<float>          $heard natural logarithms of the likelihood of what was heard, by machine of
     *     {@see Heard}; not in $log
     */
    public function __construct(
        public float $log,
        public array $fits = [],
        public array $slips = [],
        public array $heard = [],
    ) {}

    /**
     * What comes and goes: these while it shows, the others while it is away.
     *
     * @param float $shown  chance that it showed, all readings of the visit considered
     * @param float $shows  the same beforehand
     * @param float $log    of the likelihood that is kept
     */
    public function mixed(self $away, float $shown, float $shows, float $log): self
    {
        $fits = $slips = [];
        foreach ($this->fits as $id => $fit) {
            $fits[$id] = $shows * $fit + (1.0 - $shows) * $away->fits[$id];
            $slips[$id] = $shown * $this->slips[$id] + (1.0 - $shown) * $away->slips[$id];
        }

        return new self($log, $fits, $slips);
    }
}
