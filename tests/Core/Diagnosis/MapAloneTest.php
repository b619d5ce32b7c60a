<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\CaseFile;
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
        foreach (array_diff(Layout::ARRANGEMENTS, ['resistor']) as $arrangement) {
            yield "radiator-fan, $arrangement" => ['radiator-fan', ['arrangement' => $arrangement]];
        }
        yield 'radiator-fan, by relays' => ['radiator-fan', ['control' => 'relays']];
        yield 'wiper, compound' => ['wiper', ['motor' => 'compound']];
        yield 'flue-fan, two speeds' => ['flue-fan', ['speeds' => '2']];
        yield 'air-door, vacuum' => ['air-door', ['kind' => 'vacuum']];
        foreach (array_keys(FamilyRegistry::shipped()->all()) as $family) {
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
                $complaint = json_encode($told, \JSON_THROW_ON_ERROR);
                $complaints[$complaint] = $told;
                $plain[$complaint] ??= \count(array_diff($told, ['right', 'quiet']));
                $plain[$complaint] += $hypothesis->prior;
            }
        }
        self::assertGreaterThan(2, \count($complaints), 'different faults are complained of differently');
        foreach (\array_slice(array_keys(Ranking::largestFirst($plain)), 0, self::COMPLAINTS) as $complaint) {
            $readings = [];
            foreach ($complaints[$complaint] as $test => $answer) {
                $readings[] = new Reading("told-$test", (string) $test, $answer, true);
            }
            $diagnosis = $bench->diagnose(new CaseFile($readings));
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
        foreach ($bench->circuit->tests as $test) {
            if ($test->asked) {
                $usual = $bench->circuit->observations[$test->probe->at]->usual;
                $told[$test->key] = self::likeliest(Likelihood::observed($hypothesis, $test, $usual));
            }
        }

        return $told;
    }

    /** @param array<array-key, float> $chances */
    private static function likeliest(array $chances): string
    {
        return (string) array_key_first(Ranking::largestFirst($chances));
    }
}
