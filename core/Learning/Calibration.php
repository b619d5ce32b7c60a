<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * Whether verdicts hold as often as they state.
 */
final readonly class Calibration
{
    /** Where the bins of stated chances begin. */
    private const FROM = [0.0, 0.7, 0.9, 0.95, 0.99];

    /** Fewer verdicts than this say nothing. */
    private const FEW = 10;

    /** How many standard deviations apart is no chance any more. */
    private const FAR = 2.0;

    /**
     * @param list<CalibrationBin> $bins those that have verdicts
     * @param float $stated mean over all
     * @param Share $held   of all
     * @param bool  $parted whether what holds and what is stated lie further apart than chance makes them
     */
    private function __construct(public array $bins, public float $stated, public Share $held, public bool $parted) {}

    /** @param list<StatedVerdict> $verdicts those whose end is not known, and those that stated nothing, are left out */
    public static function of(array $verdicts): self
    {
        $ended = array_values(
            array_filter(
                $verdicts,
                static fn(StatedVerdict $one): bool => $one->stated !== null && $one->held !== null,
            ),
        );
        $bins = [];
        foreach (self::FROM as $number => $from) {
            $to = self::FROM[$number + 1] ?? 1.0;
            $in = array_values(
                array_filter(
                    $ended,
                    static fn(StatedVerdict $one): bool => $one->stated >= $from && ($one->stated < $to || $to === 1.0),
                ),
            );
            if ($in !== []) {
                $bins[] = new CalibrationBin($from, $to, self::stated($in), self::held($in));
            }
        }
        $spread = sqrt(
            array_sum(
                array_map(static fn(StatedVerdict $one): float => (float) $one->stated * (1.0 - $one->stated), $ended),
            ),
        );
        $held = self::held($ended);
        $stated = self::stated($ended);
        // Half a job more or less is the grain of counting (the correction for continuity).
        $apart = abs($held->of - $stated * $held->all) - 0.5;

        return new self($bins, $stated, $held, $held->all >= self::FEW && $apart > self::FAR * $spread);
    }

    /** @param list<StatedVerdict> $verdicts */
    private static function stated(array $verdicts): float
    {
        return $verdicts === [] ? 0.0 : array_sum(array_column($verdicts, 'stated')) / \count($verdicts);
    }

    /** @param list<StatedVerdict> $verdicts */
    private static function held(array $verdicts): Share
    {
        return Share::of(
            \count(array_filter($verdicts, static fn(StatedVerdict $one): bool => $one->held === true)),
            \count($verdicts),
        );
    }
}
