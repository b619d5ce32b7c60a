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
    public function __construct(public string $motor, private int $from, private int $to) {}

    /**
     * @param list<array{0: float, 1: float}> $weights of the sets of sources without it; the set after them is one ampere through it
     *
     * @return array{0: list<array{0: float, 1: float}>, 1: array{0: float, 1: float}} weights with it, and its admittance in S
     */
    public function settled(LinearPhasors $linear, array $weights, AlternatingMotion $motion): array
    {
        $conductance = $motion->conductance($this->motor);
        if (!isset($linear->shape->isLive[$this->motor])) {
            return [[...$weights, [0.0, 0.0]], [$conductance, 0.0]];
        }
        [$re, $im] = $linear->superposed($this->from, $this->to, $weights);
        [$ofOneRe, $ofOneIm] = $linear->between($this->from, $this->to, \count($weights));
        // Seen from its terminals: one ampere lowers their voltage by the impedance of the circuit.
        [$dropRe, $dropIm] = [1.0 - $conductance * $ofOneRe, -$conductance * $ofOneIm];
        $size = $dropRe * $dropRe + $dropIm * $dropIm;
        $weights[] = [
            ($conductance * ($re * $dropRe + $im * $dropIm)) / $size,
            ($conductance * ($im * $dropRe - $re * $dropIm)) / $size,
        ];

        return [$weights, [$conductance, 0.0]];
    }
}
