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

    /** @var array<string, int> set of sources of each winding, see {@see LinearPhasors} */
    private array $sets;

    /** @param array<string, int> $nodeNumbers */
    public function __construct(Netlist $netlist, private string $motor, array $nodeNumbers)
    {
        $sections = $sets = [];
        foreach ($netlist->elements as $id => $element) {
            if ($element->type->isOnIron()) {
                $sets[$id] = $element->type === ElementType::AuxiliaryWinding ? 2 : 1;
                if ($sets[$id] === 1) {
                    $sections[$id] = [$nodeNumbers[$element->from], $nodeNumbers[$element->to]];
                }
            }
        }
        $this->sections = $sections;
        $this->sets = $sets;
    }

    /**
     * Potentials, voltages in series with the elements, and flux in V a turn.
     *
     * @return array{0: list<array{0: float, 1: float}>, 1: array<string, array{0: float, 1: float}>, 2: array{0: float, 1: float}}
     */
    public function settled(LinearPhasors $linear, AlternatingMotion $motion): array
    {
        [$alone, $ofMain, $ofAuxiliary] = $linear->bySet;
        $turning = $motion->turning($this->motor);
        [$driven, $taken] = [[0.0, 0.0], $motion->rotor($this->motor)];
        foreach ($this->sections as $id => [$a, $b]) {
            if (!isset($linear->admittances[$id])) {
                continue;
            }
            [$g, $s] = $linear->admittances[$id];
            $turns = $motion->turns($id)[0];
            [$re, $im] = [$alone[$a][0] - $alone[$b][0], $alone[$a][1] - $alone[$b][1]];
            $driven[0] += $turns * ($g * $re - $s * $im);
            $driven[1] += $turns * ($g * $im + $s * $re);
            $re = $turns - ($ofMain[$a][0] - $ofMain[$b][0]) - $turning * ($ofAuxiliary[$a][0] - $ofAuxiliary[$b][0]);
            $im = -($ofMain[$a][1] - $ofMain[$b][1]) - $turning * ($ofAuxiliary[$a][1] - $ofAuxiliary[$b][1]);
            $taken[0] += $turns * ($g * $re - $s * $im);
            $taken[1] += $turns * ($g * $im + $s * $re);
        }
        $size = $taken[0] * $taken[0] + $taken[1] * $taken[1];
        $flux = [($driven[0] * $taken[0] + $driven[1] * $taken[1]) / $size, ($driven[1] * $taken[0] - $driven[0] * $taken[1]) / $size];

        return [self::combined($linear->bySet, $flux, $turning), $this->emfs($linear, $motion, $flux, $turning), $flux];
    }

    /**
     * @param list<list<array{0: float, 1: float}>> $bySet
     * @param array{0: float, 1: float}             $flux
     *
     * @return list<array{0: float, 1: float}>
     */
    private static function combined(array $bySet, array $flux, float $turning): array
    {
        [$alone, $ofMain, $ofAuxiliary] = $bySet;
        $potentials = [];
        foreach ($alone as $node => [$re, $im]) {
            $perRe = $ofMain[$node][0] + $turning * $ofAuxiliary[$node][0];
            $perIm = $ofMain[$node][1] + $turning * $ofAuxiliary[$node][1];
            $potentials[] = [$re + $perRe * $flux[0] - $perIm * $flux[1], $im + $perRe * $flux[1] + $perIm * $flux[0]];
        }

        return $potentials;
    }

    /**
     * @param array{0: float, 1: float} $flux
     *
     * @return array<string, array{0: float, 1: float}>
     */
    private function emfs(LinearPhasors $linear, AlternatingMotion $motion, array $flux, float $turning): array
    {
        $emfs = $linear->emfs;
        foreach ($this->sets as $id => $set) {
            [$turns, $ahead] = $motion->turns($id);
            $share = $set === 2 ? $turning : 1.0;
            $emfs[$id] = [$share * ($turns * $flux[0] - $ahead * $flux[1]), $share * ($turns * $flux[1] + $ahead * $flux[0])];
        }

        return $emfs;
    }
}
