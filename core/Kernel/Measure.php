<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * A number with its unit as it was read; without a number where the meter showed over-range.
 */
final readonly class Measure
{
    public function __construct(public ?float $number, public Unit $unit) {}

    public function isOverRange(): bool
    {
        return $this->number === null;
    }

    /** In the base unit of its quantity; null for over-range. */
    public function inBase(): ?float
    {
        return $this->number === null ? null : $this->number * $this->unit->factor;
    }

    /**
     * Its text, exact: reading it again gives the same measure.
     *
     * @param string $prefix one of {@see Unit::PREFIXES}, for a unit that takes them
     */
    public function toText(string $prefix = ''): string
    {
        if ($this->number === null) {
            return 'OL';
        }

        return self::shifted($this->number, -(Unit::PREFIXES[$prefix] ?? 0)) . ' ' . $prefix . $this->unit->symbol;
    }

    /**
     * The shortest decimal digits that stand for the number, with the point moved: no arithmetic, so nothing is
     * rounded.
     */
    private static function shifted(float $number, int $places): string
    {
        [$digits, $exponent] = explode('e', sprintf('%se0', $number === 0.0 ? '0' : self::scientific($number))) + [
            1 => '0',
        ];
        $shift = (int) $exponent + $places;

        return $shift === 0 ? $digits : $digits . 'e' . $shift;
    }

    private static function scientific(float $number): string
    {
        for ($precision = 14; $precision < 17; ++$precision) {
            $text = sprintf("%.{$precision}e", $number);
            if ((float) $text === $number) {
                break;
            }
        }

        return sprintf("%.{$precision}e", $number);
    }
}
