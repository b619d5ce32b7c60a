<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Inference\SomethingElse;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * What a test that is only thought of may show under each suspect.
 */
final readonly class ForeseenOutcomes
{
    /** Spreads between two outcomes that are both tried. */
    private const TOLD_APART = 1.5;

    private const SLIP = 0.02;

    /**
     * @param array<string, Hypothesis> $hypotheses   all of them
     * @param Misbehaviour|null         $misbehaviour when the complaint comes and goes, and what the machine does is
     *     noted
     * @param float                     $scale        supply of the circuit over that of a 12 V system
     */
    public function __construct(
        private array $hypotheses,
        private Belief $belief,
        private Predictions $predictions,
        private ?Misbehaviour $misbehaviour = null,
        private float $scale = 1.0,
    ) {}

    /**
     * Chances of the outcomes that are tried.
     *
     * @param array<string, Hypothesis> $suspects
     * @param bool                      $roughly  over the few draws for judging
     *
     * @return array<string, list<float>> by hypothesis
     */
    public function shares(Test $test, array $suspects, bool $roughly = false): array
    {
        return $test->probe->quantity->isNumber()
            ? $this->numericShares($test, $suspects, $roughly)
            : $this->chosenShares($test, $suspects);
    }

    /**
     * @param array<string, Hypothesis> $suspects
     *
     * @return array<string, list<float>> chance of each outcome, by hypothesis
     */
    private function chosenShares(Test $test, array $suspects): array
    {
        $answers = Judged::answers($this->predictions->circuit, $test);

        return array_map(function (Hypothesis $hypothesis) use ($answers, $test): array {
            $chances = $this->chances($hypothesis, $test);

            return self::shared(array_map(static fn(string $answer): float => $chances[$answer] ?? 0.0, $answers));
        }, $suspects);
    }

    /**
     * Chances of the outcomes of a choice under a hypothesis, over its draws.
     *
     * @return array<string, float>
     */
    public function chances(Hypothesis $hypothesis, Test $test): array
    {
        if ($test->probe->quantity === Quantity::Observation) {
            return Likelihood::observed(
                $hypothesis,
                $test,
                $this->predictions->circuit->observations[$test->probe->at]->usual,
            );
        }
        if ($hypothesis->key === HypothesisList::SOMETHING_ELSE) {
            return SomethingElse::chances($this->chances($this->hypotheses[HypothesisList::NOTHING_WRONG], $test));
        }
        $sum = [];
        $numbers = $this->predictions->of($hypothesis, $test);
        foreach ($numbers as $ratio) {
            foreach (Judged::chances($this->predictions->circuit, $test, $ratio) as $state => $chance) {
                $sum[$state] = ($sum[$state] ?? 0.0) + $chance / \count($numbers);
            }
        }
        if ($hypothesis->comesAndGoes) {
            $sound = $this->chances($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);
            foreach ($sum as $state => $chance) {
                $sum[$state] = Belief::SHOWS * $chance + (1.0 - Belief::SHOWS) * ($sound[$state] ?? 0.0);
            }
        }

        return $sum;
    }

    /**
     * @param array<string, Hypothesis> $suspects
     *
     * @return array<string, list<float>> chance of each outcome that a suspect predicts, by hypothesis
     */
    private function numericShares(Test $test, array $suspects, bool $roughly): array
    {
        $sound = $this->onScale($this->hypotheses[HypothesisList::NOTHING_WRONG], $test, $roughly);
        $predicted = array_map(
            fn(Hypothesis $hypothesis): array => $this->onScale($hypothesis, $test, $roughly),
            array_filter($suspects, static fn(Hypothesis $h): bool => $h->key !== HypothesisList::SOMETHING_ELSE),
        );
        $tried = self::tried([...array_values($predicted), $sound]);
        $noted = $this->misbehaviour !== null && $this->misbehaviour->canBeNoted($test) ? [true, false] : [null];
        $shares = [];
        foreach ($predicted as $key => [$mean, $spread]) {
            $hypothesis = $suspects[$key];
            $fits = [];
            foreach ($noted as $misbehaved) {
                $present =
                    $misbehaved === null
                        ? 1.0
                        : Misbehaviour::likelihood(
                            $misbehaved,
                            $this->misbehaviour?->isNoticed($hypothesis, $test->setUp) ?? false,
                        );
                $absent = $misbehaved === null ? 1.0 : Misbehaviour::likelihood($misbehaved, false);
                foreach ($tried as [$outcome, $width]) {
                    $fit = $present * self::fits($outcome, $mean, $spread);
                    if ($hypothesis->comesAndGoes) {
                        $fit =
                            Belief::SHOWS * $fit +
                            (1.0 - Belief::SHOWS) * $absent * self::fits($outcome, $sound[0], $sound[1]);
                    }
                    $fits[] = $fit * $width;
                }
            }
            $shares[$key] = self::shared($fits);
        }
        if (isset($suspects[HypothesisList::SOMETHING_ELSE])) {
            $shares[HypothesisList::SOMETHING_ELSE] = $this->unlisted($sound, $tried, \count($noted));
        }

        return $shares;
    }

    /**
     * Outcomes worth trying: what the suspects predict, once where nobody could tell it apart, and a
     * little beyond on both sides, where suspects that predict nearly the same part.
     *
     * @param list<array{0: float, 1: float}> $predicted mean and spread by suspect
     *
     * @return array<array-key, array{0: float, 1: float}>
     */
    private static function tried(array $predicted): array
    {
        $tried = [];
        $lowest = $highest = null;
        foreach ($predicted as $one) {
            [$mean, $spread] = $one;
            $tried[is_infinite($mean) ? 'open' : (string) round($mean / (self::TOLD_APART * $spread))] ??= $one;
            if (!is_infinite($mean)) {
                $lowest = $lowest === null || $mean < $lowest[0] ? $one : $lowest;
                $highest = $highest === null || $mean > $highest[0] ? $one : $highest;
            }
        }
        if ($lowest !== null && $highest !== null) {
            $tried['under'] = [$lowest[0] - $lowest[1], $lowest[1]];
            $tried['over'] = [$highest[0] + $highest[1], $highest[1]];
        }

        return $tried;
    }

    /**
     * Chances of the outcomes tried, so that a hypothesis shares itself out over them and a slip may give any.
     *
     * @param list<float> $fits
     *
     * @return list<float>
     */
    private static function shared(array $fits): array
    {
        $sum = array_sum($fits);
        $even = 1.0 / max(1, \count($fits));

        return array_map(
            static fn(float $fit): float => (1.0 - self::SLIP) * ($sum > 0.0 ? $fit / $sum : $even) +
                self::SLIP * $even,
            $fits,
        );
    }

    private static function fits(float $outcome, float $mean, float $spread): float
    {
        if (is_infinite($outcome) || is_infinite($mean)) {
            return is_infinite($outcome) && is_infinite($mean) ? 1.0 : 0.0;
        }

        return Likelihood::normalDensity($outcome, $mean, $spread);
    }

    /**
     * @param array{0: float, 1: float}                   $sound
     * @param array<array-key, array{0: float, 1: float}> $tried
     *
     * @return list<float>
     */
    private function unlisted(array $sound, array $tried, int $times): array
    {
        $fits = [];
        for ($n = 0; $n < $times; ++$n) {
            foreach ($tried as [$outcome, $width]) {
                $fits[] = self::fits($outcome, ...$sound) * $width;
            }
        }

        return array_values(SomethingElse::chances(self::shared($fits)));
    }

    /**
     * Mean (INF where it is open) and spread of what a test would show, on its scale, with the meter's own spread.
     *
     * @return array{0: float, 1: float}
     */
    public function onScale(Hypothesis $hypothesis, Test $test, bool $roughly = false): array
    {
        if ($hypothesis->key === HypothesisList::SOMETHING_ELSE) {
            return $this->onScale($this->hypotheses[HypothesisList::NOTHING_WRONG], $test, $roughly);
        }
        // What is heard or seen is predicted over the few draws only.
        $roughly = $roughly || !$test->probe->quantity->isNumber();
        $expected = $this->predictions->expected($hypothesis, $test, $roughly);
        if ($expected->open) {
            return [\INF, 1.0];
        }

        return $this->asRead(
            $test,
            ...$this->belief->posterior($hypothesis->key, $roughly)->expect($expected->mean, $expected->deviations),
        );
    }

    /**
     * Mean and spread of what a test would show under a hypothesis, in the quantity's base unit.
     *
     * @return array{0: float, 1: float}
     */
    public function summary(Hypothesis $hypothesis, Test $test): array
    {
        [$mean, $spread] = $this->onScale($hypothesis, $test);
        if (is_infinite($mean)) {
            return [\INF, 1.0];
        }
        $shown = ReadingScale::from($test->probe->quantity, $mean);

        return [$shown, $spread / ReadingScale::slope($test->probe->quantity, $shown)];
    }

    /**
     * Between which readings a test lies under a hypothesis, in the quantity's base unit.
     *
     * @param float $spreads on either side of the middle
     *
     * @return array{0: float, 1: float} INF twice where it is open
     */
    public function range(Hypothesis $hypothesis, Test $test, float $spreads): array
    {
        return self::around($test->probe->quantity, $spreads, ...$this->onScale($hypothesis, $test));
    }

    /**
     * The same for any machine of this circuit, whatever was read of this one.
     *
     * @return array{0: float, 1: float} INF twice where it is open
     */
    public function rangeOfAny(Hypothesis $hypothesis, Test $test, float $spreads): array
    {
        $expected = $this->predictions->expected($hypothesis, $test);

        return $expected->open
            ? [\INF, \INF]
            : self::around(
                $test->probe->quantity,
                $spreads,
                ...$this->asRead($test, $expected->mean, $expected->variance()),
            );
    }

    /** @return array{0: float, 1: float} */
    private static function around(Quantity $quantity, float $spreads, float $mean, float $spread): array
    {
        return is_infinite($mean)
            ? [\INF, \INF]
            : [
                ReadingScale::from($quantity, $mean - $spreads * $spread),
                ReadingScale::from($quantity, $mean + $spreads * $spread),
            ];
    }

    /**
     * A number on its scale, as a meter shows it.
     *
     * @return array{0: float, 1: float} mean and spread, with the meter's own
     */
    private function asRead(Test $test, float $mean, float $variance): array
    {
        $quantity = $test->probe->quantity;
        $shown = ReadingScale::from($quantity, $mean);
        $own = $this->predictions->picksUp($test, $mean)
            ? 0.5 * ReadingScale::to($quantity, 2.0 * $this->predictions->pickUp->foreseen())
            : MeterAccuracy::spread($quantity, $shown) * ReadingScale::slope($quantity, $shown);

        return [$mean, sqrt($variance + $own * $own)];
    }

    /**
     * Density of places on the scale of a number, under a hypothesis; a fault that comes and goes may be away.
     *
     * @return \Closure(float): float
     */
    public function density(Hypothesis $hypothesis, Test $test): \Closure
    {
        $sound = $this->onScale($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);
        if ($hypothesis->key === HypothesisList::SOMETHING_ELSE) {
            $quantity = $test->probe->quantity;

            return fn(float $place): float => SomethingElse::density($quantity, $place, $sound, $this->scale);
        }
        $own = $this->onScale($hypothesis, $test);

        return $hypothesis->comesAndGoes
            ? static fn(float $place): float => Belief::SHOWS * self::fits($place, ...$own) +
                (1.0 - Belief::SHOWS) * self::fits($place, ...$sound)
            : static fn(float $place): float => self::fits($place, ...$own);
    }
}
