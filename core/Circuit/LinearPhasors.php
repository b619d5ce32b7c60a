<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * An alternating-current circuit solved for each of its sets of sources alone: any state of it is a
 * sum of these, each times a weight (superposition).
 *
 * Set 0 holds the circuit's own sources; with an induction motor, set 1 is one volt a turn of flux in
 * its main winding and set 2 in its auxiliary winding; with a motor that has electronics, the last set
 * is one ampere through it.
 */
final readonly class LinearPhasors
{
    /**
     * @param list<float>                              $values
     * @param array<string, bool>                      $sealed      by contactor
     * @param array<string, array{0: float, 1: float}> $admittances of what holds a voltage, in S
     * @param array<string, array{0: float, 1: float}> $emfs        of the sources, in V
     * @param array<string, array{0: float, 1: float}> $turns       of the windings, in phase with the flux and ahead of it
     * @param list<array<int, float>>                  $re          real part of the potentials in V, by set and node
     * @param list<array<int, float>>                  $im          imaginary part
     */
    public function __construct(
        public PhasorShape $shape,
        private array $values,
        private array $sealed,
        private array $admittances,
        public array $emfs,
        public array $turns,
        private array $re,
        private array $im,
    ) {}

    /** @return array{0: float, 1: float}|null in S; nothing where it is open */
    public function admittance(string $element): ?array
    {
        return $this->admittances[$element] ??
            ($this->shape->conducting[$element] ?? null)?->admittance($this->values, $this->sealed[$element] ?? false);
    }

    /** @return array{0: float, 1: float} voltage in V of one set alone */
    public function between(int $plus, int $minus, int $set): array
    {
        return [$this->re[$set][$plus] - $this->re[$set][$minus], $this->im[$set][$plus] - $this->im[$set][$minus]];
    }

    /**
     * @param list<array{0: float, 1: float}> $weights by set
     *
     * @return array{0: float, 1: float} voltage in V
     */
    public function superposed(int $plus, int $minus, array $weights): array
    {
        $re = $im = 0.0;
        foreach ($weights as $set => [$a, $b]) {
            $c = $this->re[$set][$plus] - $this->re[$set][$minus];
            $d = $this->im[$set][$plus] - $this->im[$set][$minus];
            $re += $a * $c - $b * $d;
            $im += $a * $d + $b * $c;
        }

        return [$re, $im];
    }
}
