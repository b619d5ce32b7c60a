<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Trial\Hands;
use Ispira\Core\Reading\MeterAccuracy;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What the words of a test make somebody do, against the circuit that is computed for it.
 */
final class HandsTest extends TestCase
{
    /** Shares of a speed, and of a lamp's brightness, that nobody tells apart. */
    private const HEARD_ALIKE = 0.03;
    private const SEEN_ALIKE = 0.05;

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testTheWordsLeadWhereTheCircuitIsComputed(string $family, array $parameters): void
    {
        $found = FamilyRegistry::shipped()->get($family);
        $circuit = $found->circuit($found->parameters()->read($parameters));
        $byHand = Hands::of($circuit)->circuit();
        $hypotheses = self::hypotheses($circuit, $parameters === []);
        $declared = OneMachine::asDeclared($circuit);
        $handled = OneMachine::asDeclared($byHand);
        foreach ($circuit->tests as $key => $test) {
            $hand = $byHand->tests[$key];
            self::assertSame(
                $circuit->setUps[$test->setUp]->position,
                $byHand->setUps[$hand->setUp]->position,
                "position of $key",
            );
            if ($this->isAlike($circuit, $test, $byHand, $hand)) {
                continue;
            }
            foreach ($hypotheses as $state) {
                self::assertTrue(
                    self::areAlike(
                        $test->probe->quantity,
                        $declared->judged($test, $state, $hypotheses[HypothesisList::NOTHING_WRONG]),
                        $handled->judged($hand, $state, $hypotheses[HypothesisList::NOTHING_WRONG]),
                    ),
                    "$key with $state->key",
                );
            }
        }
    }

    public function testALeadThatGoesElsewhereThanItsWordsIsSeen(): void
    {
        $circuit = self::radiatorFan();
        $declared = $circuit->tests['fan-volts@low'];
        $elsewhere = new Test(
            $declared->key,
            $declared->text,
            $declared->setUp,
            Probe::volts('resistor-in', '0'),
            $declared->minutes,
            words: $declared->words,
        );
        $byHand = Hands::of($circuit->with(['elsewhere'], tests: [$elsewhere]))->circuit();
        self::assertEquals($declared->probe, $byHand->tests[$declared->key]->probe);
        self::assertNotEquals($elsewhere->probe, $byHand->tests[$declared->key]->probe);
    }

    public function testWhatComesOffIsReadFromTheWordsAlone(): void
    {
        $circuit = self::radiatorFan();
        $setUps = array_map(
            static fn(SetUp $one): SetUp => $one->key === 'out-a'
                ? new SetUp($one->key, $one->position, [], $one->text, $one->kind, still: true)
                : $one,
            array_values($circuit->setUps),
        );
        $byHand = Hands::of($circuit->with(['nothing off'], setUps: $setUps))->circuit();
        $opened = array_map(
            static fn(Adjustment $one): string => $one->parameter,
            $byHand->setUps[$byHand->tests['fan-ohms-a']->setUp]->adjustments,
        );
        self::assertContains('plug-a.ohms', $opened);
        self::assertContains('plug-minus-a.ohms', $opened);
    }

    public function testWordsThatNobodyKnowsAreRefused(): void
    {
        $circuit = self::radiatorFan();
        $strange = new Test('strange', 'speed', 'high', Probe::volts('fed', '0'), 1.0, words: ['position' => 'high']);
        $this->expectException(\LogicException::class);
        $this->expectExceptionMessage('Nobody knows where the leads go');
        Hands::of($circuit->with(['strange'], tests: [$strange]))->circuit();
    }

    private static function radiatorFan(): CircuitModel
    {
        $family = FamilyRegistry::shipped()->get('radiator-fan');

        return $family->circuit($family->parameters()->read([]));
    }

    /** Whether both are the same to the letter, so that nothing need be solved. */
    private function isAlike(CircuitModel $circuit, Test $test, CircuitModel $byHand, Test $hand): bool
    {
        return $test->probe->key() === $hand->probe->key() &&
            $circuit->setUps[$test->setUp]->adjustments == $byHand->setUps[$hand->setUp]->adjustments;
    }

    /** @return array<string, Hypothesis> nothing wrong, and each lasting fault: in all its degrees, or in one */
    private static function hypotheses(CircuitModel $circuit, bool $all): array
    {
        $hypotheses = $faults = [];
        foreach (HypothesisList::of($circuit, false) as $key => $hypothesis) {
            $fault = $hypothesis->faultKey();
            if (
                $key !== HypothesisList::SOMETHING_ELSE &&
                !$hypothesis->comesAndGoes &&
                ($all || !isset($faults[$fault]))
            ) {
                $hypotheses[$key] = $hypothesis;
                $faults[$fault] = true;
            }
        }

        return $hypotheses;
    }

    private static function areAlike(Quantity $quantity, float $declared, float $handled): bool
    {
        if (is_nan($declared) || is_nan($handled) || $declared === $handled) {
            return is_nan($declared) === is_nan($handled);
        }

        return match ($quantity) {
            Quantity::Speed => abs($declared - $handled) <= self::HEARD_ALIKE,
            Quantity::Lamp => abs($declared - $handled) <= self::SEEN_ALIKE,
            default => !MeterAccuracy::tellsApart($quantity, $declared, $handled),
        };
    }
}
