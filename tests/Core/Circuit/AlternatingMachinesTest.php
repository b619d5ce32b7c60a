<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\Capacitor;
use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\ElectronicMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\InductionMotor;
use Ispira\Core\Circuit\LiveParts;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\PhasorPoint;
use Ispira\Core\Circuit\PhasorSolver;
use PHPUnit\Framework\TestCase;
use Tests\Core\Ngspice;

/**
 * Motors on alternating current: windings that share a flux, run capacitors, programmed torques.
 */
final class AlternatingMachinesTest extends TestCase
{
    private const HERTZ = 60.0;

    /**
     * A motor with three taps, fed on one of them.
     *
     * @param array<string, float> $changes of parameters
     */
    private static function tapped(string $fed, array $changes = []): PhasorPoint
    {
        $motor = new InductionMotor(4.0, 5.0, 110.0, 26.0, 214.0, 0.00317);
        $solver = new PhasorSolver(
            new Netlist([
                Element::alternatingSource('line', 'L', '0', 230.0, 0.2),
                ...array_map(
                    static fn(string $tap): Element => Element::resistor(
                        "feed-$tap",
                        'L',
                        $tap,
                        $tap === $fed ? 0.02 : Element::OPEN_OHMS,
                    ),
                    ['high', 'medium', 'low'],
                ),
                Element::inductionMotor('main', 'high', 'common', $motor),
                Element::mainWinding('x1', 'medium', 'high', 0.9, 0.6, 0.11, 'main'),
                Element::mainWinding('x2', 'low', 'medium', 1.1, 0.7, 0.14, 'main'),
                Element::resistor('return', 'common', '0', 0.02),
                Element::capacitor('capacitor', 'high', 'start', 7.5, self::HERTZ),
                Element::auxiliaryWinding('auxiliary', 'start', 'common', 18.0, 15.0, 1.25, 'main'),
            ]),
        );
        $values = $solver->nominalValues();
        foreach ($changes as $parameter => $value) {
            $values[$solver->slot($parameter)] = $value;
        }

        return $solver->solve(array_values($values));
    }

    public function testIdleTapsCarryVoltageAndSlowerOnesStandAboveTheLine(): void
    {
        $point = self::tapped('high');
        self::assertEqualsWithDelta(230.0, $point->voltageBetween('high', '0'), 2.0);
        self::assertGreaterThan(245.0, $point->voltageBetween('medium', '0'));
        self::assertGreaterThan($point->voltageBetween('medium', '0'), $point->voltageBetween('low', '0'));
        self::assertSame(0.0, $point->current('feed-low'));
    }

    public function testMoreOfTheWindingIsSlower(): void
    {
        self::assertGreaterThan(self::tapped('medium')->speed('main'), self::tapped('high')->speed('main'));
        self::assertGreaterThan(self::tapped('low')->speed('main'), self::tapped('medium')->speed('main'));
    }

    public function testTheCapacitorIsMeasuredUnderLoadByItsCurrentAndVoltage(): void
    {
        foreach ([7.5, 5.0, 3.0] as $microfarads) {
            $point = self::tapped('high', ['capacitor.microfarads' => $microfarads, 'capacitor.ohms' => 1e-6]);
            self::assertEqualsWithDelta(
                $microfarads,
                (2652.0 * $point->current('capacitor')) / $point->voltageBetween('high', 'start'),
                0.005 * $microfarads,
            );
        }
    }

    public function testWithAnOpenOrShortedCapacitorItStandsAndDrawsMore(): void
    {
        $running = self::tapped('high');
        self::assertGreaterThan(100.0, $running->speed('main'));
        foreach ([['capacitor.ohms' => Element::OPEN_OHMS], ['capacitor.leakOhms' => 0.1]] as $fault) {
            $point = self::tapped('high', $fault);
            self::assertSame(0.0, $point->speed('main'));
            self::assertGreaterThan(1.5 * $running->current('return'), $point->current('return'));
        }
        self::assertGreaterThan(
            60.0,
            self::tapped('high', ['capacitor.ohms' => Element::OPEN_OHMS, 'main.pushed' => 1.0])->speed('main'),
        );
    }

    public function testTwoLiveTapsAreShortedTurnsAndTripTheMotor(): void
    {
        self::assertNan(self::tapped('high', ['feed-medium.ohms' => 0.02, 'main.tripAmps' => 8.0])->speed('main'));
    }

    public function testAStandingMotorAgreesWithAnIndependentSimulator(): void
    {
        $motor = new InductionMotor(4.0, 5.0, 110.0, 26.0, 214.0, 0.00317);
        [$g, $b] = $motor->admittance(1.0);
        $omega = 2.0 * \M_PI * self::HERTZ;
        foreach (['high', 'medium', 'low'] as $fed) {
            $own = self::tapped($fed, ['main.frictionTorque' => 50.0]);
            // The shared flux is the voltage of a node into which the sections drive their ampere-turns.
            $deck = ['* tapped winding at rest', 'V1 L0 0 dc 0 ac 230', 'Rl L0 L 0.2'];
            foreach (['high', 'medium', 'low'] as $tap) {
                $deck[] = "Rf$tap L $tap " . ($tap === $fed ? '0.02' : '1e10');
            }
            foreach (
                [
                    ['q1', 'high', 'common', 4.0, 5.0, 1.0],
                    ['q2', 'medium', 'high', 0.9, 0.6, 0.11],
                    ['q3', 'low', 'medium', 1.1, 0.7, 0.14],
                ]
                as [$id, $from, $to, $ohms, $reactance, $turns]
            ) {
                array_push(
                    $deck,
                    "R$id $from {$id}x $ohms",
                    "L$id {$id}x {$id}y " . $reactance / $omega,
                    "V$id {$id}y {$id}z 0",
                    "E$id {$id}z $to e 0 $turns",
                    "F$id 0 e V$id $turns",
                );
            }
            array_push(
                $deck,
                'Rr common 0 0.02',
                'Ge e 0 e 0 ' . $g,
                'Le e 0 ' . -1.0 / ($omega * $b),
                'Rc high s0 0.1',
                'Cc s0 start 7.5u',
                'Ra start s1 18',
                sprintf('La s1 common %.12g', 15.0 / $omega),
                'Rleak e 0 1e12',
                '.control',
                'set numdgt=12',
                'ac lin 1 60 60',
                'print vm(high) vm(medium) vm(low) vm(start) vm(e)',
                '.endc',
                '.end',
                '',
            );
            $output = Ngspice::output($deck);
            self::assertSame(5, preg_match_all('/vm\((\w+)\) = (\S+)/', $output, $found, \PREG_SET_ORDER), $output);
            foreach ($found as [, $node, $value]) {
                self::assertEqualsWithDelta(
                    (float) $value,
                    $node === 'e' ? $own->flux() : $own->voltageBetween($node, '0'),
                    1e-4 * (float) $value + 1e-6,
                    "$fed fed, $node",
                );
            }
        }
    }

