<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What a motor with electronics draws: a conductance in an otherwise linear circuit.
 *
 * With one ampere through its terminals solved alone (the circuit seen from them, by Thevenin), any conductance
 * there follows without solving the circuit again: I = G·V0/(1 + G·Z).
 */
final readonly class PowerDraw
{
    public function __construct(public string $motor, private int $from, private int $to)
    {
    }

    /**
     * @param list<array{0: float, 1: float}> $without potentials without it, in V
     * @param list<array{0: float, 1: float}> $ofOne   what one ampere through it adds to them
     *
     * @return array{0: list<array{0: float, 1: float}>, 1: array{0: float, 1: float}} potentials with it, and its admittance in S
     */
    public function settled(array $without, array $ofOne, AlternatingMotion $motion): array
    {
        $conductance = $motion->conductance($this->motor);
        [$re, $im] = [$without[$this->from][0] - $without[$this->to][0], $without[$this->from][1] - $without[$this->to][1]];
        // Seen from its terminals: one ampere lowers their voltage by the impedance of the circuit.
        [$dropRe, $dropIm] = [1.0 - $conductance * ($ofOne[$this->from][0] - $ofOne[$this->to][0]), -$conductance * ($ofOne[$this->from][1] - $ofOne[$this->to][1])];
        $size = $dropRe * $dropRe + $dropIm * $dropIm;
        $currentRe = $conductance * ($re * $dropRe + $im * $dropIm) / $size;
        $currentIm = $conductance * ($im * $dropRe - $re * $dropIm) / $size;
        $potentials = [];
        foreach ($without as $node => [$ownRe, $ownIm]) {
            [$addRe, $addIm] = $ofOne[$node];
            $potentials[] = [$ownRe + $addRe * $currentRe - $addIm * $currentIm, $ownIm + $addRe * $currentIm + $addIm * $currentRe];
        }

        return [$potentials, [$conductance, 0.0]];
    }
}
