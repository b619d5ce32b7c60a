<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * A unit in which one of the trade's quantities is written.
 *
 * Every quantity is computed in one base unit (V, A, Ω, µF, Hz, %, K, Pa, kPa); the others are a factor of it.
 */
final readonly class Unit
{
    /** Decimal exponents of the prefixes that are understood in front of a unit, or alone after a number. */
    public const PREFIXES = [
        'p' => -12,
        'n' => -9,
        'u' => -6,
        'µ' => -6,
        'μ' => -6,
        'm' => -3,
        'k' => 3,
        'K' => 3,
        'M' => 6,
        'G' => 9,
    ];

    /**
     * @param string       $symbol    as it is written
     * @param string       $base      unit of the quantity in computation
     * @param float        $factor    base units in one of this unit
     * @param list<string> $spellings other ways in which people type it
     * @param bool         $prefixes  whether a prefix may stand in front of it
     * @param int          $exponent  decimal exponent that its symbol holds already, as that of the µ in µF
     */
    private function __construct(
        public string $symbol,
        public string $base,
        public float $factor = 1.0,
        public array $spellings = [],
        public bool $prefixes = false,
        public int $exponent = 0,
    ) {}

    /** The unit of that symbol for a quantity. @throws \OutOfBoundsException */
    public static function of(string $base, string $symbol): self
    {
        foreach (self::for($base) as $unit) {
            if ($unit->symbol === $symbol) {
                return $unit;
            }
        }
        throw new \OutOfBoundsException("$symbol is no unit of what is computed in $base.");
    }

    /**
     * All units of a quantity, the base unit first.
     *
     * Factors: 1 in w.c. = 249.089 Pa and 1 mm w.c. = 9.80665 Pa (water at 4 °C); 1 inHg = 3.386389 kPa (at 0 °C); 1 K
     * = 1.8 °F of difference.
     *
     * @return non-empty-list<self>
     */
    public static function for(string $base): array
    {
        return match ($base) {
            'V' => [new self('V', 'V', 1.0, ['v', 'volt', 'volts', 'VDC', 'V DC', 'Vdc', 'VAC', 'V AC', 'Vac'], true)],
            'A' => [
                new self('A', 'A', 1.0, ['a', 'amp', 'amps', 'ampere', 'amperes', 'ADC', 'A DC', 'AAC', 'A AC'], true),
            ],
            'Ω' => [new self('Ω', 'Ω', 1.0, ["\u{2126}", 'ohm', 'ohms', 'Ohm', 'Ohms', 'R'], true)],
            'µF' => [
                new self('µF', 'µF', 1.0, ['μF', 'uF', 'µf', 'uf', 'mfd', 'MFD'], false, -6),
                new self('F', 'µF', 1e6, ['farad'], true),
            ],
            'Hz' => [new self('Hz', 'Hz', 1.0, ['hz', 'HZ'], true)],
            'Pa' => [
                new self('Pa', 'Pa', 1.0, ['pa', 'pascal'], true),
                new self('mbar', 'Pa', 100.0),
                new self('hPa', 'Pa', 100.0),
                new self('mm w.c.', 'Pa', 9.80665, ['mmwc', 'mm wc', 'mmH2O', 'mmwg']),
                new self('in w.c.', 'Pa', 249.089, [
                    'inwc',
                    'in wc',
                    'in wg',
                    'inwg',
                    'inH2O',
                    'in H2O',
                    '" w.c.',
                    '"wc',
                ]),
            ],
            'kPa' => [
                new self('kPa', 'kPa', 1.0, ['kpa']),
                new self('Pa', 'kPa', 0.001, ['pascal']),
                new self('mbar', 'kPa', 0.1, ['hPa']),
                new self('inHg', 'kPa', 3.386389, ['in Hg', 'inhg', '"Hg']),
            ],
            'K' => [
                new self('K', 'K', 1.0, ['°C', 'C', 'degC', '℃']),
                new self('°F', 'K', 1.0 / 1.8, ['F', 'degF', '℉']),
            ],
            default => [new self($base, $base)],
        };
    }

    /** A value of the base unit in this one. */
    public function fromBase(float $value): float
    {
        return $value / $this->factor;
    }
}
