<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\WireAndSplice;

/**
 * A copper wire by its cross-section.
 */
final readonly class Wire
{
    /** Ω·mm²/m of copper at 20 °C, and what it grows by for each K (IEC 60028). */
    private const RESISTIVITY = 0.017241;
    private const PER_KELVIN = 0.00393;

    /** At which a loaded wire in a cabin or cabinet is reckoned with. */
    private const CELSIUS = 50.0;

    /**
     * Continuous current in A of one insulated copper wire in free air, by {@see SIZES}: general figures on the safe
     * side, between which is interpolated.
     */
    private const CARRIES = [4.0, 7.0, 9.0, 11.0, 15.0, 21.0, 28.0, 36.0, 50.0, 68.0];

    /** Cross-sections in mm² that can be bought. */
    public const SIZES = [0.35, 0.5, 0.75, 1.0, 1.5, 2.5, 4.0, 6.0, 10.0, 16.0];

    /** Insulated crimps: colour and the cross-sections that they hold, in mm². */
    private const CRIMPS = ['red' => [0.5, 1.5], 'blue' => [1.5, 2.5], 'yellow' => [4.0, 6.0]];

    /** @param float $area in mm² */
    public function __construct(public float $area) {}

    /** Cross-section of an American gauge: diameter 0.127 mm · 92^((36 − n)/39) (ASTM B258). */
    public static function gauge(int $number): self
    {
        $diameter = 0.127 * 92.0 ** ((36 - $number) / 39.0);

        return new self((\M_PI / 4.0) * $diameter * $diameter);
    }

    /** The American gauge that comes nearest. */
    public function nearestGauge(): int
    {
        return (int) round(36.0 - (39.0 * log(sqrt((4.0 * $this->area) / \M_PI) / 0.127)) / log(92.0));
    }

    /** @param float $metres of the wire, there and back where it goes back */
    public function ohms(float $metres): float
    {
        return (self::RESISTIVITY * (1.0 + self::PER_KELVIN * (self::CELSIUS - 20.0)) * $metres) / $this->area;
    }

    /** Continuous current in A; none under the smallest of the table. */
    public function carries(): float
    {
        if ($this->area < self::SIZES[0]) {
            return 0.0;
        }
        $table = self::table();
        foreach ($table as $n => [$area, $amps]) {
            if ($this->area <= $area) {
                [$smaller, $less] = $table[max(0, $n - 1)];

                return $area > $smaller
                    ? $less + (($amps - $less) * ($this->area - $smaller)) / ($area - $smaller)
                    : $amps;
            }
        }

        return $table[\count($table) - 1][1];
    }

    /** @return non-empty-list<array{0: float, 1: float}> mm² and A */
    private static function table(): array
    {
        return array_map(static fn(float $area, float $amps): array => [$area, $amps], self::SIZES, self::CARRIES);
    }

    /** Colour of the insulated crimp for it; null when none of the three classes holds it. */
    public function crimp(): ?string
    {
        foreach (self::CRIMPS as $colour => [$from, $to]) {
            if ($this->area >= $from * 0.98 && $this->area <= $to * 1.02) {
                return $colour;
            }
        }

        return null;
    }

    /** The smallest wire to be bought that carries a current and loses at most so many volts over a length. */
    public static function smallestFor(float $amps, float $metres, float $drop): ?self
    {
        foreach (self::SIZES as $area) {
            $wire = new self($area);
            if ($wire->carries() >= $amps && $wire->ohms($metres) * $amps <= $drop) {
                return $wire;
            }
        }

        return null;
    }
}
