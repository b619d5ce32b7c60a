<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Quantity;

/**
 * What a meter shows between two places that nothing feeds, with live wires beside them.
 *
 * Nobody reads 0.00 V there: beside alternating current wires are aerials, and on direct current charge is left, and a
 * meter of 10 MΩ finds every damp surface. Tenths of a volt are as good as nothing. Where current is driven, however
 * little of it, the reading is that of the circuit.
 */
final readonly class PickUp
{
    /**
     * Standard deviation of what is picked up, in V, beside alternating current, beside mains that are rectified and in
     * a vehicle; and the share of dead places where it is nothing at all. Estimates.
     */
    private const ALTERNATING = 0.5;
    private const RECTIFIED = 0.15;
    private const IN_A_VEHICLE = 0.1;
    private const NOTHING_ALTERNATING = 0.5;
    private const NOTHING_DIRECT = 0.9;

    /** Direct voltage that no vehicle has, in V. */
    private const RECTIFIED_FROM = 60.0;

    /**
     * Under which nothing drives a current at all, in V: a good contact that carries any loses more. And under which a
     * place counts as dead that is live in a sound machine, from so many V.
     */
    private const DEAD_UNDER = 2e-4;
    private const CUT_OFF_UNDER = 0.05;
    private const LIVE_FROM = 1.0;

    /** Deviations beyond which nothing is picked up. */
    private const AT_MOST = 5.0;

    /** Area under one half of a normal curve of deviation 1 and height 1. */
    private const HALF = 1.2533141373155;

    /**
     * @param float $volts   standard deviation of what is picked up
     * @param float $nothing share of dead places where it is nothing at all
     * @param bool  $signed  whether it may be of either sign
     */
    private function __construct(public float $volts, private float $nothing, private bool $signed) {}

    /** What is picked up in a circuit. */
    public static function in(Netlist $netlist): self
    {
        if ($netlist->alternates()) {
            return new self(self::ALTERNATING, self::NOTHING_ALTERNATING, false);
        }
        $highest = 0.0;
        foreach ($netlist->elements as $element) {
            $highest = $element->type === ElementType::Source ? max($highest, $element->parameters['volts']) : $highest;
        }

        return new self(
            $highest > self::RECTIFIED_FROM ? self::RECTIFIED : self::IN_A_VEHICLE,
            self::NOTHING_DIRECT,
            true,
        );
    }

    /** Deviation to which readings of dead places are foreseen, in V: as much as is picked up, less where it is rare. */
    public function foreseen(): float
    {
        return $this->volts * sqrt(2.0 * (1.0 - $this->nothing));
    }

    /** Whether what was read may have been picked up at all. */
    public function mayBe(float $volts): bool
    {
        return abs($volts) < self::AT_MOST * $this->volts;
    }

    /**
     * Whether a place that should show so much may pick something up.
     *
     * @param \Closure(): float $sound what it shows with nothing wrong, in V; asked only where it matters
     */
    public static function mayBeAt(Quantity $quantity, float $volts, \Closure $sound): bool
    {
        $off = abs($volts);

        return $quantity === Quantity::Volts &&
            ($off < self::DEAD_UNDER || ($off < self::CUT_OFF_UNDER && abs($sound()) > self::LIVE_FROM));
    }

    /**
     * What is picked up at a dead place.
     *
     * @param float $nothing from 0 to 1, by chance
     * @param float $normal  by chance, of deviation 1
     */
    public function drawn(float $nothing, float $normal): float
    {
        return $nothing < $this->nothing ? 0.0 : $this->volts * ($this->signed ? $normal : abs($normal));
    }

    /**
     * Density of a reading at a dead place, for each V.
     *
     * @param float $ofMeter density by the meter alone, for each V
     */
    public function density(float $volts, float $ofMeter): float
    {
        $z = $volts / $this->volts;
        $area = ($this->signed ? 2.0 : 1.0) * self::HALF * $this->volts;

        return $this->nothing * $ofMeter + ((1.0 - $this->nothing) * exp(-0.5 * $z * $z)) / $area;
    }
}
