<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * The values of a bench supply, and what follows from them.
 */
final readonly class SupplyDesign
{
    /** To which the bus has to fall before anything is touched. */
    public const SAFE_VOLTS = 50.0;

    /** A 15 V regulator, and its spread. */
    public const LOGIC = 15.0;
    public const LOGIC_HIGH = 15.6;
    public const LOGIC_LOW = 14.4;

    private const POT_TOLERANCE = 0.2;
    private const RESISTOR_TOLERANCE = 0.05;

    private const BUS_DIODE = 0.9;
    private const LOGIC_DIODE = 0.7;

    /**
     * @param \Closure(string): float $value   by the key of its field
     * @param bool                    $trimmed whether the resistor above the potentiometer is a trimmer, set with a meter
     */
    public function __construct(private \Closure $value, public bool $trimmed) {}

    public function of(string $key): float
    {
        return ($this->value)($key);
    }

    private function high(): float
    {
        return 1.0 + $this->of('tolerance') / 100.0;
    }

    private function low(): float
    {
        return 1.0 - $this->of('tolerance') / 100.0;
    }

    private function bus(float $share): Rectifier
    {
        return new Rectifier(
            $this->of('mains') * $share,
            $this->of('hertz'),
            self::BUS_DIODE,
            $this->of('busMicrofarads') * 1e-6,
        );
    }

    public function nominalBus(): Rectifier
    {
        return $this->bus(1.0);
    }

    public function highBus(): Rectifier
    {
        return $this->bus($this->high());
    }

    public function lowBus(): Rectifier
    {
        return $this->bus($this->low());
    }

    /** Current of the motor from the bus at low mains, where it is highest: P/(η·Vm), in A. */
    public function busAmps(): float
    {
        return $this->of('power') / ($this->of('efficiency') / 100.0) / $this->lowBus()->peak();
    }

    public function bleederOhms(): float
    {
        return $this->of('bleeder') * 1e3;
    }

    /** Logic supply at full load and low mains. */
    public function lowLogic(): Rectifier
    {
        return new Rectifier(
            $this->of('secondary') * $this->low(),
            $this->of('hertz'),
            self::LOGIC_DIODE,
            $this->of('reservoir') * 1e-6,
        );
    }

    /** At no load and high mains, where the transformer gives more than its rating. */
    public function highLogic(): Rectifier
    {
        return new Rectifier(
            $this->of('secondary') * $this->high() * (1.0 + $this->of('regulation') / 100.0),
            $this->of('hertz'),
            self::LOGIC_DIODE,
            $this->of('reservoir') * 1e-6,
        );
    }

    public function logicAmps(): float
    {
        return $this->of('logicMilliamps') / 1e3;
    }

    /** What is left above the regulator's output at the lowest point of the ripple. */
    public function headroom(): float
    {
        return $this->lowLogic()->peak() - $this->lowLogic()->ripple($this->logicAmps()) - self::LOGIC;
    }

    /** Heat of the regulator at high mains and full load, in W. */
    public function regulatorHeat(): float
    {
        $loaded = new Rectifier(
            $this->of('secondary') * $this->high(),
            $this->of('hertz'),
            self::LOGIC_DIODE,
            $this->of('reservoir') * 1e-6,
        );

        return ($loaded->peak() - 0.5 * $loaded->ripple($this->logicAmps()) - self::LOGIC) * $this->logicAmps();
    }

    public function divider(): CommandDivider
    {
        return new CommandDivider(
            self::LOGIC,
            $this->of('fixed') * 1e3,
            $this->of('pot') * 1e3,
            $this->of('input') * 1e3,
            $this->of('series') * 1e3,
        );
    }

    /** Command at the top of its way, highest: a trimmer takes out what potentiometer and resistors are off. */
    public function commandHigh(): float
    {
        return $this->trimmed
            ? $this->divider()->corner(self::LOGIC_HIGH, 0.0, 0.0)
            : $this->divider()->corner(self::LOGIC_HIGH, self::POT_TOLERANCE, -self::RESISTOR_TOLERANCE);
    }

    /** The same, lowest. */
    public function commandLow(): float
    {
        return $this->trimmed
            ? $this->divider()->corner(self::LOGIC_LOW, 0.0, 0.0)
            : $this->divider()->corner(self::LOGIC_LOW, -self::POT_TOLERANCE, self::RESISTOR_TOLERANCE);
    }

    /** Current of the feedback lamp: (Vcc − Vled)/R, in A. */
    public function lampAmps(float $logic): float
    {
        return ($logic - $this->of('lampVolts')) / ($this->of('lampOhms') * 1e3);
    }
}
