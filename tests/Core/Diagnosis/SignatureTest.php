<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What a state depends on is in its signature: whatever parameter of whatever element changes what moves or what
 * flows, changes the signature too. Otherwise one hypothesis answers for another.
 */
final class SignatureTest extends TestCase
{
    /** Every how-manieth hypothesis the circuit is changed under, beside the sound one. */
    private const EVERY = 11;

    /** Set-ups and hypotheses share the parameters out among themselves: each takes one in so many. */
    private const SHARES = 5;

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testWhatChangesTheAnswerChangesTheSignature(string $key, array $parameters): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        $circuit = $family->circuit($family->parameters()->read($parameters));
        $simulator = new Simulator($circuit);
        $solver = $simulator->solver;
        $hypotheses = HypothesisList::of($circuit, false);
        $sound = $hypotheses[HypothesisList::NOTHING_WRONG];
        $bases = [$sound];
        foreach (array_values($hypotheses) as $number => $hypothesis) {
            if ($number % self::EVERY === 1) {
                $bases[] = $hypothesis;
            }
        }
        $movers = array_unique(array_column($circuit->positions, 'mover'));
        $names = array_keys($this->parameters($circuit));
        $told = 0;
        foreach ($circuit->setUps as $place => $setUp) {
            $usual = $simulator->valuesFor($solver->nominalValues(), $setUp, $sound);
            foreach ($bases as $base) {
                $before = $simulator->valuesFor($solver->nominalValues(), $setUp, $base);
                $signature = $solver->signature($before, $usual);
                $state = $solver->solve($before);
                foreach ($names as $number => $parameter) {
                    if (($number + crc32("$place$base->key")) % self::SHARES !== 0) {
                        continue;
                    }
                    $slot = $solver->slot($parameter);
                    foreach ($this->others($parameter, $before[$slot]) as $value) {
                        $after = $before;
                        $after[$slot] = $value;
                        if ($solver->signature(array_values($after), $usual) !== $signature) {
                            ++$told;
                            continue;
                        }
                        $this->assertSameState(
                            $movers,
                            $circuit,
                            $state,
                            $solver->solve(array_values($after)),
                            "$place, $base->key: $parameter = $value",
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(0, $told);
    }

    public function testAMotorDrivenByAnotherWindingOfItsShaftHasItsFrictionInTheSignature(): void
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 12.0, 0.02),
                Element::resistor('low-contact', 'plus', 'low', Element::OPEN_OHMS),
                Element::motor('motor', 'low', '0', new BrushedMotor(0.3, 0.03, 0.05, 2e-5)),
                Element::resistor('high-contact', 'plus', 'high', 0.01),
                Element::winding('third-brush', 'high', '0', 0.25, 0.02, 'motor'),
            ]),
        );
        $free = $solver->nominalValues();
        $dragging = $free;
        $dragging[$solver->slot('motor.frictionTorque')] = 0.2;
        self::assertNotSame($solver->signature($free, $free), $solver->signature(array_values($dragging), $free));
    }

    /** @param array<string> $movers */
    private function assertSameState(
        array $movers,
        CircuitModel $circuit,
        SolvedState $before,
        SolvedState $after,
        string $what,
    ): void {
        foreach ($movers as $mover) {
            [$was, $is] = [$before->speed($mover), $after->speed($mover)];
            self::assertTrue(
                (is_nan($was) && is_nan($is)) || abs($was - $is) <= 1e-6 + 1e-5 * abs($was),
                "$what: $mover goes $is, went $was",
            );
        }
        foreach (array_keys($circuit->netlist->elements) as $element) {
            self::assertEqualsWithDelta(
                $before->current($element),
                $after->current($element),
                1e-5 + 1e-5 * abs($before->current($element)),
                "$what: current of $element",
            );
        }
    }

    /** @return array<string, float> */
    private function parameters(CircuitModel $circuit): array
    {
        $parameters = [];
        foreach ($circuit->netlist->elements as $id => $element) {
            foreach ($element->parameters as $name => $value) {
                $parameters["$id.$name"] = $value;
            }
        }

        return $parameters;
    }

    /** @return list<float> */
    private function others(string $parameter, float $value): array
    {
        $others = [$value === 0.0 ? 0.001 : 2.5 * $value];
        if (str_ends_with($parameter, '.ohms') || str_ends_with($parameter, '.armatureOhms')) {
            $others[] = $value < Element::OPEN_OHMS ? Element::OPEN_OHMS : 0.05;
        }
        if (str_ends_with($parameter, '.frictionTorque')) {
            $others[] = 1e6;
        }

        return $others;
    }
}
