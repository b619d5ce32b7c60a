<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Practice;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Practice\PracticeShown;
use Ispira\Core\Practice\PracticeUnit;
use Ispira\Core\Reading\Intake;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Ledger;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class PracticeUnitTest extends TestCase
{
    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryFamilyMakesUnitsThatSomebodyComplainsOf(string $family): void
    {
        $circuit = self::circuit($family);
        $wanders = array_filter($circuit->faults, static fn(Fault $one): bool => $one->comesAndGoes) !== [];
        $hidden = [];
        foreach (range(1, 12) as $seed) {
            $intermittent = $wanders && $seed % 4 === 0;
            $made = PracticeChoice::of($circuit, $intermittent ? HiddenKind::Intermittent : HiddenKind::Single, $seed);
            $hypothesis = HypothesisList::of($circuit, $intermittent)[$made->practice->fault];
            self::assertSame($intermittent, $hypothesis->comesAndGoes);
            self::assertCount(1, $hypothesis->faults);
            self::assertSame(array_keys($circuit->positions), array_keys($made->states));
            self::assertNotSame([], array_diff($made->states, ['right']) + $made->answers, 'nobody would bring it');
            self::assertEquals(
                $made,
                PracticeChoice::of($circuit, $intermittent ? HiddenKind::Intermittent : HiddenKind::Single, $seed),
            );
            $hidden[$made->practice->fault] = true;
        }
        self::assertGreaterThan(2, \count($hidden), 'it is always the same');
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatItAnswersIsTakenByTheDockAndItIsCuredByItsPart(string $family): void
    {
        $circuit = self::circuit($family);
        $made = PracticeChoice::of($circuit, HiddenKind::Single, 5);
        $job = self::job($family, $circuit, $made->practice);
        $units = new DisplayUnits('us');
        $intake = new Intake($circuit, static fn(Test $test): array => Judged::answers($circuit, $test), $units);
        $tests = array_keys($circuit->tests);
        $shown = PracticeShown::of($job, $units, 0.3, $tests);
        self::assertNotNull($shown);
        self::assertEquals($shown, PracticeShown::of($job, $units, 0.3, $tests), 'asked again without a reading');
        foreach ($shown->answers->values as $key => $answer) {
            $test = $circuit->tests[$key];
            if ($answer->overRange) {
                self::assertSame('', $answer->value . $answer->choice);
            } else {
                // A refused one would throw: what is made up lies within what a meter can show.
                $intake->value($test, $answer->value . $answer->choice, 0.0);
            }
        }
        $cured = PracticeUnit::of(
            $job->with(
                replacements: [
                    new Replaced(
                        'r',
                        HypothesisList::of($circuit, false)[$made->practice->fault]->remedy(),
                        null,
                        null,
                        null,
                        null,
                        null,
                    ),
                ],
            ),
        );
        self::assertNotNull($cured);
        $again = 0;
        foreach ($cured->map() as $state) {
            $again += $state === 'right' ? 0 : 1;
        }
        self::assertLessThanOrEqual(1, $again, 'a sound machine is heard as right, but for one slip of the ear');
        self::assertSame($shown->hidden, $cured->told(), 'what was hidden is still told');
    }

    public function testTheSameTestAgainIsTheSameMachineWithAnotherErrorOfTheMeter(): void
    {
        $circuit = self::circuit('stepped-blower');
        $job = self::job('stepped-blower', $circuit, PracticeChoice::of($circuit, HiddenKind::Single, 3)->practice);
        $test = $circuit->tests['motor-volts@4'];
        $once = PracticeUnit::of($job)?->answer($test, new DisplayUnits());
        $reading = new FiledReading(new Reading('a', $test->key, (float) $once?->value), null, null, null, null);
        $twice = PracticeUnit::of($job->with(readings: [$reading]))?->answer($test, new DisplayUnits());
        self::assertNotSame($once?->value, $twice?->value);
        self::assertEqualsWithDelta((float) $once?->value, (float) $twice?->value, 0.5);
    }

    public function testARealMachineAndAnotherCircuitHaveNothingHidden(): void
    {
        $circuit = self::circuit('stepped-blower');
        self::assertNull(PracticeUnit::of(self::job('stepped-blower', $circuit, null)));
        self::assertNull(PracticeUnit::of(self::job('stepped-blower', $circuit, new Practice('door-jammed#0', 1))));
    }

    private static function circuit(string $family): CircuitModel
    {
        $family = FamilyRegistry::shipped()->get($family);

        return $family->circuit($family->parameters()->read([]));
    }

    private static function job(string $family, CircuitModel $circuit, ?Practice $practice): JobState
    {
        $head = new JobHead(
            id: '01',
            number: 'J-0001',
            unit: 'Practice',
            place: null,
            model: null,
            complaint: '',
            since: null,
            intermittent: false,
            replacedBefore: null,
            stage: JobStage::Bench,
            kind: JobKind::Fault,
            outcome: null,
            dueOn: null,
            flow: JobKind::Fault->flow(),
            openedAt: '',
            closedAt: null,
            temporaryUntil: null,
            practice: $practice !== null,
        );

        return new JobState(
            $head,
            $family,
            [],
            null,
            $circuit,
            new RepairSheet(),
            [],
            [],
            [],
            Ledger::of([]),
            $practice,
        );
    }
}
