<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\KeptCells;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Inference\Screening;
use Ispira\Core\Diagnosis\Inference\SomethingElse;
use PHPUnit\Framework\TestCase;

/**
 * What is followed further, what is kept of it, and what a fault that no list holds foretells.
 */
final class FollowedTest extends TestCase
{
    public function testWhatFallsFarBehindIsDroppedButNeverTheSoundCircuitOrTheUnlisted(): void
    {
        $log = [
            'best' => -3.0,
            'near' => -3.0 + log(1e-5),
            'far' => -3.0 + log(1e-7),
            HypothesisList::NOTHING_WRONG => -500.0,
            HypothesisList::SOMETHING_ELSE => -600.0,
        ];
        self::assertSame(
            ['best', 'near', HypothesisList::NOTHING_WRONG, HypothesisList::SOMETHING_ELSE],
            array_keys(Screening::followed($log)),
        );
        self::assertSame([], Screening::followed([]));
    }

    public function testTheMoreNumbersWereWeighedRoughlyTheMoreIsFollowed(): void
    {
        $log = ['best' => 0.0];
        for ($n = 1; $n <= 40; ++$n) {
            $log["behind by $n"] = -1.0 * $n;
        }
        $before = 0;
        foreach ([0, 1, 5, 20, 60] as $numbers) {
            $followed = \count(Screening::followed($log, $numbers));
            self::assertGreaterThanOrEqual($before, $followed);
            self::assertLessThan(0.0, Screening::worthAllDraws($log, $numbers));
            $before = $followed;
        }
        // By hand: ln 1e-6 is -13.8, and twenty numbers add four.
        self::assertCount(1 + 13, Screening::followed($log));
        self::assertCount(1 + 17, Screening::followed($log, 20));
        self::assertEqualsWithDelta(log(1e-3) - 4.0, Screening::worthAllDraws($log, 20), 1e-12);
    }

    public function testACellIsComputedOnceAndStoredOnlyWhenThereIsMore(): void
    {
        $store = new class implements PredictionStore {
            public int $loads = 0;
            public int $saves = 0;

            /** @var array<string, array<string, string>> */
            public array $all = [];

            public function load(string $hash): array
            {
                ++$this->loads;

                return $this->all[$hash] ?? [];
            }

            public function save(string $hash, array $cells): void
            {
                ++$this->saves;
                $this->all[$hash] = $cells;
            }
        };
        $computed = 0;
        $compute = static function () use (&$computed): string {
            return (string) ++$computed;
        };
        $cells = new KeptCells($store, 'a circuit');
        self::assertSame(0, $store->loads, 'nothing is loaded before it is asked for');
        self::assertSame(
            ['1', '1', '2'],
            [$cells->of('one', $compute), $cells->of('one', $compute), $cells->of('two', $compute)],
        );
        $cells->keep();
        $cells->keep();
        self::assertSame([1, 1], [$store->loads, $store->saves]);
        $again = new KeptCells($store, 'a circuit');
        self::assertSame('2', $again->of('two', $compute));
        $again->keep();
        self::assertSame(1, $store->saves, 'nothing new, nothing stored');
        self::assertSame('3', (new KeptCells($store, 'another circuit'))->of('one', $compute));
    }

    public function testWhatTheProcessRemembersIsByCircuit(): void
    {
        $store = new MemoryStore();
        $store->save('one', ['cell' => 'a']);
        $store->save('other', ['cell' => 'b']);
        self::assertSame(
            [['cell' => 'a'], ['cell' => 'b'], []],
            [$store->load('one'), $store->load('other'), $store->load('third')],
        );
    }

    public function testTheUnlistedLeansToTheSoundAnswerAndLeavesRoomForAll(): void
    {
        $chances = SomethingElse::chances(['right' => 0.98, 'slow' => 0.01, 'dead' => 0.01]);
        self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-12);
        self::assertEqualsWithDelta(0.4 * 0.98 + 0.6 / 3.0, $chances['right'], 1e-12);
        self::assertGreaterThan(0.15, $chances['dead']);
        self::assertGreaterThan($chances['slow'], $chances['right']);
    }

    public function testTheUnlistedIsBeatenByWhatForetellsTheNumberAndNeverImpossible(): void
    {
        $sound = [ReadingScale::to(Quantity::Volts, 12.6), 0.02];
        $at = static fn(float $volts): float => SomethingElse::density(
            Quantity::Volts,
            ReadingScale::to(Quantity::Volts, $volts),
            $sound,
            1.0,
        );
        $foretold = 1.0 / (0.02 * sqrt(2.0 * \M_PI));
        self::assertLessThan($foretold, $at(12.6));
        self::assertGreaterThan($at(9.0), $at(12.6), 'much that it does looks sound');
        foreach ([0.0, 1.0, 6.0, 9.0, 18.0] as $volts) {
            self::assertGreaterThan(0.0, $at($volts));
        }
        self::assertGreaterThan(
            0.0,
            SomethingElse::density(Quantity::Ohms, ReadingScale::to(Quantity::Ohms, 5.0), null, 1.0),
            'where a sound circuit is open',
        );
        // Twice the supply, half the density: it may be anything that a meter shows there.
        $broad = static fn(float $scale): float => SomethingElse::density(
            Quantity::Volts,
            ReadingScale::to(Quantity::Volts, 3.0),
            null,
            $scale,
        );
        self::assertEqualsWithDelta(2.0, $broad(1.0) / $broad(2.0), 1e-9);
    }
}
