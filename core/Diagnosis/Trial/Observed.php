<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

/**
 * One job of the foreign world, as the engine and an ideal observer left it on the same readings.
 */
final readonly class Observed
{
    /** Odds from which somebody has decided. */
    private const DECIDED = 0.9;

    public function __construct(public ForeignOutcome $outcome, public string $named, public float $probability) {}

    /**
     * Of each: share of jobs in which the right part leads, share that is not decided, number of those that are, and
     * of these the odds stated and the share that held.
     *
     * @param list<self> $jobs
     *
     * @return array{engine: array{float, float, int, float, float}, ideal: array{float, float, int, float, float}}
     */
    public static function compared(array $jobs): array
    {
        return [
            'engine' => self::figures(
                array_map(static fn(self $job): array => [$job->outcome->right, $job->outcome->probability], $jobs),
            ),
            'ideal' => self::figures(
                array_map(
                    static fn(self $job): array => [
                        \in_array($job->named, $job->outcome->remedies, true),
                        $job->probability,
                    ],
                    $jobs,
                ),
            ),
        ];
    }

    /**
     * @param list<array{bool, float}> $all whether right, and with which odds
     *
     * @return array{float, float, int, float, float}
     */
    private static function figures(array $all): array
    {
        $right = static fn(array $some): float => \count(array_filter(array_column($some, 0))) / max(1, \count($some));
        $sure = array_values(array_filter($all, static fn(array $one): bool => $one[1] >= self::DECIDED));

        return [
            $right($all),
            1.0 - \count($sure) / max(1, \count($all)),
            \count($sure),
            array_sum(array_column($sure, 1)) / max(1, \count($sure)),
            $right($sure),
        ];
    }
}
