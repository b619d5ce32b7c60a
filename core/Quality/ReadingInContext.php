<?php

declare(strict_types=1);

namespace Ispira\Core\Quality;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Expected;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * A number that was read, with what stood before it and what the circuit can show.
 */
final class ReadingInContext
{
    /** Spreads, of the meter and of what is unknown together, within which a number fits a prediction. */
    private const FITS_WITHIN = 3.0;

    /** Spreads of the meter from zero on. */
    private const SOMETHING_FROM = 5.0;

    /** @var list<float>|null */
    private ?array $shown = null;

    /**
     * @param list<Reading>             $earlier    standing readings of the same episode, in the order taken
     * @param array<string, Hypothesis> $hypotheses
     */
    public function __construct(
        public readonly CircuitModel $circuit,
        public readonly Reading $reading,
        public readonly float $number,
        public readonly array $earlier,
        public readonly Words $words,
        private readonly array $hypotheses,
        private readonly Predictions $predictions,
    ) {}

    public function test(): Test
    {
        return $this->circuit->tests[$this->reading->test];
    }

    public function quantity(): Quantity
    {
        return $this->test()->probe->quantity;
    }

    /** Supply voltage at no load that is right for the circuit, in V. */
    public function supply(): float
    {
        return $this->predictions->usualSupply();
    }

    /** The number as it is written for the user. */
    public function written(?float $number = null): string
    {
        return $this->words->number($number ?? $this->number, $this->quantity());
    }

    /** @return list<float> what the test shows on a sound unit, one a draw; INF for open */
    public function sound(?Test $test = null): array
    {
        $test ??= $this->test();
        $numbers = $this->predictions->few($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);

        return $this->predictions->atSupply($numbers, $this->supplyFor($test), true);
    }

    /** Supply voltage that was noted with the reading, where what a test shows follows it. */
    private function supplyFor(Test $test): ?float
    {
        return $test->probe->quantity->followsSupply() ? $this->reading->supplyVolts : null;
    }

    /** @return list<float> all that the circuit can show in this test, with any fault; no open ones */
    public function possible(): array
    {
        if ($this->shown === null) {
            $this->shown = [];
            foreach ($this->hypotheses as $hypothesis) {
                foreach (
                    $this->predictions->atSupply(
                        $this->predictions->few($hypothesis, $this->test()),
                        $this->supplyFor($this->test()),
                        true,
                    )
                    as $number
                ) {
                    if (is_finite($number)) {
                        $this->shown[] = $number;
                    }
                }
            }
        }

        return $this->shown;
    }

    /** Whether a number is what the circuit shows with one fault or another. */
    public function fitsAny(float $number): bool
    {
        foreach ($this->hypotheses as $hypothesis) {
            if ($this->fits($number, $hypothesis)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a number is what a sound unit shows, and clearly not nothing. */
    public function fitsSound(float $number): bool
    {
        return abs($number) > self::SOMETHING_FROM * MeterAccuracy::spread($this->quantity(), 0.0) &&
            $this->fits($number, $this->hypotheses[HypothesisList::NOTHING_WRONG]);
    }

    private function fits(float $number, Hypothesis $hypothesis): bool
    {
        $numbers = $this->predictions->few($hypothesis, $this->test());
        $expected = Expected::of(
            $this->quantity(),
            $this->predictions->atSupply($numbers, $this->supplyFor($this->test()), true),
            $this->reading->leadOhms > 0.0,
        );
        if ($expected->open) {
            return false;
        }
        $off = ReadingScale::to($this->quantity(), $number) - $expected->mean;
        $own = MeterAccuracy::spread($this->quantity(), $number) * ReadingScale::slope($this->quantity(), $number);

        return $off * $off <= self::FITS_WITHIN ** 2 * ($expected->variance() + $own * $own);
    }

    /** @return list<Reading> numbers read before on the same two places and the same quantity, whatever the set-up */
    public function sameProbe(): array
    {
        return array_values(
            array_filter(
                $this->earlier,
                fn(Reading $r): bool => \is_float($r->value) &&
                    $this->circuit->tests[$r->test]->probe->key() === $this->test()->probe->key(),
            ),
        );
    }

    /** @return list<Reading> numbers of the same quantity read before in the same set-up */
    public function sameSetUp(): array
    {
        return array_values(
            array_filter(
                $this->earlier,
                fn(Reading $r): bool => \is_float($r->value) &&
                    $this->circuit->tests[$r->test]->setUp === $this->test()->setUp &&
                    $this->circuit->tests[$r->test]->probe->quantity === $this->quantity(),
            ),
        );
    }

    /** Whether this test was read before and showed the same: what was asked once is not asked again. */
    public function isConfirmed(): bool
    {
        foreach ($this->sameProbe() as $reading) {
            if (
                $reading->test === $this->reading->test &&
                !MeterAccuracy::tellsApart($this->quantity(), (float) $reading->value, $this->number)
            ) {
                return true;
            }
        }

        return false;
    }
}
