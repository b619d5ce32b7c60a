<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Trial\Cloud;
use Ispira\Core\Diagnosis\Trial\ForeignLikelihood;
use Ispira\Core\Diagnosis\Trial\ForeignMachine;
use Ispira\Core\Diagnosis\Trial\ForeignOutcome;
use Ispira\Core\Diagnosis\Trial\ForeignScenario;
use Ispira\Core\Diagnosis\Trial\Hands;
use Ispira\Core\Diagnosis\Trial\IdealObserver;
use Ispira\Core\Diagnosis\Trial\Observed;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

/**
 * The yardstick itself: clouds against plain sampling, and what it names against what was hidden.
 */
final class IdealObserverTest extends TestCase
{
    private const FAULT = 'resistor-open#0';

    private CircuitModel $circuit;

    /** @var array<string, Hypothesis> */
    private array $hypotheses;

    protected function setUp(): void
    {
        $family = FamilyRegistry::shipped()->get('radiator-fan');
        $this->circuit = Hands::of($family->circuit($family->parameters()->read([])))->circuit();
        $this->hypotheses = HypothesisList::of($this->circuit, false);
    }

    /**
     * @param list<string> $tests besides the map
     *
     * @return list<Reading> of a machine whose fan resistor is open
     */
    private function readings(array $tests): array
    {
        $state = $this->hypotheses[self::FAULT];
        $machine = new ForeignMachine(
            $this->circuit,
            new ForeignScenario('listed', $state->faultKey(), $state, [$state->remedy()]),
            new RandomSource(4),
        );
        $readings = $machine->map() ?? [];
        foreach ($tests as $test) {
            $readings[] = $machine->read($test, $this->circuit->tests[$test]);
        }

        return $readings;
    }

    public function testACloudFindsTheEvidenceThatPlainSamplingFinds(): void
    {
        $likelihood = new ForeignLikelihood($this->circuit, $this->readings(['battery-volts']));
        $chance = new RandomSource(7);
        foreach ([self::FAULT, 'low-wire-open#0', 'stage-1-open#0', 'stage-1-resistive#4'] as $key) {
            $sum = 0.0;
            for ($draw = 0; $draw < 1000; ++$draw) {
                $point = [];
                for ($side = 0; $side < $likelihood->sides(); ++$side) {
                    $point[] = $chance->between(0.0, 1.0);
                }
                $sum += exp($likelihood->at($point, $this->hypotheses[$key]));
            }
            $cloud = new Cloud($likelihood, $this->hypotheses[$key], $chance, 100);
            foreach ([0.1, 0.4, 1.0] as $rung) {
                $cloud->climb($rung);
            }
            self::assertEqualsWithDelta(log($sum / 1000.0), $cloud->evidence, 0.7, $key);
        }
    }

    public function testItNamesWhatTheReadingsShow(): void
    {
        $odds = (new IdealObserver($this->circuit, new RandomSource(1)))->odds(
            $this->readings(['resistor-ohms', 'fan-volts@low']),
        );
        self::assertEqualsWithDelta(1.0, array_sum($odds), 1e-9);
        self::assertSame($this->hypotheses[self::FAULT]->remedy(), array_key_first($odds));
        self::assertGreaterThan(0.9, reset($odds));
    }

    public function testBothAreComparedOnTheSameJobs(): void
    {
        $outcome = fn(bool $right, float $odds): ForeignOutcome => new ForeignOutcome(
            'radiator-fan',
            'listed',
            'a fault',
            $right,
            'a',
            $odds,
            'verdict',
            3,
            false,
            [],
            ['a', 'b'],
            $this->circuit,
            [],
        );
        self::assertEqualsWithDelta(
            ['engine' => [0.5, 0.0, 2, 0.95, 0.5], 'ideal' => [1.0, 0.5, 1, 0.99, 1.0]],
            Observed::compared([
                new Observed($outcome(true, 0.98), 'b', 0.99),
                new Observed($outcome(false, 0.92), 'a', 0.5),
            ]),
            1e-9,
        );
    }
}
