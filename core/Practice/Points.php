<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Diagnosis\Decision\DecisionSettings;

/**
 * What a course is worth, beside the best that could have been found for the same unit.
 */
final readonly class Points
{
    /** Minutes of every job that no choice of tests changes: so that a minute more on a short job is no disaster. */
    private const EVERY_JOB = 20.0;

    /** Points from which a course passes, if it is right and nobody would have been hurt. */
    private const PASSES = 60;

    /** Points for each measurement that was not written down, and at most. */
    private const UNWRITTEN = 2;
    private const MOST_UNWRITTEN = 10;

    private function __construct(public int $points, public bool $passed) {}

    /** @param int $unwritten measurements that were not written down */
    public static function of(
        Course $own,
        Course $best,
        DecisionSettings $settings,
        int $unwritten = 0,
        bool $danger = false,
    ): self {
        if ($danger) {
            return new self(0, false);
        }
        $always = $settings->effort(self::EVERY_JOB);
        $share = ($always + $best->money) / ($always + $own->money);
        $points = (int) round(100.0 * min(1.0, $share)) - min(self::MOST_UNWRITTEN, self::UNWRITTEN * $unwritten);

        return new self(max(0, $points), $own->right && $points >= self::PASSES);
    }
}
