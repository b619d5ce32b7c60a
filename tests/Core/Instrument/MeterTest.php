<?php

declare(strict_types=1);

namespace Tests\Core\Instrument;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Instrument\Hold;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\MeterRange;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Instrument\ScpiReply;
use Ispira\Core\Instrument\SimulatedMeter;
use Ispira\Core\Instrument\Steadiness;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

final class MeterTest extends TestCase
{
    public function testNumbersAreReadAsMetersSendThem(): void
    {
        self::assertSame(12.3456, ScpiReply::number("+1.23456000E+01\n"));
        self::assertSame(-0.004, ScpiReply::number("-4.0e-3\r\n"));
        self::assertSame(12.6, ScpiReply::number("12.6 V\n"));
        self::assertSame(12.6, ScpiReply::number("12.6,0.0,3\n"));
        self::assertNull(ScpiReply::number("+9.90000000E+37\n"));
        self::assertNull(ScpiReply::number("-9.9E37\n"));
    }

    /** @return iterable<array{0: string}> */
    public static function noNumbers(): iterable
    {
        yield ["\n"];
        yield ["ready\n"];
        yield ["9.91E37\n"];
        yield [str_repeat('1', 600) . "\n"];
        yield ["12.4.1\n"];
        yield ["\x00\xff\n"];
    }

    #[DataProvider('noNumbers')]
    public function testTheRestIsRefusedInWords(string $reply): void
    {
        $this->expectException(MeterTrouble::class);
        ScpiReply::number($reply);
    }

    public function testErrorsAndIdentity(): void
    {
        self::assertNull(ScpiReply::error("+0,\"No error\"\n"));
        self::assertSame('-221 Settings conflict', ScpiReply::error("-221,\"Settings conflict\"\n"));
        self::assertSame('LOCH BM-2 4711 1.04', ScpiReply::identity("LOCH,BM-2,4711,1.04\n"));
        $this->expectException(MeterTrouble::class);
        ScpiReply::error("fine\n");
    }

    public function testFunctionsAreKnownByEveryName(): void
    {
        self::assertSame(MeterFunction::VoltsDc, MeterFunction::named('"VOLT"'));
        self::assertSame(MeterFunction::VoltsAc, MeterFunction::named('VOLTage:AC'));
        self::assertSame(MeterFunction::Ohms, MeterFunction::named('"FRES"'));
        self::assertSame(MeterFunction::Ohms, MeterFunction::named('RESISTANCE'));
        self::assertNull(MeterFunction::named('TEMP'));
    }

    public function testTheFunctionFollowsTheTest(): void
    {
        $direct = (new Bench())->circuit;
        $line = (new Bench([], false, 'tapped-blower'))->circuit;
        $of = static fn($circuit, Quantity $quantity): array => array_values(
            array_unique(
                array_map(
                    static fn($test) => MeterFunction::for($test, $circuit)?->value,
                    array_filter($circuit->tests, static fn($test): bool => $test->probe->quantity === $quantity),
                ),
            ),
        );
        self::assertSame(['VOLT:DC'], $of($direct, Quantity::Volts));
        self::assertSame(['VOLT:AC'], $of($line, Quantity::Volts));
        self::assertSame(['RES'], $of($line, Quantity::Ohms));
        self::assertSame(['CAP'], $of($line, Quantity::Capacitance));
        self::assertSame([null], $of($line, Quantity::Speed));
    }

    public function testTheSimulatedMeterSpeaksLikeAMeter(): void
    {
        $meter = new SimulatedMeter(
            static fn(MeterFunction $function): ?float => $function === MeterFunction::Ohms ? null : 12.5,
        );
        self::assertNull($meter->answer('*CLS'));
        self::assertSame(12.5, ScpiReply::number((string) $meter->answer('MEAS:VOLT:DC?')));
        self::assertNull($meter->answer('CONF:RES 200'));
        self::assertSame('"RES"', $meter->answer('FUNC?'));
        self::assertNull(ScpiReply::number((string) $meter->answer(':READ?')));
        self::assertNull($meter->answer('CONF:SMELL'));
        self::assertSame('-113 Undefined header', ScpiReply::error((string) $meter->answer('SYST:ERR?')));
        self::assertNull(ScpiReply::error((string) $meter->answer('SYST:ERR?')));
        self::assertSame('+1.25000000E+01;"VOLT:DC"', $meter->answer('CONF:VOLT:DC;READ?;FUNC?'));
        self::assertStringContainsString('SIMULATED', (string) $meter->answer('*IDN?'));
    }

    public function testAStuckDialRefusesAnotherFunction(): void
    {
        $meter = new SimulatedMeter(static fn(): float => 1.0, MeterFunction::VoltsAc);
        $meter->answer('CONF:VOLT:DC');
        self::assertStringContainsString('-221', (string) $meter->answer('SYST:ERR?'));
        self::assertSame('"VOLT:AC"', $meter->answer('FUNC?'));
    }

    public function testAValueIsHeldOnceItRestsAndStaysWhenTheLeadsComeOff(): void
    {
        $rising = Steadiness::of([0.0, 4.0, 9.0, 11.0, 11.8], Quantity::Volts);
        self::assertFalse($rising->held);
        $rests = Steadiness::of([9.0, 11.8, 11.81, 11.8, 11.79, 11.8], Quantity::Volts);
        self::assertTrue($rests->held);
        $held = Hold::after(Hold::after(null, $rising, Quantity::Volts), $rests, Quantity::Volts);
        self::assertEqualsWithDelta(11.8, $held?->value, 0.01);
        $inTheAir = Steadiness::of([0.0, 0.0, 0.0, 0.0, 0.0], Quantity::Volts);
        self::assertSame($held, Hold::after($held, $inTheAir, Quantity::Volts));
        $next = Hold::after($held, Steadiness::of([5.0, 5.0, 5.0, 5.0, 5.0], Quantity::Volts), Quantity::Volts);
        self::assertSame(5.0, $next?->value);
        self::assertSame(
            0.0,
            Hold::after(null, $inTheAir, Quantity::Volts)?->value,
            'Nothing is a value too, when it is the first.',
        );
        $open = Steadiness::of([null, null, null, null, null], Quantity::Ohms);
        self::assertTrue($open->held);
        self::assertNull(Hold::after(null, $open, Quantity::Ohms)?->value);
    }

    public function testWhatDoesNotRestInTimeWanders(): void
    {
        $samples = array_map(static fn(int $n): float => 11.0 + 0.8 * ($n % 3), range(1, 15));
        $now = Steadiness::of($samples, Quantity::Volts);
        self::assertTrue($now->wanders);
        self::assertTrue(Hold::after(null, $now, Quantity::Volts)?->wandered);
        self::assertFalse(Steadiness::of(\array_slice($samples, 0, 8), Quantity::Volts)->wanders);
    }

    public function testTheRangeHoldsWhatTheTestCanShow(): void
    {
        self::assertSame(20.0, MeterRange::for([12.6, 13.1], MeterFunction::VoltsDc));
        self::assertSame(200.0, MeterRange::for([25.0], MeterFunction::VoltsDc));
        self::assertEqualsWithDelta(20e-6, MeterRange::for([7.5], MeterFunction::Capacitance), 1e-12);
        self::assertSame(
            0.0,
            MeterRange::for([2.0, \INF], MeterFunction::Ohms),
            'Open or not: the meter had better choose.',
        );
        self::assertSame(0.0, MeterRange::for([], MeterFunction::VoltsDc));
    }
}
