<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\StatedOdds;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is stated leaves room for what no list holds, and what is done next hangs on what the readings weigh.
 */
final class StatedOddsTest extends TestCase
{
    public function testNothingIsStatedAsCertain(): void
    {
        self::assertEqualsWithDelta(0.98, StatedOdds::of('pack', 1.0), 1e-12);
        self::assertEqualsWithDelta(0.49, StatedOdds::of('none', 0.5), 1e-12);
        self::assertEqualsWithDelta(0.02, StatedOdds::of(HypothesisList::SOMETHING_ELSE, 0.0), 1e-12);
        self::assertEqualsWithDelta(1.0, StatedOdds::of(HypothesisList::SOMETHING_ELSE, 1.0), 1e-12);
        // Sums of many shares end a hair above one.
        self::assertLessThanOrEqual(1.0, StatedOdds::of('pack', 1.0 + 1e-9));
    }

    public function testTheOrderOfPartsStaysAndAllAddUpToOne(): void
    {
        $stated = StatedOdds::ofAll(['pack' => 0.7, 'motor' => 0.2, 'something-else' => 0.1]);
        self::assertSame(['pack', 'motor', 'something-else'], array_keys($stated));
        self::assertEqualsWithDelta(1.0, array_sum($stated), 1e-12);
        self::assertGreaterThan($stated['motor'], $stated['pack']);
    }

    /** @return iterable<string, array{0: string, 1: string, 2: array<string, float|string>}> */
    public static function clearJobs(): iterable
    {
        yield 'stepped blower, a pack open at one resistor' => [
            'stepped-blower',
            'dead right right right',
            ['pack-ohms-1' => 4.9, 'pack-ohms-2' => 2.0],
        ];
        yield 'wiper, nothing heard yet' => ['wiper', '', []];
    }

    /** @param array<string, float|string|null> $readings */
    #[DataProvider('clearJobs')]
    public function testEverySuspectFaultVerdictAndFileSaysTheSame(string $family, string $heard, array $readings): void
    {
        $bench = new Bench([], false, $family);
        $positions = array_keys($bench->circuit->positions);
        $states = $heard === '' ? [] : explode(' ', $heard);
        $case = Bench::case(
            array_combine(\array_slice($positions, -\count($states), \count($states)), $states),
            $readings,
        );
        $diagnosis = $bench->diagnose($case);
        $weighed = HypothesisList::byRemedy(
            $diagnosis->evidence->hypotheses,
            $diagnosis->evidence->belief->byHypothesis(),
        );
        foreach ($diagnosis->suspects as $suspect) {
            self::assertEqualsWithDelta(
                StatedOdds::of($suspect->remedy, $weighed[$suspect->remedy]),
                $suspect->probability,
                1e-9,
                $suspect->remedy,
            );
            self::assertEqualsWithDelta($suspect->probability, array_sum($suspect->faults), 1e-9, $suspect->remedy);
        }
        self::assertEqualsWithDelta(1.0, array_sum(array_column($diagnosis->suspects, 'probability')), 1e-9);
        self::assertLessThanOrEqual(1.0 - StatedOdds::UNFORESEEN, self::mostOfAPart($diagnosis));
        self::assertSame($diagnosis->evidence->byRemedy(), StatedOdds::ofAll($weighed));
        $shown = (new DiagnosisFormat($bench->circuit, $case, $diagnosis))->shown();
        self::assertSame($diagnosis->suspects[0]->probability, $shown->suspects[0]->probability);
        foreach ($shown->card->outcomes ?? [] as $outcome) {
            foreach ($outcome->remedies as $meaning) {
                self::assertLessThanOrEqual(
                    $meaning->remedy === HypothesisList::SOMETHING_ELSE ? 1.0 : 1.0 - StatedOdds::UNFORESEEN,
                    $meaning->probability,
                );
            }
        }
    }

    private static function mostOfAPart(Diagnosis $diagnosis): float
    {
        $most = 0.0;
        foreach ($diagnosis->suspects as $suspect) {
            $most = $suspect->remedy === HypothesisList::SOMETHING_ELSE ? $most : max($most, $suspect->probability);
        }

        return $most;
    }
}
