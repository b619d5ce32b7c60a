<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Families\RadiatorFan\Layout;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Nobody is named by what was told with the complaint, however plainly it speaks: something is measured or looked at
 * first. A fan that runs with the key off may be fed through its switch, or through a chafed wire beside it.
 */
final class MapAloneTest extends TestCase
{
    /** So many of a circuit's complaints are tried: those in which most is wrong, of these the likeliest. */
    private const COMPLAINTS = 6;

    /** @return iterable<string, array{0: string, 1: array<string, string>}> */
    public static function circuits(): iterable
    {
        foreach (Layout::ARRANGEMENTS as $arrangement) {
            yield "radiator-fan, $arrangement" => ['radiator-fan', ['arrangement' => $arrangement]];
        }
        yield 'radiator-fan, by relays' => ['radiator-fan', ['control' => 'relays']];
        yield 'wiper, compound' => ['wiper', ['motor' => 'compound']];
        yield 'flue-fan, two speeds' => ['flue-fan', ['speeds' => '2']];
        yield 'air-door, vacuum' => ['air-door', ['kind' => 'vacuum']];
        foreach (
            [
                'stepped-blower',
                'electronic-blower',
                'wiper',
                'wiper-interval',
                'control-output',
                'air-door',
                'tapped-blower',
                'ecm-blower',
                'five-wire-fan',
                'flue-fan',
            ]
            as $family
        ) {
            yield $family => [$family, []];
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('circuits')]
    public function testNoPartIsNamedBeforeSomethingTouchedIt(string $family, array $parameters): void
    {
        $bench = new Bench($parameters, false, $family);
        $complaints = $plain = [];
        foreach ($bench->hypotheses as $hypothesis) {
            if ($hypothesis->parts !== [] && !$hypothesis->comesAndGoes) {
                $told = self::told($bench, $hypothesis);
                $complaints[json_encode($told, \JSON_THROW_ON_ERROR)] = $told;
                $wrong = \count(array_diff($told, ['right', 'quiet']));
                $plain[json_encode($told, \JSON_THROW_ON_ERROR)] ??= $wrong;
                $plain[json_encode($told, \JSON_THROW_ON_ERROR)] += $hypothesis->prior;
            }
        }
        self::assertGreaterThan(2, \count($complaints), 'different faults are complained of differently');
        foreach (\array_slice(array_keys(Ranking::largestFirst($plain)), 0, self::COMPLAINTS) as $complaint) {
            $readings = [];
            foreach ($complaints[$complaint] as $test => $answer) {
                $readings[] = new Reading("told-$test", (string) $test, $answer, true);
            }
            $diagnosis = $bench->diagnose(Bench::case([])->withReadings($readings));
            self::assertNull($diagnosis->verdict, $complaint);
            self::assertNotNull($diagnosis->next, "something can be done about $complaint");
        }
    }

    /** @return array<string, string> likeliest answer by test, of all that is told with the complaint */
    private static function told(Bench $bench, Hypothesis $hypothesis): array
    {
        $told = [];
        foreach ($bench->circuit->positions as $position => $_) {
            $test = $bench->circuit->speedTest((string) $position);
            $told[$test->key] = self::likeliest(
                Judged::chances($bench->circuit, $test, $bench->shows($hypothesis->key, $test->key)),
            );
        }
        $asked = array_filter($bench->circuit->tests, static fn(Test $test): bool => $test->asked);
        foreach ($asked as $test) {
            if ($test->probe->quantity === Quantity::Observation) {
                $usual = $bench->circuit->observations[$test->probe->at]->usual;
                $told[$test->key] = self::likeliest(Likelihood::observed($hypothesis, $test, $usual));
            }
        }

        return $told;
    }

    /** @param array<array-key, float> $chances */
    private static function likeliest(array $chances): string
    {
        arsort($chances);

        return (string) array_key_first($chances);
    }
}