    public function testACapacitanceMeterTellsLowOpenAndShorted(): void
    {
        self::assertSame(7.5, Capacitor::shows(7.5, Element::OPEN_OHMS, 0.1));
        self::assertSame(0.0, Capacitor::shows(7.5, Element::OPEN_OHMS, Element::OPEN_OHMS));
        self::assertInfinite(Capacitor::shows(7.5, 5.0, 0.1));
    }

    public function testACircuitHoldsOneInductionMotor(): void
    {
        $motor = new InductionMotor(4.0, 5.0, 110.0, 26.0, 214.0, 0.0);
        $this->expectException(CircuitError::class);
        new PhasorSolver(
            new Netlist([
                Element::alternatingSource('line', 'L', '0', 230.0, 0.2),
                Element::inductionMotor('a', 'L', '0', $motor),
                Element::inductionMotor('b', 'L', '0', $motor),
            ]),
        );
    }

    /** @param array<string, float> $changes */
    private static function electronic(array $changes): PhasorPoint
    {
        $solver = new PhasorSolver(
            new Netlist([
                Element::alternatingSource('line', 'L', '0', 230.0, 0.3),
                Element::resistor('plug', 'L', 'bus', 0.02),
                Element::alternatingSource('low', 'R', '0', 27.0, 1.5),
                Element::resistor('call-slow', 'R', 'slow', Element::OPEN_OHMS),
                Element::resistor('call-fast', 'R', 'fast', Element::OPEN_OHMS),
                Element::resistor('in-slow', 'slow', 'C', 2200.0),
                Element::resistor('in-fast', 'fast', 'C', 2200.0),
                Element::resistor('common', 'C', '0', 0.1),
                Element::electronicMotor('motor', 'bus', '0', new ElectronicMotor(), [
                    'in-slow' => 0.5,
                    'in-fast' => 1.0,
                ]),
            ]),
        );
        $values = $solver->nominalValues();
        foreach ($changes as $parameter => $value) {
            $values[$solver->slot($parameter)] = $value;
        }

        return $solver->solve(array_values($values));
    }

    public function testAProgrammedTorqueFollowsTheGreatestInputThatIsOn(): void
    {
        $slow = self::electronic(['call-slow.ohms' => 0.1])->speed('motor');
        $fast = self::electronic(['call-fast.ohms' => 0.1])->speed('motor');
        self::assertSame(0.0, self::electronic([])->speed('motor'));
        self::assertGreaterThan($slow, $fast);
        self::assertEqualsWithDelta(
            $fast,
            self::electronic(['call-fast.ohms' => 0.1, 'call-slow.ohms' => 0.1])->speed('motor'),
            1e-9,
        );
        self::assertSame(
            0.0,
            self::electronic(['call-fast.ohms' => 3000.0])->speed('motor'),
            'a signal that is weak under load',
        );
        self::assertSame(0.0, self::electronic(['call-fast.ohms' => 0.1, 'line.volts' => 60.0])->speed('motor'));
        self::assertNan(self::electronic(['call-fast.ohms' => 0.1, 'motor.answer' => 0.0])->speed('motor'));
    }

    public function testItDrawsThePowerThatItsSpeedAsksFor(): void
    {
        $point = self::electronic(['call-fast.ohms' => 0.1]);
        $motor = new ElectronicMotor();
        self::assertEqualsWithDelta(
            $motor->watts(1.0, $point->speed('motor')),
            $point->current('motor') * $point->voltageBetween('bus', '0'),
            1.5,
        );
    }

    public function testWithoutItsCommonAllIdleInputsRiseAndItStands(): void
    {
        $point = self::electronic(['call-fast.ohms' => 0.1, 'common.ohms' => Element::OPEN_OHMS]);
        self::assertSame(0.0, $point->speed('motor'));
        self::assertGreaterThan(24.0, $point->voltageBetween('slow', '0'));
        self::assertLessThan(0.01, $point->voltageBetween('fast', 'C'));
    }

    public function testOnlyClosedWaysWithASourceAreLive(): void
    {
        $branch = static fn(int $from, int $to, bool $drives = false): array => [
            'from' => $from,
            'to' => $to,
            'drives' => $drives,
        ];
        self::assertSame(
            ['source', 'load'],
            LiveParts::of([
                'source' => $branch(1, 0, true),
                'load' => $branch(1, 0),
                'stub' => $branch(1, 2),
                'dead-a' => $branch(3, 4),
                'dead-b' => $branch(3, 4),
                'to-dead' => $branch(4, 0),
            ]),
        );
    }
}
