<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Quantity;

/**
 * Between which values a reading can lie, by its quantity and by the circuit it is taken in.
 */
final readonly class Limits
{
    /** V that no test of the trade exceeds; a circuit without mains has no more than a few times its own supply. */
    private const MOST_VOLTS = 1000.0;
    private const LEAST_CEILING = 60.0;
    private const TIMES_SUPPLY = 3.0;

    /** Ω by which a resistance may fall below zero: what zeroing leaves. */
    private const BELOW_ZERO_OHMS = -0.1;

    /** Shares of the ordinary supply within which one is noted. */
    private const SUPPLY = [0.3, 2.5];

    /** % that a simulated meter could show before it was held at nothing. */
    private const LEAST_DUTY_ON_RECORD = -5.0;

    /** As wide as the readings that were taken before a circuit had limits of its own. */
    private const ANY = 1e8;
    private const ANY_SUPPLY = [1.0, 1000.0];

    /** @param bool $onRecord whether it was taken long ago, and only has to stay readable */
    public function __construct(private CircuitModel $circuit, private bool $onRecord = false) {}

    /** @return array{0: float, 1: float} in the base unit of the quantity */
    public function of(Quantity $quantity): array
    {
        if ($this->onRecord) {
            $least = match ($quantity) {
                Quantity::Ohms => 0.0,
                Quantity::Duty => self::LEAST_DUTY_ON_RECORD,
                default => -self::ANY,
            };

            return [$least, self::ANY];
        }

        return match ($quantity) {
            Quantity::Volts => [-$this->mostVolts(), $this->mostVolts()],
            Quantity::Amps => [-500.0, 500.0],
            Quantity::Ohms => [self::BELOW_ZERO_OHMS, 1e8],
            Quantity::Duty => [0.0, 100.0],
            Quantity::Vacuum => [-5.0, 110.0],
            Quantity::Capacitance => [0.0, 1e4],
            Quantity::Rise => [-50.0, 200.0],
            Quantity::Pressure => [-1e4, 1e4],
            Quantity::Frequency => [0.0, 1e5],
            default => [-INF, INF],
        };
    }

    /** @return array{0: float, 1: float} what a meter shows of it: an alternating quantity has no sign */
    public function shown(Quantity $quantity): array
    {
        [$least, $most] = $this->of($quantity);
        $signless = $quantity === Quantity::Ohms || $this->circuit->alternates($quantity);

        return [$signless ? max(0.0, $least) : $least, $most];
    }

    /** @return array{0: float, 1: float} of the supply as it is noted beside a reading */
    public function ofSupply(): array
    {
        return $this->onRecord
            ? self::ANY_SUPPLY
            : [self::SUPPLY[0] * $this->supply(), self::SUPPLY[1] * $this->supply()];
    }

    private function mostVolts(): float
    {
        foreach ($this->circuit->safety->hazards as $hazard) {
            if ($hazard === Hazard::Mains || $hazard === Hazard::StoredCharge) {
                return self::MOST_VOLTS;
            }
        }

        return max(self::LEAST_CEILING, self::TIMES_SUPPLY * $this->supply());
    }

    /** The ordinary supply, as the circuit declares it. */
    private function supply(): float
    {
        [$element, $parameter] = explode('.', $this->circuit->supply, 2) + [1 => ''];

        return $this->circuit->netlist->elements[$element]->parameters[$parameter];
    }
}
