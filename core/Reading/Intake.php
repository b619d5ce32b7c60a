<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\Text;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * The one way in for readings of a circuit, whichever door they come through: typed, from a meter, from a table, from a
 * job file, as a check of a repair or of a new part. All doors refuse the same with the same words.
 */
final readonly class Intake
{
    private Limits $limits;

    /**
     * @param \Closure(Test): list<string> $answers  those that make sense for a test whose outcome is chosen
     * @param bool                         $onRecord whether they were taken long ago, and only have to stay readable
     */
    public function __construct(
        private CircuitModel $circuit,
        private \Closure $answers,
        private DisplayUnits $units = new DisplayUnits(),
        bool $onRecord = false,
    ) {
        $this->limits = new Limits($circuit, $onRecord);
    }

    /** @throws RefusedReading */
    public function test(string $key): Test
    {
        return $this->circuit->tests[$key] ??
            throw new RefusedReading(RefusedReading::TEST, 'This circuit has no test "' . Text::cut($key, 80) . '".');
    }

    /**
     * What a test showed.
     *
     * @param mixed $given    a number in the base unit, a text as a person types it or a meter shows it, or an answer
     * @param float $leadOhms resistance of the leads, taken off of every resistance
     *
     * @return float|string|null in the base unit; null for over-range
     *
     * @throws RefusedReading
     */
    public function value(Test $test, mixed $given, float $leadOhms = 0.0): float|string|null
    {
        if (!$test->probe->quantity->isNumber()) {
            return $this->answer($test, $given);
        }
        try {
            $base = $test->probe->quantity->unit();
            $given = \is_string($given) && trim($given) === '' ? null : $given;
            $measure = MeasureReader::read($given, $base, $this->units->unit($base)->symbol);
        } catch (UnreadableNumber $error) {
            throw new RefusedReading(RefusedReading::VALUE, $error->getMessage());
        }

        return $measure->inBase() === null ? null : $this->within($test, $measure->inBase(), $leadOhms);
    }

    /**
     * The same for what an instrument gave in the base unit.
     *
     * @throws RefusedReading
     */
    public function within(Test $test, float $number, float $leadOhms = 0.0): float
    {
        $quantity = $test->probe->quantity;
        $number -= $quantity === Quantity::Ohms ? $leadOhms : 0.0;
        [$least, $most] = $this->limits->of($quantity);
        if ($number >= $least && $number <= $most) {
            return $quantity === Quantity::Ohms ? max(0.0, $number) : $number;
        }
        if ($quantity === Quantity::Ohms && $number < $least) {
            throw new RefusedReading(
                RefusedReading::VALUE,
                $leadOhms > 0.0
                    ? 'That is less than the leads alone: measure the leads again, or take their value off the list.'
                    : 'A resistance is never below zero. Was the part live, or were the leads not zeroed?',
            );
        }
        throw new RefusedReading(
            RefusedReading::VALUE,
            "Here it lies between {$this->said($least, $quantity)} and {$this->said($most, $quantity)}. Check the " .
                'prefix and the decimal point, or give over range.',
        );
    }

    /**
     * The supply at that moment, noted beside a reading; nothing given is nothing noted.
     *
     * @throws RefusedReading
     */
    public function supply(mixed $given): ?float
    {
        if ($given === null || $given === '') {
            return null;
        }
        $unit = $this->circuit->potential()->unit();
        try {
            $supply = MeasureReader::read($given, $unit, $this->units->unit($unit)->symbol)->inBase();
        } catch (UnreadableNumber $error) {
            throw new RefusedReading(RefusedReading::SUPPLY, $error->getMessage());
        }
        [$least, $most] = $this->limits->ofSupply();
        if ($supply === null || $supply < $least || $supply > $most) {
            throw new RefusedReading(
                RefusedReading::SUPPLY,
                \sprintf('The supply of this circuit lies between %.0f and %.0f %s.', $least, $most, $unit),
            );
        }

        return $supply;
    }

    private function answer(Test $test, mixed $given): string
    {
        $answers = ($this->answers)($test);

        return \is_string($given) && \in_array($given, $answers, true)
            ? $given
            : throw new RefusedReading(RefusedReading::VALUE, 'Choose one of: ' . implode(', ', $answers) . '.');
    }

    private function said(float $base, Quantity $quantity): string
    {
        $unit = $this->units->unit($quantity->unit());

        return \sprintf('%g %s', round($unit->fromBase($base), 1), $unit->symbol);
    }
}
