<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * Which hypotheses are still followed, by weights that are partly rough.
 *
 * The few draws for judging know little of what moves together, so that numbers weighed over them err, and the more
 * the more of them there are: what is right must not be dropped for that.
 */
final class Screening
{
    /** Hypotheses that fall below this share of the best are not followed further within an attempt. */
    private const NEGLIGIBLE = 1e-6;

    /** Those whose numbers leave them less than this share of the best are weighed over the few draws alone. */
    private const UNLIKELY = 1e-3;

    /** By how much the few draws err in the logarithm of a weight, for each number that was measured. */
    private const ROUGH_BY = 0.2;

    private function __construct() {}

    /**
     * @param array<string, float> $log     natural logarithms of weights
     * @param int                  $numbers how many numbers are in them that were weighed roughly
     *
     * @return array<string, float> without those that are not followed further
     */
    public static function followed(array $log, int $numbers = 0): array
    {
        $floor = self::below($log, self::NEGLIGIBLE, $numbers);

        // The sound circuit is followed to the end: reasons are told against it.
        return array_filter(
            $log,
            static fn(float $one, string $key): bool => $one >= $floor ||
                $key === HypothesisList::NOTHING_WRONG ||
                $key === HypothesisList::SOMETHING_ELSE,
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * The weight from which a hypothesis is worth all draws.
     *
     * @param array<string, float> $log     natural logarithms of weights
     * @param int                  $numbers how many numbers are in them that were weighed roughly
     *
     * @return float a natural logarithm too
     */
    public static function worthAllDraws(array $log, int $numbers): float
    {
        return self::below($log, self::UNLIKELY, $numbers);
    }

    /** @param array<string, float> $log */
    private static function below(array $log, float $share, int $numbers): float
    {
        return ($log === [] ? 0.0 : max($log)) + log($share) - self::ROUGH_BY * $numbers;
    }
}
