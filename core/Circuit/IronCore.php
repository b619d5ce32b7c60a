<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The flux that the windings of one induction motor share.
 *
 * The circuit is linear in its sources and in that flux, so with each solved alone the flux follows
 * from the balance of ampere-turns: what the sections of the main winding drive into the iron is what
 * magnetising and rotor branch take. A new slip changes only this balance.
 */
final readonly class IronCore
{
    /** @var array<string, array{0: int, 1: int}> nodes of the sections of the main winding */
    private array $sections;

    /** @param array<string, int> $nodeNumbers */
    public function __construct(Netlist $netlist, public string $motor, array $nodeNumbers)
    {
        $sections = [];
        foreach ($netlist->elements as $id => $element) {
            if ($element->type->isOnIron() && $element->type !== ElementType::AuxiliaryWinding) {
                $sections[$id] = [$nodeNumbers[$element->from], $nodeNumbers[$element->to]];
            }
        }
        $this->sections = $sections;
    }

    /**
     * What the sections of the main winding drive into the iron: without flux, and less for one volt a turn of it.
     *
     * @return array{driven: array{0: float, 1: float}, standing: array{0: float, 1: float}, turning: array{0: float, 1: float}} in A: alone, taken off by the main winding's flux, and by the auxiliary winding's at synchronous speed
     */
    public function balance(LinearPhasors $linear, AlternatingMotion $motion): array
    {
        $driven = $standing = $turning = [0.0, 0.0];
        foreach ($this->sections as $id => [$a, $b]) {
            $admittance = isset($linear->shape->isLive[$id]) ? $linear->admittance($id) : null;
            if ($admittance === null) {
                continue;
            }
            [$g, $s] = $admittance;
            $turns = $motion->turns[$id][0];
            [$re, $im] = $linear->between($a, $b, 0);
            $driven = [$driven[0] + $turns * ($g * $re - $s * $im), $driven[1] + $turns * ($g * $im + $s * $re)];
            [$re, $im] = $linear->between($a, $b, 1);
            [$re, $im] = [$turns - $re, -$im];
            $standing = [$standing[0] + $turns * ($g * $re - $s * $im), $standing[1] + $turns * ($g * $im + $s * $re)];
            [$re, $im] = $linear->between($a, $b, 2);
            $turning = [$turning[0] - $turns * ($g * $re - $s * $im), $turning[1] - $turns * ($g * $im + $s * $re)];
        }

        return ['driven' => $driven, 'standing' => $standing, 'turning' => $turning];
    }

    /**
     * Weights of the sets of sources, and flux in V a turn.
     *
     * @param array{driven: array{0: float, 1: float}, standing: array{0: float, 1: float}, turning: array{0: float, 1: float}} $balance
     *
     * @return array{0: list<array{0: float, 1: float}>, 1: array{0: float, 1: float}}
     */
    public function settled(array $balance, AlternatingMotion $motion): array
    {
        $turning = $motion->turning($this->motor);
        [$re, $im] = $motion->rotor($this->motor);
        $re += $balance['standing'][0] + $turning * $balance['turning'][0];
        $im += $balance['standing'][1] + $turning * $balance['turning'][1];
        [$drivenRe, $drivenIm] = $balance['driven'];
        $size = $re * $re + $im * $im;
        $flux = [($drivenRe * $re + $drivenIm * $im) / $size, ($drivenIm * $re - $drivenRe * $im) / $size];

        return [[[1.0, 0.0], $flux, [$turning * $flux[0], $turning * $flux[1]]], $flux];
    }
}
