<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\Correlation;
use Ispira\Core\Practice\Courses;
use Ispira\Core\Practice\Danger;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\HiddenMachine;
use Ispira\Core\Practice\HookUp;
use Ispira\Core\Practice\Points;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Practice\Pupil;
use Ispira\Core\Practice\Pupils;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What courses through an exercise are worth, and what would have hurt somebody.
 */
final class ExaminerTest extends TestCase
{
    private static function circuit(string $family): CircuitModel
    {
        $one = FamilyRegistry::shipped()->get($family);

        return $one->circuit($one->parameters()->read([]));
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testPointsFollowTheCostOnTheSameUnitAndADangerousCourseNeverPasses(string $family): void
    {
        $pupils = new Pupils(self::circuit($family), HiddenKind::Single, 11, new DecisionSettings(), new MemoryStore());
        $done = $pupils->work();
        self::assertSame(100, $done[Pupil::Best->value]['points']);
        self::assertTrue($done[Pupil::Best->value]['passed']);
        self::assertFalse($done[Pupil::Dangerous->value]['passed']);
        $seen = array_diff_key($done, [Pupil::Dangerous->value => true]);
        // What was misread may lead to the truth by luck, on a course that the readings do not lead along; so may any
        // other course where they mislead the engine itself, and who is lucky has all points.
        $mislead = !$done[Pupil::Engine->value]['right'];
        foreach (array_diff_key($seen, [Pupil::Misreads->value => true]) as $name => $one) {
            $cheaper = $done[Pupil::Best->value]['money'] > $one['money'] + 1e-9;
            self::assertTrue(!$cheaper || ($mislead && $one['points'] === 100), $name);
        }
        $points = array_map(static fn(array $one): float => (float) $one['points'], $seen);
        $saved = array_map(static fn(array $one): float => -$one['money'], $seen);
        self::assertGreaterThan(0.9, Correlation::spearman($points, $saved));
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryKindIsMadeAndTheSameSeedMakesTheSameUnit(string $family): void
    {
        $circuit = self::circuit($family);
        foreach (HiddenKind::cases() as $kind) {
            if (!$kind->isPossible($circuit)) {
                continue;
            }
            $made = PracticeChoice::of($circuit, $kind, 5);
            self::assertEquals($made, PracticeChoice::of($circuit, $kind, 5), $kind->value);
            self::assertNotSame('', $made->says);
            self::assertSame($kind === HiddenKind::Outside, $made->practice->leak !== null);
            $machine = HiddenMachine::of($circuit, $made->practice, $kind === HiddenKind::Intermittent);
            self::assertNotNull($machine);
            self::assertNotSame([], $machine->right);
            $cured = HiddenMachine::of($circuit, $made->practice, $kind === HiddenKind::Intermittent, $machine->right);
            self::assertNotNull($cured);
            if ($kind !== HiddenKind::None) {
                $odd = array_filter($cured->map(), static fn(Reading $one): bool => $cured->isOdd($one));
                self::assertSame([], $odd, "$kind->value: its own part cures it");
            }
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testAsTheWordsHaveItNothingIsDangerousAndHandsUnderPowerAre(string $family): void
    {
        $circuit = self::circuit($family);
        foreach ($circuit->tests as $test) {
            self::assertNull(Danger::of($circuit, $test, HookUp::asWords($circuit, $test)), $test->key);
            $isolated = $circuit->setUps[$test->setUp]->isolated;
            $careless = Danger::of($circuit, $test, new HookUp());
            if (
                $isolated &&
                $test->contact === Contact::Hands &&
                !$circuit->setUps[$test->setUp]->still &&
                array_intersect(array_column($circuit->safety->hazards, 'value'), [
                    Hazard::Moving->value,
                    Hazard::Mains->value,
                ]) !== []
            ) {
                self::assertNotNull($careless, "$test->key with power on");
            }
            if ($isolated && Danger::storesCharge($circuit) && $test->probe->quantity === Quantity::Capacitance) {
                self::assertSame(
                    'charge',
                    Danger::of($circuit, $test, new HookUp(isolated: true))?->reason,
                    'a charge that was not let out',
                );
            }
        }
        foreach (Danger::shortcuts($circuit) as $key) {
            self::assertNotSame('', Danger::inWords($circuit, Danger::shortcut($circuit, $key)->reason ?? ''));
        }
        self::assertNull(Danger::shortcut($circuit, 'whistle'));
    }

    public function testLeadsReadWhatTheyTouch(): void
    {
        $circuit = self::circuit('stepped-blower');
        $made = PracticeChoice::of($circuit, HiddenKind::None, 3);
        $machine = HiddenMachine::of($circuit, $made->practice);
        self::assertNotNull($machine);
        $test = $circuit->tests['battery-volts@4'];
        $right = $machine->read('r', (new HookUp())->really($test))->value;
        $turned = $machine->read('r', (new HookUp('0', 'battery'))->really($test))->value;
        self::assertIsFloat($right);
        self::assertIsFloat($turned);
        self::assertEqualsWithDelta($right, -$turned, 0.2);
        self::assertSame(
            'Red and black were the wrong way round.',
            (new HookUp('0', 'battery'))->slip($circuit, $test),
        );
        self::assertNull((new HookUp('battery', '0'))->slip($circuit, $test), 'as the words have it');
        $same = $machine->read('r', (new HookUp('battery', 'battery'))->really($test))->value;
        self::assertIsFloat($same);
        self::assertEqualsWithDelta(0.0, $same, 0.1);
    }

    public function testBeingRightByLuckIsChargedAndUnwrittenCostsPoints(): void
    {
        $circuit = self::circuit('stepped-blower');
        $made = PracticeChoice::of($circuit, HiddenKind::Single, 9);
        $machine = HiddenMachine::of($circuit, $made->practice);
        self::assertNotNull($machine);
        $courses = new Courses($circuit, $machine, new DecisionSettings(), new MemoryStore());
        $remedy = $machine->right[0];
        $lucky = $courses->priced([], $remedy, 0.3);
        $proved = $courses->priced([], $remedy, 0.99);
        $wrong = $courses->priced([], 'motor', 0.3);
        $nothing = $courses->priced([], '', 0.0);
        self::assertLessThan($lucky->money, $proved->money);
        self::assertTrue($lucky->right);
        self::assertFalse($wrong->right);
        self::assertFalse($nothing->right);
        $settings = new DecisionSettings();
        self::assertSame(100, Points::of($proved, $proved, $settings)->points);
        self::assertSame(96, Points::of($proved, $proved, $settings, unwritten: 2)->points);
        self::assertSame(90, Points::of($proved, $proved, $settings, unwritten: 40)->points);
        self::assertSame(0, Points::of($proved, $proved, $settings, danger: true)->points);
        self::assertFalse(Points::of($wrong, $proved, $settings)->passed);
        $engine = $courses->engine(new CaseFile([]));
        self::assertGreaterThanOrEqual($courses->best(new CaseFile([]), $engine)->money, $engine->money);
    }

    public function testRanksThatAgreeOrTurnOrTie(): void
    {
        self::assertEqualsWithDelta(1.0, Correlation::spearman([1.0, 2.0, 3.0], [10.0, 20.0, 21.0]), 1e-12);
        self::assertEqualsWithDelta(-1.0, Correlation::spearman([1.0, 2.0, 3.0], [3.0, 2.0, 1.0]), 1e-12);
        // By hand: ranks 1, 2.5, 2.5, 4 and 1, 2, 3, 4: 4.5 / sqrt(4.5 · 5).
        self::assertEqualsWithDelta(
            0.948683298,
            Correlation::spearman([1.0, 5.0, 5.0, 9.0], [1.0, 2.0, 3.0, 4.0]),
            1e-9,
        );
        self::assertSame(1.0, Correlation::spearman([2.0, 2.0], [1.0, 9.0]));
    }
}
