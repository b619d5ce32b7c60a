<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\LiveNetwork;
use Ispira\Core\Circuit\PotentialForest;
use Ispira\Core\Circuit\PreparedNetwork;
use PHPUnit\Framework\TestCase;

/**
 * The reductions under the solver, each on its own.
 */
final class LiveNetworkTest extends TestCase
{
    /**
     * @param array<int, array{0: int, 1: int}> $branches
     * @param list<int>                         $kept
     */
    private function network(int $nodes, array $branches, array $kept = []): LiveNetwork
    {
        return new LiveNetwork($nodes, $branches, array_fill_keys($kept, true), new PotentialForest($nodes));
    }

    /** @param list<float> $conductances by branch */
    private static function prepared(LiveNetwork $network, array $conductances): PreparedNetwork
    {
        return new PreparedNetwork(
            $network,
            array_map(static fn(float $g): float => 1.0 / $g, $conductances),
            array_keys($conductances),
        );
    }

    public function testDeadEndsHangOnWhatTheyLeadTo(): void
    {
        // 0 - 1 - 2 is a loop over branch 2; 3 and 4 hang on node 1.
        $network = $this->network(5, [[1, 0], [1, 2], [2, 0], [1, 3], [3, 4]], [0]);
        self::assertSame(1, $network->representative[3]);
        self::assertSame(1, $network->representative[4]);
        self::assertSame([0, 1, 2], array_keys($network->liveBranches));
    }

    public function testWhatABreakLeavesAliveIsWhatANetworkWithoutTheBranchHasAlive(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 200; ++$round) {
            $branches = [];
            for ($branch = 0; $branch < 14; ++$branch) {
                $from = mt_rand(0, 8);
                $branches[] = [$from, ($from + mt_rand(1, 8)) % 9];
            }
            $whole = $this->network(9, $branches, [0, 7]);
            $opened = \array_slice(array_keys($whole->liveBranches), mt_rand(0, 4), mt_rand(1, 3));
            $broken = new LiveNetwork(
                9,
                array_diff_key($branches, array_flip($opened)),
                [0 => true, 7 => true],
                new PotentialForest(9),
            );
            self::assertSame($broken->liveBranches, $whole->liveWithout($opened));
        }
    }

    public function testABranchOfASourceIsNoDeadEnd(): void
    {
        $network = $this->network(2, [[1, 0]], [0]);
        self::assertSame([0], array_keys($network->liveBranches));
        self::assertSame([], array_keys($this->network(2, [[1, 0]])->liveBranches));
    }

    public function testIslandsAreNumberedAndGroundIsTheFirst(): void
    {
        $network = $this->network(5, [[1, 0], [2, 3]]);
        self::assertSame([0, 0], [$network->island[0], $network->island[1]]);
        self::assertSame($network->island[2], $network->island[3]);
        self::assertNotSame($network->island[2], $network->island[4]);
        self::assertNotSame(0, $network->island[2]);
    }

    public function testEliminationSolvesABridge(): void
    {
        // A balanced bridge: nothing flows through its middle.
        $network = $this->network(4, [[1, 0], [1, 2], [1, 3], [2, 0], [3, 0], [2, 3]], [0]);
        $volts = self::prepared($network, [1e-3, 1.0, 0.5, 2.0, 1.0, 7.0])->potentials([0.0, 1.0, 0.0, 0.0]);
        self::assertEqualsWithDelta($volts[2], $volts[3], 1e-12);
        self::assertEqualsWithDelta($volts[1] / 3.0, $volts[2], 1e-12);
        $conductance = 1e-3 + 1.0 / (1.0 / 1.5 + 1.0 / 3.0);
        self::assertEqualsWithDelta(1.0 / $conductance, $volts[1], 1e-12);
    }

    public function testPotentialsAddUpForCurrentsThatAddUp(): void
    {
        $network = $this->network(4, [[1, 0], [1, 2], [2, 3], [3, 0], [1, 3]], [0]);
        $network = self::prepared($network, [0.3, 2.0, 0.7, 1.1, 0.2]);
        $one = $network->potentials([0.0, 2.0, 0.0, 0.0]);
        $two = $network->potentials([0.0, 0.0, 0.0, -1.0]);
        $both = $network->potentials([0.0, 2.0, 0.0, -1.0]);
        foreach ($both as $node => $volts) {
            self::assertEqualsWithDelta($one[$node] + $two[$node], $volts, 1e-12);
        }
    }

    public function testJoinedNodesKeepTheirDifference(): void
    {
        $forest = new PotentialForest(5);
        self::assertTrue($forest->isTrivial());
        self::assertTrue($forest->join(1, 0, 12.0));
        self::assertTrue($forest->join(3, 2, 5.0));
        self::assertTrue($forest->join(2, 1, 1.0));
        self::assertFalse($forest->join(3, 0, 18.0), 'they are in one set already');
        self::assertSame($forest->root(0), $forest->root(3));
        self::assertEqualsWithDelta(18.0, $forest->offset(3) - $forest->offset(0), 1e-12);
        self::assertEqualsWithDelta(12.0, $forest->offset(1) - $forest->offset(0), 1e-12);
        self::assertFalse($forest->isTrivial());
        self::assertNotSame($forest->root(4), $forest->root(0));
    }
}
