<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\Reading;

/**
 * A fault that no list holds: it may do anything that a person or a meter could find, and much that it does looks sound.
 *
 * Its predictions are broad, so that every listed fault that foretells the readings beats it; where none does, it gains.
 */
final readonly class SomethingElse
{
    /** Share of what it leaves as in the sound circuit, or nearly so, and how many times wider that is spread then. */
    private const AS_SOUND = 0.4;
    private const WIDER = 3.0;

    /** Share of resistances that are over range. */
    private const OPEN = 0.1;

    public function __construct(
        private Predictions $predictions,
        private Judging $judging,
        private Hypothesis $sound,
        private float $scale,
    ) {}

    public function weigh(Visit $visit): Weighed
    {
        $log = $visit->misbehaved === null ? 0.0 : log(0.5);
        $fits = $slips = [];
        foreach ($visit->judged as $reading) {
            $test = $this->predictions->circuit->tests[$reading->test];
            $fits[$reading->id] = $this->judged($reading, $test);
            $log += log($fits[$reading->id]) * Judging::counts($test->repeatable ? 1 : $visit->times($test->key));
        }
        foreach ($visit->measurements as $measurement) {
            $fit = $this->measured($measurement);
            $log += log($fit);
            foreach ($measurement->readings as $reading) {
                $fits[$reading->id] = $fit;
            }
        }

        return new Weighed($log, $fits, array_fill_keys(array_keys($fits), 0.0));
    }

    /**
     * Chances of outcomes that are chosen or told apart.
     *
     * @template K of array-key
     *
     * @param array<K, float> $sound the same with nothing wrong
     *
     * @return array<K, float>
     */
    public static function chances(array $sound): array
    {
        $even = 1.0 / max(1, \count($sound));

        return array_map(
            static fn(float $chance): float => self::AS_SOUND * $chance + (1.0 - self::AS_SOUND) * $even,
            $sound,
        );
    }

    private function judged(Reading $reading, Test $test): float
    {
        $circuit = $this->predictions->circuit;
        $answers = max(1, \count(Judged::answers($circuit, $test)));
        $usual =
            $test->probe->quantity === Quantity::Observation
                ? $circuit->observations[$test->probe->at]->usual[(string) $reading->value] ?? 0.0
                : $this->judging->heard->chance($this->sound, $reading, $test)[0];
        // What is only looked at stays as it is more often than not: most places are not the fault's.
        $share = $test->probe->quantity === Quantity::Observation ? 0.85 : self::AS_SOUND;

        return $share * $usual + (1.0 - $share) / $answers;
    }

    private function measured(Measurement $measurement): float
    {
        $expected = $this->predictions->expectedOf($this->sound, $measurement);
        $quantity = $measurement->test->probe->quantity;
        if ($measurement->value === null) {
            return $expected->open ? self::AS_SOUND + self::OPEN : self::OPEN;
        }
        $spread = sqrt($expected->variance());

        return self::density(
            $quantity,
            ReadingScale::to($quantity, $measurement->value),
            $expected->open ? null : [$expected->mean, $spread],
            $this->scale,
        );
    }

    /**
     * Of a place on the scale of a number.
     *
     * @param array{0: float, 1: float}|null $sound mean and spread with nothing wrong; null or INF where it is open
     */
    public static function density(Quantity $quantity, float $place, ?array $sound, float $scale): float
    {
        $value = ReadingScale::from($quantity, $place);
        $broad =
            (Likelihood::slipDensity($quantity, $value, $scale) * (1.0 - self::OPEN)) /
            ReadingScale::slope($quantity, $value);
        if ($sound === null || is_infinite($sound[0])) {
            return (1.0 - self::AS_SOUND) * $broad;
        }
        $near = Likelihood::normalDensity($place, $sound[0], hypot($sound[1] * self::WIDER, 0.14));

        return max(1e-300, self::AS_SOUND * $near + (1.0 - self::AS_SOUND) * $broad);
    }
}
