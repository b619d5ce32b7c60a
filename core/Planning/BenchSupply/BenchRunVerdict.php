<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * Whether a motor that ran alone is good, and what speaks against it.
 */
final readonly class BenchRunVerdict
{
    /** Command in V between which a good motor begins to turn. */
    private const STARTS_FROM = 1.4;
    private const STARTS_TO = 2.8;

    /** Share by which speed may fall from one point to the next, and differ from the reference. */
    private const FALLS = 0.03;
    private const DIFFERS = 0.08;

    private const LEAST_POINTS = 3;

    /**
     * @param list<'stands'|'no-points'|'starts-late'|'starts-early'|'falls'|'gaps'|'rough'|'slower'|'faster'> $against
     * @param bool $compared whether there was a reference curve
     */
    private function __construct(public array $against, public bool $compared) {}

    public static function of(BenchRun $run, ?BenchRun $reference): self
    {
        if ($run->startsAt === null) {
            return new self(['stands'], false);
        }
        $against = [];
        if (\count($run->points) < self::LEAST_POINTS) {
            $against[] = 'no-points';
        }
        if ($run->startsAt > self::STARTS_TO) {
            $against[] = 'starts-late';
        } elseif ($run->startsAt < self::STARTS_FROM) {
            $against[] = 'starts-early';
        }
        foreach ($run->points as $number => [, $rpm]) {
            if ($number > 0 && $rpm < $run->points[$number - 1][1] * (1.0 - self::FALLS)) {
                $against[] = 'falls';
                break;
            }
        }
        if (!$run->steady) {
            $against[] = 'gaps';
        }
        if (!$run->smooth) {
            $against[] = 'rough';
        }
        $difference =
            $reference === null || $reference->loaded !== $run->loaded ? null : self::difference($run, $reference);
        if ($difference !== null && abs($difference) > self::DIFFERS) {
            $against[] = $difference < 0.0 ? 'slower' : 'faster';
        }

        return new self($against, $difference !== null);
    }

    /** Greatest difference from the reference, as a share of it; null where the two have no command in common. */
    private static function difference(BenchRun $run, BenchRun $reference): ?float
    {
        $greatest = null;
        foreach ($run->points as [$volts, $rpm]) {
            $right = $reference->rpmAt($volts);
            if ($right !== null && $right > 0.0) {
                $share = ($rpm - $right) / $right;
                $greatest = $greatest === null || abs($share) > abs($greatest) ? $share : $greatest;
            }
        }

        return $greatest;
    }

    public function isGood(): bool
    {
        return $this->against === [];
    }
}
