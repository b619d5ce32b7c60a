<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\TestCard;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Reading\Limits;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class BandsTest extends TestCase
{
    /** Numeric tests of each family that are looked at: spread over all of them. */
    private const MOST = 12;

    #[DataProviderExternal(Families::class, 'all')]
    public function testNoOutcomeLiesWhereNoReadingCan(string $family): void
    {
        $family = FamilyRegistry::shipped()->get($family);
        $circuit = $family->circuit($family->parameters()->read([]));
        $readings = [];
        foreach (PracticeChoice::of($circuit, HiddenKind::Single, 5)->states as $position => $state) {
            $readings[] = new Reading("m$position", $circuit->speedTest((string) $position)->key, $state);
        }
        $case = new CaseFile($readings);
        $diagnosis = (new Engine())->diagnose($circuit, $case, new DecisionSettings());
        $cards = new TestCard($circuit, $case, $diagnosis);
        $limits = new Limits($circuit);
        $numeric = array_values(
            array_filter($circuit->tests, static fn(Test $one): bool => $one->probe->quantity->isNumber()),
        );
        $every = (int) ceil(\count($numeric) / self::MOST);
        foreach ($numeric as $n => $test) {
            if ($n % $every !== 0) {
                continue;
            }
            [$least, $most] = $limits->shown($test->probe->quantity);
            $before = -\INF;
            $card = $cards->of($test);
            foreach ($card->marks as $mark) {
                self::assertGreaterThanOrEqual($least, $mark->from ?? $least, "$test->key: $mark->label");
            }
            foreach ($card->outcomes as $band) {
                if ($band->from !== null) {
                    self::assertGreaterThanOrEqual($least, $band->from, "$test->key: $band->label");
                    self::assertLessThanOrEqual($most, $band->to, "$test->key: $band->label");
                    self::assertGreaterThanOrEqual($before, $band->from, "$test->key: $band->label");
                    $before = $band->to;
                }
            }
        }
    }

    public function testAnAlternatingQuantityHasNoSignAndADirectOneHas(): void
    {
        $limits = static fn(string $family): Limits => new Limits((new Bench([], false, $family))->circuit);
        self::assertSame(0.0, $limits('control-output')->shown(Quantity::Volts)[0]);
        self::assertSame(0.0, $limits('tapped-blower')->shown(Quantity::Amps)[0]);
        self::assertLessThan(0.0, $limits('air-door')->shown(Quantity::Volts)[0]);
        // What is typed may still have one: nothing honest is refused.
        self::assertLessThan(0.0, $limits('control-output')->of(Quantity::Volts)[0]);
    }

    public function testManyOhmsAreToldInKilohmsAndReadOnThatRange(): void
    {
        $bench = new Bench([], false, 'air-door');
        $cards = new TestCard($bench->circuit, new CaseFile([]), $bench->diagnose(new CaseFile([])));
        $card = $cards->of($bench->circuit->tests['track-ohms']);
        self::assertSame('Meter on ohms, from the kilohm range downwards', $card->meter);
        $labels = array_column($card->outcomes, 'label');
        self::assertNotSame([], preg_grep('/^[\d.]+ to [\d.]+ kΩ$/u', $labels), implode('; ', $labels));
        $card = $cards->of($bench->circuit->tests['motor-ohms']);
        self::assertSame('Meter on ohms, low range, leads zeroed', $card->meter);
    }
}
