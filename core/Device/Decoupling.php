<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Where a drive no longer moves what it should.
 */
enum Decoupling
{
    /** Before its own shaft or lever, as a stripped gear: nothing is seen to move. */
    case InTheDrive;

    /** Behind it, as a broken door: whoever watches the drive itself sees it move. */
    case BehindTheDrive;

    public function isSeenIn(SetUp $setUp): bool
    {
        return $this === self::InTheDrive || !$setUp->watchesDrive;
    }
}
