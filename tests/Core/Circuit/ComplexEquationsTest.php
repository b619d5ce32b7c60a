<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\ComplexEquations;
use Ispira\Core\Circuit\StarMesh;
use PHPUnit\Framework\TestCase;

/**
 * Potentials by star-mesh elimination put back into the node equations: at every node what flows in flows out.
 */
final class ComplexEquationsTest extends TestCase
{
    public function testEveryNodeIsInBalance(): void
    {
        mt_srand(17);
        for ($round = 0; $round < 100; ++$round) {
            $nodes = mt_rand(3, 9);
            $branches = $admittances = [];
            for ($number = 0; $number < $nodes + 4; ++$number) {
                // A chain first, so that all nodes hang together; ground is the end of the chain in half of the rounds
                // only.
                $a = $number < $nodes - 1 ? $number : mt_rand(0, $nodes - 1);
                $b = $number < $nodes - 1 ? $number + 1 : ($a + mt_rand(1, $nodes - 1)) % $nodes;
                if ($round % 2 === 0 || ($a !== 0 && $b !== 0)) {
                    $branches[] = [$a, $b];
                    $admittances[] = ComplexEquations::admittance(
                        0.01 + 10.0 * self::random(),
                        20.0 * self::random() - 10.0,
                    );
                }
            }
            $sources = [[0, 0, [10.0, 3.0]], [\count($branches) - 1, 1, [-2.0, 5.0]]];
            $fed = [];
            foreach ($sources as [$branch, $set]) {
                $fed[$branches[$branch][0]][] = $set;
                $fed[$branches[$branch][1]][] = $set;
            }
            $mesh = new StarMesh($nodes, $branches, $fed);
            self::assertSame($round % 2 === 0, $mesh->floating === [], 'what ground does not hold is held at one node');
            $equations = new ComplexEquations($mesh, 2);
            foreach ($admittances as $branch => $admittance) {
                $equations->branch($mesh->places[$branch], $admittance);
            }
            foreach ($sources as [$branch, $set, $volts]) {
                $equations->drive($branches[$branch][0], $branches[$branch][1], $admittances[$branch], $volts, $set);
            }
            [$re, $im] = $equations->solutions();
            foreach ($sources as [$driven, $set, $volts]) {
                $sum = array_fill(0, $nodes, [0.0, 0.0]);
                foreach ($branches as $branch => [$a, $b]) {
                    $across = [
                        $re[$set][$a] - $re[$set][$b] - ($branch === $driven ? $volts[0] : 0.0),
                        $im[$set][$a] - $im[$set][$b] - ($branch === $driven ? $volts[1] : 0.0),
                    ];
                    [$g, $s] = $admittances[$branch];
                    $current = [$g * $across[0] - $s * $across[1], $g * $across[1] + $s * $across[0]];
                    $sum[$a] = [$sum[$a][0] - $current[0], $sum[$a][1] - $current[1]];
                    $sum[$b] = [$sum[$b][0] + $current[0], $sum[$b][1] + $current[1]];
                }
                foreach (\array_slice($sum, 1) as $node => $current) {
                    self::assertEqualsWithDelta(
                        0.0,
                        hypot(...$current),
                        1e-6,
                        "round $round, set $set, node " . ($node + 1),
                    );
                }
            }
        }
    }

    private static function random(): float
    {
        return mt_rand() / mt_getrandmax();
    }
}
