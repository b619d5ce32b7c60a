<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whatever carries current in a sound machine may come to carry it badly, or not at all: a wire that cannot break is a
 * fault that nobody can be told of.
 */
final class EveryPathCanBreakTest extends TestCase
{
    /** Of the largest current, from which something counts as carrying any. */
    private const CARRIES_FROM = 0.01;

    /** Ω of a sound conductor, and of a broken one. */
    private const SOUND_OHMS = 0.01;
    private const BROKEN_OHMS = 1e5;

    private const PASSIVE = [ElementType::Resistor, ElementType::Switch];

    /**
     * What is no conductor of its own, by family: loads that stand for others, what lies within one part, contacts
     * whose joint stands beside them in the netlist and may burn, and the end of a wire that fails as a whole.
     */
    private const NOT_BY_THEMSELVES = [
        'air-door' => ['warm-high', 'warm-low', 'cold-high', 'cold-low', 'cold-joint'],
        'control-output' => ['board-load', 'other-loads'],
        'ecm-blower' => ['transformer-load'],
        'electronic-blower' => ['plug-motor', 'motor-return', 'cut-out-contact'],
        'five-wire-fan' => ['bus-contact', 'logic-contact', 'retry-contact', 'vcc-load'],
        'radiator-fan' => ['k-low-contact', 'k-high-contact', 'k1-contact', 'k2-work', 'k2-rest', 'k3-contact'],
        'stepped-blower' => ['high-contact', 'rest', 'pin-1', 'pin-2', 'pin-3', 'pin-4', 'pin-5', 'pin-6', 'pin-7'],
        'tapped-blower' => ['transformer-load'],
        'wiper' => ['field-resistor'],
        'wiper-interval' => ['low-gate', 'high-gate', 'motor-return'],
    ];

    /** @return iterable<string, array{0: string, 1: array<string, string>}> */
    public static function machines(): iterable
    {
        $others = [
            'air-door' => [['kind' => 'two-wire'], ['kind' => 'vacuum']],
            'ecm-blower' => [['control' => 'data'], ['line' => '120']],
            'electronic-blower' => [['feed' => 'relay'], ['module' => 'own'], ['command' => 'analogue']],
            'flue-fan' => [['speeds' => '2'], ['line' => '120']],
            'radiator-fan' => [
                ['control' => 'relays'],
                ['arrangement' => 'pair'],
                ['arrangement' => 'master'],
                ['arrangement' => 'two-input'],
                ['arrangement' => 'two-inputs-each'],
                ['arrangement' => 'second-with-low'],
                ['arrangement' => 'second-with-high'],
                ['arrangement' => 'second-before-low'],
            ],
            'stepped-blower' => [
                ['side' => 'ground'],
                ['high' => 'relay'],
                ['high' => 'changeover'],
                ['pack' => 'coils'],
                ['modeContact' => 'feed'],
                ['modeContact' => 'return'],
                ['positions' => '7', 'supply' => '24'],
            ],
            'tapped-blower' => [['taps' => '5', 'fanTerminal' => 'yes'], ['line' => '120', 'hertz' => '60']],
            'wiper' => [['motor' => 'compound'], ['supply' => '24']],
        ];
        foreach (FamilyRegistry::shipped()->all() as $family) {
            foreach ([[], ...$others[$family->key()] ?? []] as $parameters) {
                yield $family->key() . ' ' . implode(' ', $parameters) => [$family->key(), $parameters];
            }
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('machines')]
    public function testWhatCarriesCurrentMayCarryItBadly(string $key, array $parameters): void
    {
        $this->assertEveryConductor($key, $parameters, static fn(float $ohms): bool => $ohms > self::SOUND_OHMS);
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('machines')]
    public function testWhatCarriesCurrentMayCarryNone(string $key, array $parameters): void
    {
        $this->assertEveryConductor($key, $parameters, static fn(float $ohms): bool => $ohms >= self::BROKEN_OHMS);
    }

    /**
     * @param array<string, string>  $parameters
     * @param \Closure(float): bool $hasFailed  by what a fault makes of a sound conductor's resistance in Ω
     */
    private function assertEveryConductor(string $key, array $parameters, \Closure $hasFailed): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        $circuit = $family->circuit($family->parameters()->read($parameters));
        $amps = self::amps($circuit);
        $carrying = array_filter(
            $amps,
            static fn(float $one): bool => $one > self::CARRIES_FROM * max(1e-12, ...array_values($amps)),
        );
        $failing = self::whatFails($circuit, $hasFailed);
        $left = array_diff(array_keys($carrying), $failing, self::NOT_BY_THEMSELVES[$key] ?? []);
        self::assertSame([], array_values($left));
        self::assertGreaterThan(3, \count($carrying));
    }

    /**
     * @param \Closure(float): bool $hasFailed
     *
     * @return list<string> elements that some fault lets fail
     */
    private static function whatFails(CircuitModel $circuit, \Closure $hasFailed): array
    {
        $failing = [];
        foreach (HypothesisList::of($circuit, false) as $hypothesis) {
            foreach ($hypothesis->inDegree(0.0, 0.0)->adjustments as $adjustment) {
                if ($adjustment->source !== null || $hasFailed($adjustment->applyTo(self::SOUND_OHMS))) {
                    $failing[explode('.', $adjustment->parameter)[0]] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($failing));
    }

    /** @return array<string, float> most current that a conductor carries in any position of a sound machine, in A */
    private static function amps(CircuitModel $circuit): array
    {
        $simulator = new Simulator($circuit);
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $machine = DrawnValues::single($circuit, $simulator->solver, static fn(): float => 0.0)->vectors[0];
        $most = [];
        foreach (array_keys($circuit->positions) as $position) {
            $solved = $simulator->solver->solve(
                $simulator->valuesFor($machine, $circuit->setUps[(string) $position], $sound),
            );
            foreach ($circuit->netlist->elements as $element) {
                if (\in_array($element->type, self::PASSIVE, true)) {
                    $most[$element->id] = max($most[$element->id] ?? 0.0, abs($solved->current($element->id)));
                }
            }
        }

        return $most;
    }
}
