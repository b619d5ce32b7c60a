<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Learning\Counted;
use Ispira\Core\Learning\LearnedOdds;
use Ispira\Core\Learning\ProvenJob;
use Ispira\Core\Learning\SimulatedWorkshop;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class LearnedOddsTest extends TestCase
{
    #[DataProviderExternal(Families::class, 'all')]
    public function testWithoutJobsNothingChanges(string $family): void
    {
        $circuit = self::circuit($family);
        $learned = LearnedOdds::of($circuit, new Counted());
        self::assertTrue($learned->odds->isShipped());
        self::assertEquals(HypothesisList::of($circuit, false), HypothesisList::of($circuit, false, 0, $learned->odds));
        foreach ($learned->rows() as $row) {
            self::assertEqualsWithDelta($row->shipped, $row->own, 1e-12);
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatCuredMachinesIsSuspectedMoreAndChancesStayWhole(string $family): void
    {
        $circuit = self::circuit($family);
        $rows = LearnedOdds::of($circuit, new Counted())->rows();
        $rare = $rows[(int) (\count($rows) / 2)]->remedy;
        $learned = LearnedOdds::of($circuit, Counted::of(array_fill(0, 40, new ProvenJob($rare))));
        $list = HypothesisList::of($circuit, false, 0, $learned->odds);
        self::assertEqualsWithDelta(
            1.0,
            array_sum(array_map(static fn(Hypothesis $h): float => $h->prior, $list)),
            1e-9,
        );
        $chances = HypothesisList::byRemedy($list, array_map(static fn(Hypothesis $h): float => $h->prior, $list));
        $own = array_column($learned->rows(), null, 'remedy')[$rare];
        self::assertGreaterThan(5.0 * $own->shipped, $own->own);
        self::assertSame(40.0, $own->jobs);
        self::assertGreaterThan($own->low, $own->own);
        self::assertLessThan($own->high, $own->own);
        // Of what is in no list no job can speak: it keeps its share.
        self::assertEqualsWithDelta(
            HypothesisList::SOMETHING_ELSE_PRIOR,
            $chances[HypothesisList::SOMETHING_ELSE],
            1e-9,
        );
    }

    public function testJobsOfTheModelWeighMoreThanThoseOfOthers(): void
    {
        $circuit = self::circuit('stepped-blower');
        $motor = Counted::of(array_fill(0, 20, new ProvenJob('motor')));
        $chance = static fn(LearnedOdds $odds): float => array_column($odds->rows(), 'own', 'remedy')['motor'];
        $packs = new Counted(['pack' => 20.0]);
        self::assertGreaterThan(
            $chance(LearnedOdds::of($circuit, new Counted(['pack' => 20.0, 'motor' => 20.0]))),
            $chance(LearnedOdds::of($circuit, $packs, $motor)),
        );
        self::assertGreaterThan($chance(LearnedOdds::of($circuit, $packs)), $chance(LearnedOdds::of($circuit, $motor)));
    }

    public function testWhichFaultOfAPartItWasCountsWithinThatPart(): void
    {
        $circuit = self::circuit('stepped-blower');
        $jobs = Counted::of(array_fill(0, 60, new ProvenJob('pack', ['resistor-2-open' => 1.0])));
        $odds = LearnedOdds::of($circuit, $jobs)->odds;
        self::assertGreaterThan($odds->factor('pack', 'common-open'), $odds->factor('pack', 'resistor-2-open'));
        self::assertSame(1.0, Odds::shipped()->factor('pack', 'common-open'));
    }

    public function testJobsAboutPartsThatThisVariantHasNotAreLeftOut(): void
    {
        $learned = LearnedOdds::of(
            self::circuit('wiper'),
            Counted::of([new ProvenJob('pack'), new ProvenJob('motor+pack')]),
        );
        self::assertSame(0.0, $learned->jobs());
        self::assertTrue($learned->odds->isShipped());
    }

    public function testADiagnosisStartsFromWhatWasLearned(): void
    {
        $circuit = self::circuit('stepped-blower');
        $map = [];
        foreach (
            ['key-off' => 'right', 'off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right']
            as $at => $state
        ) {
            isset($circuit->tests["speed@$at"]) && ($map[] = new Reading("r$at", "speed@$at", $state));
        }
        $chance = static function (Odds $odds) use ($circuit, $map): float {
            $found = (new Engine())->diagnose($circuit, new CaseFile($map, odds: $odds), new DecisionSettings());

            return array_column($found->suspects, 'probability', 'remedy')['pack-plug'] ?? 0.0;
        };
        $learned = LearnedOdds::of($circuit, new Counted(['pack-plug' => 60.0]))->odds;
        self::assertGreaterThan(2.0 * $chance(Odds::shipped()), $chance($learned));
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testAWorkshopLearnsItsWorldAndTheShippedOneDoesNoHarm(string $family): void
    {
        $circuit = self::circuit($family);
        foreach ([[1.0, 0.0, 0.0], [0.0, 0.0, 0.01], [0.0, 0.1, 0.02]] as $number => [$apart, $false, $most]) {
            $workshop = new SimulatedWorkshop($circuit, new RandomSource(100 + $number), $apart, $false);
            $jobs = [];
            while (\count($jobs) < 100) {
                $jobs[] = $workshop->closed($workshop->next());
            }
            $shipped = $workshop->logLoss(LearnedOdds::of($circuit, new Counted())->chances());
            $learned = $workshop->logLoss(LearnedOdds::of($circuit, Counted::of($jobs))->chances());
            self::assertLessThanOrEqual($shipped * (1.0 + $most), $learned, "apart $apart, false $false");
        }
    }

    private static function circuit(string $family): CircuitModel
    {
        $one = FamilyRegistry::shipped()->get($family);

        return $one->circuit($one->parameters()->read([]));
    }
}
