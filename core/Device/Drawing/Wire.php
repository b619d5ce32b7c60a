<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A drawn line: corners from one end to the other, all at the potential of one node.
 *
 * @phpstan-type Point array{0: float, 1: float}
 */
final readonly class Wire
{
    /** Distance in sheet units under which two places are one. */
    private const SAME = 0.5;

    /** @param list<Point> $points */
    public function __construct(public string $element, public string $node, public array $points) {}

    public static function same(float $one, float $other): bool
    {
        return abs($one - $other) < self::SAME;
    }

    /**
     * @param Point $one
     * @param Point $other
     */
    public static function isSame(array $one, array $other): bool
    {
        return self::same($one[0], $other[0]) && self::same($one[1], $other[1]);
    }

    /** @return list<array{0: Point, 1: Point}> */
    public function segments(): array
    {
        $segments = [];
        for ($n = 1; $n < \count($this->points); ++$n) {
            if (!self::isSame($this->points[$n - 1], $this->points[$n])) {
                $segments[] = [$this->points[$n - 1], $this->points[$n]];
            }
        }

        return $segments;
    }

    /** Whether an eye takes the two lines for one: a corner or an end of one lies on the other. */
    public function touches(self $other): bool
    {
        foreach ($this->points as $point) {
            if ($other->passes($point)) {
                return true;
            }
        }
        foreach ($other->points as $point) {
            if ($this->passes($point)) {
                return true;
            }
        }

        return false;
    }

    /** @param Point $point */
    public function passes(array $point): bool
    {
        foreach ($this->points as $corner) {
            if (self::isSame($corner, $point)) {
                return true;
            }
        }
        foreach ($this->segments() as [$a, $b]) {
            if (self::distance($point, $a, $b) < self::SAME) {
                return true;
            }
        }

        return false;
    }

    /**
     * Directions in which it leads away from a place on it.
     *
     * @param Point $point
     *
     * @return list<int> in degrees
     */
    public function waysFrom(array $point): array
    {
        $ways = [];
        foreach ($this->segments() as [$a, $b]) {
            foreach (self::distance($point, $a, $b) < self::SAME ? [$a, $b] : [] as $end) {
                if (!self::isSame($end, $point)) {
                    $ways[] = (int) round(rad2deg(atan2($end[1] - $point[1], $end[0] - $point[0]))) % 360;
                }
            }
        }

        return $ways;
    }

    /** @param Point $point */
    public function isLevelAt(array $point): bool
    {
        foreach ($this->segments() as [$a, $b]) {
            if (self::distance($point, $a, $b) < self::SAME) {
                return abs($b[0] - $a[0]) > abs($b[1] - $a[1]);
            }
        }

        return false;
    }

    /** @return list<Point> where it crosses another in the midst of both */
    public function crossings(self $other): array
    {
        $crossings = [];
        foreach ($this->segments() as [$a, $b]) {
            foreach ($other->segments() as [$c, $d]) {
                $at = self::crossing($a, $b, $c, $d);
                if ($at !== null) {
                    $crossings[] = $at;
                }
            }
        }

        return $crossings;
    }

    /**
     * Whether it runs through a rectangle.
     *
     * @param Point $middle
     */
    public function enters(array $middle, float $half, float $reach, float $angle): bool
    {
        foreach ($this->segments() as [$a, $b]) {
            $steps = max(1, (int) ceil(hypot($b[0] - $a[0], $b[1] - $a[1])));
            for ($n = 0; $n <= $steps; ++$n) {
                $x = $a[0] + (($b[0] - $a[0]) * $n) / $steps - $middle[0];
                $y = $a[1] + (($b[1] - $a[1]) * $n) / $steps - $middle[1];
                $along = $x * cos($angle) + $y * sin($angle);
                $across = -$x * sin($angle) + $y * cos($angle);
                if (abs($along) < $half - self::SAME && abs($across) < $reach - self::SAME) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param Point $point
     * @param Point $a
     * @param Point $b
     */
    private static function distance(array $point, array $a, array $b): float
    {
        [$x, $y] = [$b[0] - $a[0], $b[1] - $a[1]];
        $along = (($point[0] - $a[0]) * $x + ($point[1] - $a[1]) * $y) / ($x * $x + $y * $y);
        $along = max(0.0, min(1.0, $along));

        return hypot($point[0] - $a[0] - $along * $x, $point[1] - $a[1] - $along * $y);
    }

    /**
     * @param Point $a
     * @param Point $b
     * @param Point $c
     * @param Point $d
     *
     * @return Point|null
     */
    private static function crossing(array $a, array $b, array $c, array $d): ?array
    {
        $turn = ($b[0] - $a[0]) * ($d[1] - $c[1]) - ($b[1] - $a[1]) * ($d[0] - $c[0]);
        if (abs($turn) < 1e-9) {
            return null;
        }
        $t = (($c[0] - $a[0]) * ($d[1] - $c[1]) - ($c[1] - $a[1]) * ($d[0] - $c[0])) / $turn;
        $u = (($c[0] - $a[0]) * ($b[1] - $a[1]) - ($c[1] - $a[1]) * ($b[0] - $a[0])) / $turn;
        $at = [$a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1])];
        foreach ([$a, $b, $c, $d] as $end) {
            if (self::isSame($at, $end)) {
                return null;
            }
        }

        return $t > 0.0 && $t < 1.0 && $u > 0.0 && $u < 1.0 ? $at : null;
    }
}
