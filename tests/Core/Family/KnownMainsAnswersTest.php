<?php

declare(strict_types=1);

namespace Tests\Core\Family;

/**
 * What the trade knows of circuits on the mains, found again by simulation alone.
 */
final class KnownMainsAnswersTest extends KnownAnswers
{
    public function testAnOpenSectionSilencesItsTapAndAllSlowerOnes(): void
    {
        self::assertEqualsWithDelta(
            0.0,
            self::shows(
                'tapped-blower',
                ['taps' => '5', 'fanTerminal' => 'yes'],
                'section-medium-open#0',
                'speed@heat',
            ),
            1e-9,
        );
        self::assertEqualsWithDelta(
            0.0,
            self::shows('tapped-blower', ['taps' => '5', 'fanTerminal' => 'yes'], 'section-medium-open#0', 'speed@fan'),
            1e-9,
        );
        self::assertEqualsWithDelta(
            1.0,
            self::shows(
                'tapped-blower',
                ['taps' => '5', 'fanTerminal' => 'yes'],
                'section-medium-open#0',
                'speed@cool',
            ),
            0.01,
        );
        self::assertEqualsWithDelta(
            0.0,
            self::shows('tapped-blower', ['taps' => '5', 'fanTerminal' => 'yes'], 'main-open#0', 'speed@cool'),
            1e-9,
        );
    }

    public function testTheWindingsResistanceRisesFromHighToLow(): void
    {
        $before = 0.0;
        foreach (['high', 'medium-high', 'medium-low', 'low'] as $tap) {
            self::assertGreaterThan($before, $before = self::shows('tapped-blower', [], 'none', "tap-ohms@$tap"));
        }
        self::assertInfinite(self::shows('tapped-blower', [], 'none', 'case-ohms'));
        self::assertInfinite(self::shows('tapped-blower', [], 'section-low-open#0', 'tap-ohms@low'));
    }

    public function testAVoltageOnAnIdleTapIsNoFeedUntilTheWireIsLifted(): void
    {
        self::assertGreaterThan(235.0, self::shows('tapped-blower', [], 'none', 'idle-volts'));
        self::assertEqualsWithDelta(
            0.0,
            self::shows('tapped-blower', [], 'relay-heat-open#0', 'lifted-volts@heat'),
            0.5,
        );
        self::assertGreaterThan(220.0, self::shows('tapped-blower', [], 'wire-heat-open#0', 'lifted-volts@heat'));
    }

    public function testLessAirRaisesTheRiseAndLowersTheCurrentOfACapacitorMotor(): void
    {
        self::assertGreaterThan(
            1.2 * self::shows('tapped-blower', [], 'none', 'rise'),
            self::shows('tapped-blower', [], 'filter-clogged#1', 'rise'),
        );
        self::assertLessThan(
            self::shows('tapped-blower', [], 'none', 'amps@cool'),
            self::shows('tapped-blower', [], 'filter-clogged#1', 'amps@cool'),
        );
        self::assertGreaterThan(
            1.05,
            self::shows('ecm-blower', [], 'filter-clogged#0', 'speed@cool'),
            'constant torque gains speed',
        );
    }

    public function testAHumWithoutStartDrawsTwiceTheCurrent(): void
    {
        foreach (['capacitor-open#0', 'capacitor-shorted#0', 'auxiliary-open#0'] as $fault) {
            self::assertEqualsWithDelta(0.0, self::shows('tapped-blower', [], $fault, 'speed@cool'), 1e-9);
            self::assertGreaterThan(
                1.5 * self::shows('tapped-blower', [], 'none', 'amps@cool'),
                self::shows('tapped-blower', [], $fault, 'amps@cool'),
            );
        }
        self::assertGreaterThan(0.6, self::shows('tapped-blower', [], 'capacitor-open#0', 'pushed'));
    }

    public function testWithItsCommonOpenAnElectronicMotorSeesAllIdleTapsRise(): void
    {
        self::assertEqualsWithDelta(0.0, self::shows('ecm-blower', [], 'common-open#0', 'speed@cool'), 1e-9);
        self::assertGreaterThan(20.0, self::shows('ecm-blower', [], 'common-open#0', 'tap-ground@heat'));
        // What idle wires leak to earth is all that is left across the input.
        self::assertLessThan(0.1 * 26.0, self::shows('ecm-blower', [], 'common-open#0', 'tap-volts@heat'));
    }

