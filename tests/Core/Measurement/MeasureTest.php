<?php

declare(strict_types=1);

namespace Tests\Core\Measurement;

use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Measure;
use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\Unit;
use Ispira\Core\Kernel\UnreadableNumber;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeasureTest extends TestCase
{
    private const BASES = ['V', 'A', 'Ω', 'µF', 'Hz', 'Pa', 'kPa', 'K', '%'];

    /** Print, then read: the same quantity, to the last bit, in every unit and with every prefix. */
    public function testWhatIsPrintedIsReadAsTheSame(): void
    {
        mt_srand(7);
        for ($case = 0; $case < 4000; ++$case) {
            $base = self::BASES[mt_rand(0, \count(self::BASES) - 1)];
            $units = Unit::for($base);
            $unit = $units[mt_rand(0, \count($units) - 1)];
            $number = (((mt_rand(0, 1) === 1 ? 1.0 : -1.0) * mt_rand()) / mt_getrandmax()) * 10.0 ** mt_rand(-9, 9);
            $number = $case % 50 === 0 ? 0.0 : $number;
            $prefix = $unit->prefixes && mt_rand(0, 1) === 1 ? (string) array_rand(Unit::PREFIXES) : '';
            // Microfarads written out are read in their own unit.
            $prefix = $unit->symbol === 'F' && \in_array($prefix, ['u', 'µ', 'μ'], true) ? 'n' : $prefix;
            $text = (new Measure($number, $unit))->toText($prefix);
            $read = MeasureReader::read($text, $base);
            self::assertSame($number, $read->number, $text);
            self::assertSame($unit->symbol, $read->unit->symbol, $text);
            self::assertSame($number * $unit->factor, $read->inBase(), $text);
        }
        self::assertTrue(MeasureReader::read((new Measure(null, Unit::of('Ω', 'Ω')))->toText(), 'Ω')->isOverRange());
    }

    /** @return iterable<array{0: string, 1: string, 2: float|null}> typed, base unit, value in it */
    public static function typed(): iterable
    {
        yield ['0.42k', 'Ω', 420.0];
        yield ['11,8 V', 'V', 11.8];
        yield ['7.5 uF', 'µF', 7.5];
        yield ['7.5u', 'µF', 7.5];
        yield ['100n', 'µF', 0.1];
        yield ['0.0000075 F', 'µF', 7.5];
        yield ['5', 'µF', 5.0];
        yield ['5 mfd', 'µF', 5.0];
        yield ['OL', 'Ω', null];
        yield ['o.l.', 'Ω', null];
        yield ['over range', 'V', null];
        yield ['∞', 'Ω', null];
        yield ['1.2 inwc', 'Pa', 1.2 * 249.089];
        yield ['0.5 in w.c.', 'Pa', 0.5 * 249.089];
        yield ['1.6mbar', 'Pa', 160.0];
        yield ['0.2 kPa', 'Pa', 200.0];
        yield ['10 mmwc', 'Pa', 98.0665];
        yield ['18 inHg', 'kPa', 18.0 * 3.386389];
        yield ['54°F', 'K', 30.0];
        yield ['54 F', 'K', 30.0];
        yield ['30 °C', 'K', 30.0];
        yield ['−0.3', 'V', -0.3];
        yield ['4.7 k ohm', 'Ω', 4700.0];
        yield ['2M', 'Ω', 2e6];
        yield ['120VAC', 'V', 120.0];
        yield ['55 %', '%', 55.0];
    }

    #[DataProvider('typed')]
    public function testWhatPeopleTypeIsUnderstood(string $typed, string $base, ?float $value): void
    {
        $read = MeasureReader::read($typed, $base)->inBase();
        $value === null ? self::assertNull($read) : self::assertEqualsWithDelta($value, $read, 1e-12 * abs($value));
    }

    public function testABareNumberIsInTheUsersUnit(): void
    {
        self::assertEqualsWithDelta(249.089, MeasureReader::read('1', 'Pa', 'in w.c.')->inBase(), 1e-12);
        self::assertEqualsWithDelta(1.0, MeasureReader::read('1 Pa', 'Pa', 'in w.c.')->inBase(), 1e-12);
    }

    /** @return iterable<array{0: string, 1: string}> */
    public static function refused(): iterable
    {
        yield ['12 A', 'V'];
        yield ['5 uV', 'µF'];
        yield ['1.2 inwc', 'V'];
        yield ['OL', ''];
        yield ['1e400', 'V'];
        yield ["12\xff", 'V'];
        yield ['12 4', 'V'];
        yield ['--3', 'V'];
    }

    #[DataProvider('refused')]
    public function testTheRestIsRefused(string $typed, string $base): void
    {
        $this->expectException(UnreadableNumber::class);
        MeasureReader::read($typed, $base);
    }

    public function testUnitsFollowTheSystemAndItsExceptions(): void
    {
        $us = new DisplayUnits(DisplayUnits::US);
        self::assertSame('in w.c.', $us->unit('Pa')->symbol);
        self::assertSame('V', $us->unit('V')->symbol);
        $mine = $us->with('Pa', 'mbar');
        self::assertSame('mbar', $mine->unit('Pa')->symbol);
        self::assertSame('°F', $mine->unit('K')->symbol);
        self::assertSame('Pa', (new DisplayUnits())->unit('Pa')->symbol);
        // What an older version stored and this one does not know is the base unit.
        self::assertSame('Pa', (new DisplayUnits('metric', ['Pa' => 'torr']))->unit('Pa')->symbol);
        $this->expectException(\OutOfBoundsException::class);
        $us->with('Pa', 'torr');
    }
}
