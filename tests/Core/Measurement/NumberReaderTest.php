<?php

declare(strict_types=1);

namespace Tests\Core\Measurement;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NumberReaderTest extends TestCase
{
    /** @return iterable<array{0: mixed, 1: string, 2: float}> */
    public static function readable(): iterable
    {
        yield ['12.4', 'V', 12.4];
        yield ['11,8 V', 'V', 11.8];
        yield [' 0.42k ', 'Ω', 420.0];
        yield ['420m', 'Ω', 0.42];
        yield ['1.1 ohm', 'Ω', 1.1];
        yield ['2 MΩ', 'Ω', 2e6];
        yield ['-0.3', 'V', -0.3];
        yield ['.5', 'V', 0.5];
        yield ['18 amps', 'A', 18.0];
        yield ['250 mV', 'V', 0.25];
        yield ['1e3', 'Ω', 1000.0];
        yield ['1.6 mbar', 'Pa', 160.0];
        yield ['0,64 in w.c.', 'Pa', 0.64 * 249.089];
        yield ['160', 'Pa', 160.0];
        yield ['0.16 kPa', 'Pa', 160.0];
        yield ['54 °F', 'K', 30.0];
        yield [7, 'A', 7.0];
        yield [0.5, 'A', 0.5];
    }

    #[DataProvider('readable')]
    public function testWhatPeopleTypeIsUnderstood(mixed $typed, string $unit, float $value): void
    {
        self::assertEqualsWithDelta($value, NumberReader::read($typed, $unit), 1e-12 * max(1.0, abs($value)));
    }

    /** @return iterable<array{0: mixed, 1: string}> */
    public static function unreadable(): iterable
    {
        yield ['', 'V'];
        yield ['twelve', 'V'];
        yield ['12.4.1', 'V'];
        yield ['12 A', 'V'];
        yield ['1,234.5', 'V'];
        yield [[], 'V'];
        yield [null, 'V'];
        yield ['1e999', 'V'];
        yield [\NAN, 'V'];
        yield [str_repeat('9', 50), 'V'];
    }

    #[DataProvider('unreadable')]
    public function testTheRestIsRefusedInWords(mixed $typed, string $unit): void
    {
        $this->expectException(UnreadableNumber::class);
        NumberReader::read($typed, $unit);
    }
}