    public function testAnIdleWireShowsAGhostThatTheInputLoadsAway(): void
    {
        // Half a volt to eighteen on a meter of 10 MΩ.
        self::assertGreaterThan(0.5, self::shows('ecm-blower', [], 'none', 'idle-volts'));
        self::assertLessThan(18.0, self::shows('ecm-blower', [], 'none', 'idle-volts'));
        self::assertLessThan(1.0, self::shows('ecm-blower', [], 'none', 'other-tap'));
    }

    public function testTwoJoinedTapsFollowTheGreaterTorque(): void
    {
        self::assertGreaterThan(1.12, self::shows('ecm-blower', [], 'taps-joined#0', 'speed@heat'));
        self::assertEqualsWithDelta(1.0, self::shows('ecm-blower', [], 'taps-joined#0', 'speed@cool'), 0.01);
    }

    public function testThePhasesOfAnOpenMotorAreUneven(): void
    {
        self::assertInfinite(self::shows('ecm-blower', [], 'phase-open#0', 'phase-ab'));
        self::assertGreaterThan(2.0, self::shows('ecm-blower', [], 'phase-open#0', 'phase-ca'));
    }

    public function testASupplyThatComesBackUnpluggedWasPulledDownByTheMotor(): void
    {
        self::assertLessThan(60.0, self::shows('five-wire-fan', [], 'driver-shorted#0', 'vm-volts'));
        self::assertGreaterThan(300.0, self::shows('five-wire-fan', [], 'driver-shorted#0', 'vm-unplugged'));
        self::assertLessThan(1.0, self::shows('five-wire-fan', [], 'bus-dead#0', 'vm-unplugged'));
        self::assertLessThan(10.0, self::shows('five-wire-fan', [], 'driver-shorted#0', 'vm-ohms'));
        self::assertGreaterThan(1e5, self::shows('five-wire-fan', [], 'none', 'vm-ohms'));
    }

    public function testPulsesAverageToHalfThePullUpAndOnlyAtTheRightEndOfTheWire(): void
    {
        self::assertEqualsWithDelta(7.5, self::shows('five-wire-fan', ['pullUp' => '15'], 'none', 'fg-hand'), 0.2);
        self::assertEqualsWithDelta(2.5, self::shows('five-wire-fan', ['pullUp' => '5'], 'none', 'fg-hand'), 0.1);
        self::assertGreaterThan(14.0, self::shows('five-wire-fan', ['pullUp' => '15'], 'fg-open#0', 'fg-hand'));
        self::assertEqualsWithDelta(
            0.85 * (1050.0 / 60.0) * 8.0,
            self::shows('five-wire-fan', ['pulses' => '8', 'fullRpm' => '1050'], 'none', 'fg-hertz'),
            12.0,
        );
        self::assertNan(self::shows('five-wire-fan', [], 'fg-open#0', 'speed@high'));
    }

    public function testTheSlowWindingOfATwoSpeedFanHasTheHigherResistance(): void
    {
        $ratio =
            self::shows('flue-fan', ['speeds' => '2'], 'none', 'ohms-slow') /
            self::shows('flue-fan', ['speeds' => '2'], 'none', 'ohms-fast');
        self::assertGreaterThan(1.3, $ratio);
        self::assertLessThan(1.8, $ratio);
    }

    public function testDraughtFallsWithTheSquareOfSpeedAndWithTheAir(): void
    {
        $typed = ['pressure' => '160'];
        self::assertEqualsWithDelta(160.0, self::shows('flue-fan', $typed, 'none', 'pressure'), 12.0);
        self::assertLessThan(0.8 * 160.0, self::shows('flue-fan', $typed, 'flue-blocked#1', 'pressure'));
        self::assertLessThan(160.0, self::shows('flue-fan', $typed, 'bearings-dry#2', 'pressure'));
    }

    /** Leads changed over at a flue fan of two speeds: each call makes the other speed. */
    public function testLeadsChangedOverAtAFlueFan(): void
    {
        $two = ['speeds' => '2'];
        self::assertSame('fast', self::called('flue-fan', $two, 'leads-swapped#0', 'slow'));
        self::assertSame('slow', self::called('flue-fan', $two, 'leads-swapped#0', 'full'));
        // The winding with the higher ohms is the slow one, whatever the leads do.
        self::assertGreaterThan(
            1.2 * self::shows('flue-fan', $two, 'none', 'ohms-fast'),
            self::shows('flue-fan', $two, 'none', 'ohms-slow'),
        );
    }
}
