<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Diagnosis\Inference\HypothesisList;

/**
 * From what the readings weigh to what may be said of it: a list of faults is never the whole world.
 *
 * However well a listed fault explains every reading, now and then it was something else that looks the same to all of
 * them. No reading tells of it, so it lessens what is stated, and never what is done next.
 */
final readonly class StatedOdds
{
    /**
     * Share of jobs in which it was. In a world wider than this one, what weighed 99.5 % and more held in 98 % of jobs of
     * any kind, and in 99 % of those with a listed fault (docs/engine.md, section 8).
     */
    public const UNFORESEEN = 0.02;

    /** @param float $weighed 0 to 1 */
    public static function of(string $remedy, float $weighed): float
    {
        return (1.0 - self::UNFORESEEN) * min(1.0, $weighed) +
            ($remedy === HypothesisList::SOMETHING_ELSE ? self::UNFORESEEN : 0.0);
    }

    /**
     * @param array<string, float> $weighed by remedy, 1 in all
     *
     * @return array<string, float>
     */
    public static function ofAll(array $weighed): array
    {
        $stated = [];
        foreach ($weighed as $remedy => $share) {
            $stated[$remedy] = self::of((string) $remedy, $share);
        }

        return $stated;
    }
}
