<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A shaft that stops at its place of rest is found there by a meter, with its cam as it stands then.
 */
final class PlaceOfRestTest extends TestCase
{
    /** @return iterable<string, array{0: array<string, string>}> */
    public static function motors(): iterable
    {
        foreach (['three-brush', 'compound'] as $motor) {
            foreach (['12', '24'] as $supply) {
                yield "$motor, $supply V" => [['motor' => $motor, 'supply' => $supply]];
            }
        }
    }

    public function testAWiperThatOnlyParksShowsItsFeedWhereTheSwitchShouldGround(): void
    {
        $bench = new Bench(['motor' => 'compound'], false, 'wiper');
        foreach (['dash-run-open#0', 'dash-ground#0'] as $fault) {
            foreach (['low', 'high'] as $position) {
                self::assertGreaterThan(11.0, $bench->shows($fault, "run-pin@$position"), "$fault, $position");
            }
        }
        self::assertLessThan(0.6, $bench->shows('none', 'run-pin@low'));
        self::assertGreaterThan(11.0, $bench->shows('dash-ground#0', 'field-pin@low'));
        self::assertLessThan(0.6, $bench->shows('dash-run-open#0', 'field-pin@low'));
    }

    public function testItStillRunsWhereItIsDrivenAtRestToo(): void
    {
        $bench = new Bench(['motor' => 'compound'], false, 'wiper');
        self::assertEqualsWithDelta(
            $bench->shows('none', 'current-low'),
            $bench->shows('strap-open#0', 'current-low'),
            0.05,
            'a strap that is off takes nothing from a wiper that the switch grounds',
        );
        // 20 Ω of field, and 40 Ω behind the armature.
        self::assertEqualsWithDelta(1.0, $bench->shows('dash-run-open#0', 'current-low'), 0.2, 'it stands');
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('motors')]
    public function testEveryNumberIsThatOfTheStateInWhichTheShaftIsFound(array $parameters): void
    {
        $bench = new Bench($parameters, false, 'wiper');
        $simulator = new Simulator($bench->circuit);
        $drawn = DrawnValues::of($bench->circuit, $simulator->solver);
        $atRest = 0;
        foreach ($this->met($bench) as [$hypothesis, $test]) {
            $setUp = $bench->circuit->setUps[$test->setUp];
            $mover = $bench->circuit->positions[$setUp->position]->mover;
            $shown = $bench->predictions->of($hypothesis, $test);
            foreach ([0, 3] as $draw) {
                $state = $hypothesis->inDegree(...$drawn->degrees[$draw]);
                [$way, $rest] = array_map(
                    static fn(bool $there) => $simulator->solver->solve(
                        $simulator->valuesFor($drawn->vectors[$draw], $setUp, $state, $there),
                    ),
                    [false, true],
                );
                $stops = $way->speed($mover) > 1e-6 && $rest->speed($mover) < 0.03 * $way->speed($mover);
                $atRest += $stops ? 1 : 0;
                self::assertEqualsWithDelta(
                    $simulator->observe($test->probe, $stops ? $rest : $way),
                    $shown[$draw],
                    1e-6 * max(1.0, abs($shown[$draw])),
                    "$hypothesis->key, $test->key, draw $draw",
                );
            }
        }
        self::assertGreaterThan($parameters['motor'] === 'compound' ? 20 : -1, $atRest);
    }

    /** @return iterable<array{0: Hypothesis, 1: Test}> numbers of positions in which the shaft should run */
    private function met(Bench $bench): iterable
    {
        foreach ($bench->hypotheses as $hypothesis) {
            foreach ($bench->circuit->tests as $test) {
                $setUp = $bench->circuit->setUps[$test->setUp];
                $meter = \in_array($test->probe->quantity, [Quantity::Volts, Quantity::Amps], true);
                if ($meter && !$hypothesis->comesAndGoes && $setUp->atRest !== [] && $setUp->kind === null) {
                    if (!$bench->circuit->positions[$setUp->position]->kind->parks()) {
                        yield [$hypothesis, $test];
                    }
                }
            }
        }
    }
}
