<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * So many of so many, and how far the share behind it may lie from that.
 */
final readonly class Share
{
    private const Z = 1.959964;

    /**
     * @param float $low  the share lies between this ...
     * @param float $high ... and this, nineteen times of twenty
     */
    private function __construct(
        public int $of,
        public int $all,
        public float $share,
        public float $low,
        public float $high,
    ) {}

    /** The interval is Wilson's (1927), which stays within 0 and 1 however few there are. */
    public static function of(int $of, int $all): self
    {
        if ($all === 0) {
            return new self(0, 0, 0.0, 0.0, 1.0);
        }
        $share = $of / $all;
        $square = self::Z ** 2;
        $middle = ($share + $square / (2.0 * $all)) / (1.0 + $square / $all);
        $reach =
            (self::Z * sqrt(($share * (1.0 - $share)) / $all + $square / (4.0 * $all ** 2))) / (1.0 + $square / $all);

        return new self($of, $all, $share, max(0.0, $middle - $reach), min(1.0, $middle + $reach));
    }
}
