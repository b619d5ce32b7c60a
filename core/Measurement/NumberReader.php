<?php

declare(strict_types=1);

namespace Ispira\Core\Measurement;

/**
 * Reads a number as a person types it: decimal point or comma, an SI prefix, the unit or none.
 */
final class NumberReader
{
    private const PREFIXES = ['p' => 1e-12, 'n' => 1e-9, 'u' => 1e-6, 'µ' => 1e-6, 'μ' => 1e-6, 'm' => 1e-3, '' => 1.0, 'k' => 1e3, 'K' => 1e3, 'M' => 1e6, 'G' => 1e9];

    private const UNIT_NAMES = ['V' => ['V', 'v', 'volt', 'volts', 'VDC', 'V DC', 'Vdc'], 'A' => ['A', 'a', 'amp', 'amps', 'ADC', 'A DC'], 'Ω' => ['Ω', 'Ω', 'ohm', 'ohms', 'Ohm', 'Ohms', 'R']];

    /** Other units in which an instrument of the trade shows a quantity, and how many of the wanted unit one of them is. */
    private const OTHERS = [
        'Pa' => ['mbar' => 100.0, 'hPa' => 100.0, 'in w.c.' => 249.089, 'in wc' => 249.089, 'inwc' => 249.089, 'mm w.c.' => 9.80665],
        'K' => ['°F' => 1.0 / 1.8, 'F' => 1.0 / 1.8, '°C' => 1.0],
    ];

    /**
     * @param string $unit the unit wanted: V, A or Ω, or empty
     *
     * @throws UnreadableNumber
     */
    public static function read(mixed $given, string $unit): float
    {
        if (\is_int($given) || \is_float($given)) {
            return self::finite((float) $given);
        }
        if (!\is_string($given) || \strlen($given) > 40) {
            throw new UnreadableNumber("Type a number, such as 12.4$unit.");
        }
        foreach (self::OTHERS[$unit] ?? [] as $other => $factor) {
            if (str_ends_with(rtrim($given), $other)) {
                return self::read(substr(rtrim($given), 0, -\strlen($other)), '') * $factor;
            }
        }
        $names = array_map(static fn (string $name): string => preg_quote($name, '/'), self::UNIT_NAMES[$unit] ?? [$unit]);
        $pattern = '/^\s*([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][+-]?\d{1,3})?)\s*([pnuµμmkKMG]?)\s*(?:'.implode('|', $names).')?\s*$/u';
        if (preg_match($pattern, $given, $found) !== 1) {
            throw new UnreadableNumber($unit === '' ? "\"$given\" is not a number." : "\"$given\" is not a value in $unit. Type a number such as 12.4, 0,35 or 420m.");
        }

        return self::finite((float) str_replace(',', '.', $found[1]) * self::PREFIXES[$found[2]]);
    }

    private static function finite(float $number): float
    {
        return is_finite($number) ? $number : throw new UnreadableNumber('The number is too large.');
    }
}
