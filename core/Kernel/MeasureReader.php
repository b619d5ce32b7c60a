<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Reads a value as a person types it or an instrument shows it.
 *
 *     measure   = over-range | number [ prefix ] [ unit ]
 *     over-range = "OL" | "O.L" | "O.L." | "0L" | "over" | "over range" | "∞" | "inf"
 *     number    = [ "+" | "-" | "−" ] ( digits [ ( "." | "," ) [ digits ] ] | ( "." | "," ) digits ) [ "e" [ sign ]
 * digits ]
 *     prefix    = "p" | "n" | "u" | "µ" | "m" | "k" | "K" | "M" | "G"
 *
 * Spaces may stand between the parts. Over-range is told by any case of its letters. A prefix is taken into the number
 * as a
 * decimal exponent before that is rounded, so "420m" and "0.42" are the same number.
 */
final class MeasureReader
{
    private const MOST_CHARACTERS = 40;
    private const OVER_RANGE = '/^\s*(?:O\.?L\.?|0L|over(?:[ -]?range)?|∞|inf(?:inity)?)\s*$/iu';
    private const NUMBER = '([+\-−]?)\s*(\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE]([+\-−]?\d{1,3}))?';

    /**
     * @param string      $base     base unit of the quantity wanted; empty for a bare number
     * @param string|null $assumed  symbol of the unit that a bare number has; the base unit when left out
     *
     * @throws UnreadableNumber
     */
    public static function read(mixed $given, string $base, ?string $assumed = null): Measure
    {
        $unit = Unit::of($base, $assumed ?? $base);
        if (\is_int($given) || \is_float($given)) {
            return new Measure(self::finite((float) $given), $unit);
        }
        if (!\is_string($given) || \strlen($given) > self::MOST_CHARACTERS || !mb_check_encoding($given, 'UTF-8')) {
            throw new UnreadableNumber(trim("Type a number, such as 12.4 $unit->symbol") . '.');
        }
        if ($base !== '' && preg_match(self::OVER_RANGE, $given) === 1) {
            return new Measure(null, $unit);
        }
        if (preg_match('/^\s*' . self::NUMBER . '\s*(.*?)\s*$/u', $given, $found) !== 1) {
            throw new UnreadableNumber(self::complaint($given, $unit));
        }
        [, $sign, $digits, $exponent, $tail] = $found;
        [$prefix, $read] = self::tail($tail, $unit) ?? throw new UnreadableNumber(self::complaint($given, $unit));
        $power = (int) str_replace('−', '-', $exponent === '' ? '0' : $exponent) + $prefix;

        return new Measure(
            self::finite(
                (float) (($sign === '' || $sign === '+' ? '' : '-') . str_replace(',', '.', $digits) . "e$power"),
            ),
            $read,
        );
    }

    /**
     * What stands after the digits: the decimal exponent of its prefix, and its unit.
     *
     * @return array{0: int, 1: Unit}|null
     */
    private static function tail(string $tail, Unit $assumed): ?array
    {
        if ($tail === '') {
            return [0, $assumed];
        }
        foreach (Unit::for($assumed->base) as $unit) {
            foreach ([$unit->symbol, ...$unit->spellings] as $spelling) {
                if ($tail === $spelling) {
                    return [0, $unit];
                }
                foreach ($unit->prefixes ? Unit::PREFIXES : [] as $prefix => $exponent) {
                    if (str_starts_with($tail, $prefix) && ltrim(substr($tail, \strlen($prefix))) === $spelling) {
                        return [$exponent, $unit];
                    }
                }
            }
        }
        $exponent = Unit::PREFIXES[$tail] ?? null;

        // A prefix alone belongs to the unit without its own: "7.5u" in a field of µF.
        return $exponent === null ? null : [$exponent - $assumed->exponent, $assumed];
    }

    private static function complaint(string $given, Unit $unit): string
    {
        return $unit->symbol === ''
            ? "\"$given\" is not a number."
            : "\"$given\" is not a value in $unit->symbol. Type a number such as 12.4, 0,35 or 420m.";
    }

    private static function finite(float $number): float
    {
        return is_finite($number) ? $number : throw new UnreadableNumber('The number is too large.');
    }
}
