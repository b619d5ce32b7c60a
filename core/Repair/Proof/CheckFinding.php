<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

/**
 * What a reading says of a repair.
 */
enum CheckFinding
{
    case Right;

    /** Outside of what sound machines show, once: one sound reading in a few dozen is, and so is a slip of the pen. */
    case Again;

    case Wrong;

    /** @param bool $hasBench whether the job goes back to the bench; otherwise something was only adjusted */
    public function said(bool $hasBench): ?string
    {
        return match ($this) {
            self::Right => null,
            self::Again
                => 'That is not what the sound circuit shows. Measure it once more, with fresh contact of the ' .
                'leads: a second number like it counts, a right one clears it.',
            self::Wrong => $hasBench
                ? 'That is not what the sound circuit shows. The job is back on the bench with this reading, and the ' .
                    'verdict is marked as not having held.'
                : 'That is not right. Adjust it again, or put it back as it was, and measure once more.',
        };
    }
}
