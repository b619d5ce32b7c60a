<?php

declare(strict_types=1);

namespace Tests\Core\Measurement;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Trial\ForeignWorld;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\RefusedReading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * The one way in for readings: nothing that a real machine shows is refused, and nothing that none can show is taken.
 */
final class IntakeTest extends TestCase
{
    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testWhatAnyMachineShowsWithAnyFaultIsTaken(string $family, array $parameters): void
    {
        $found = FamilyRegistry::shipped()->get($family);
        $circuit = $found->circuit($found->parameters()->read($parameters));
        $intake = Judged::intake($circuit);
        $chance = new RandomSource(crc32($family . json_encode($parameters)));
        $hypotheses = array_values(HypothesisList::of($circuit, false));
        $taken = 0;
        for ($draw = 0; $draw < 3; ++$draw) {
            $machine = OneMachine::of($circuit, ForeignWorld::machine($circuit, $chance));
            foreach ($chance->shuffled(range(0, \count($hypotheses) - 1)) as $place => $number) {
                if ($place >= 15) {
                    break;
                }
                foreach ($circuit->tests as $test) {
                    $quantity = $test->probe->quantity;
                    $shown = $quantity->isNumber() ? $machine->shows($test, $hypotheses[$number]) : \NAN;
                    if (is_finite($shown)) {
                        $intake->within($test, $shown);
                        ++$taken;
                    }
                }
            }
        }
        self::assertGreaterThan(100, $taken);
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testEveryAnswerIsTakenAndNoOtherIs(string $family, array $parameters): void
    {
        $found = FamilyRegistry::shipped()->get($family);
        $circuit = $found->circuit($found->parameters()->read($parameters));
        $intake = Judged::intake($circuit);
        foreach ($circuit->tests as $test) {
            if ($test->probe->quantity->isNumber()) {
                self::assertNull($intake->value($test, 'OL'), $test->key);
                continue;
            }
            foreach (Judged::answers($circuit, $test) as $answer) {
                self::assertSame($answer, $intake->value($test, $answer));
            }
            try {
                $intake->value($test, 'perhaps');
                self::fail($test->key);
            } catch (RefusedReading $refused) {
                self::assertStringStartsWith('Choose one of: ', $refused->getMessage());
            }
        }
    }

    public function testLeadsComeOffOfResistancesOnly(): void
    {
        $found = FamilyRegistry::shipped()->get('stepped-blower');
        $circuit = $found->circuit($found->parameters()->read([]));
        $intake = Judged::intake($circuit);
        self::assertSame(Quantity::Ohms, $circuit->tests['pack-ohms-1']->probe->quantity);
        self::assertEqualsWithDelta(0.8, $intake->value($circuit->tests['pack-ohms-1'], '1.1', 0.3), 1e-9);
        self::assertSame(12.4, $intake->value($circuit->tests['fuse-out@4'], '12.4', 0.3));
        self::assertSame(0.0, $intake->value($circuit->tests['pack-ohms-1'], '0.25', 0.3), 'what zeroing leaves');
        $this->expectExceptionMessage('less than the leads alone');
        $intake->value($circuit->tests['pack-ohms-1'], '0.1', 0.3);
    }
}
