<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * The moments at which a signal crosses the middle between its levels.
 *
 * A crossing counts once the signal has gone on past a fifth of the way beyond the middle, so that
 * noise on a slope is one edge. Its moment is found on the straight line between the two samples
 * round the middle.
 */
final readonly class Edges
{
    private const MARGIN = 0.2;

    /** More than this is no pulses but noise. */
    private const MOST = 2_000_000;

    /** @param list<float> $times in s from the first sample; edges up and down by turns */
    private function __construct(public array $times, public bool $startsUp) {}

    /** @throws CaptureError */
    public static function of(SampleStore $store, int $channel, Levels $levels): self
    {
        $head = $store->head();
        $middle = $levels->middle();
        $up = $middle + self::MARGIN * ($levels->high - $levels->low);
        $down = $middle - self::MARGIN * ($levels->high - $levels->low);
        $isHigh = null;
        $startsUp = true;
        $before = 0.0;
        $crossed = 0.0;
        $wasAbove = false;
        $times = [];
        $first = true;
        foreach ($store->parts($channel) as $number => $values) {
            foreach ($values as $offset => $value) {
                $above = $value >= $middle;
                if ($first) {
                    [$first, $wasAbove] = [false, $above];
                }
                if ($above !== $wasAbove) {
                    $crossed = $number + $offset - 1 + ($middle - $before) / ($value - $before);
                    $wasAbove = $above;
                }
                $before = $value;
                if ($value > $up ? $isHigh !== true : $value < $down && $isHigh !== false) {
                    if ($isHigh !== null) {
                        $startsUp = $times === [] ? !$isHigh : $startsUp;
                        $times[] = $crossed * $head->interval;
                    }
                    $isHigh = $value > $middle;
                }
            }
            if (\count($times) > self::MOST) {
                throw new CaptureError(
                    'The signal crosses its middle more than ' .
                        number_format(self::MOST) .
                        ' times: that is noise, or a capture that is far too long. Cut it.',
                );
            }
        }

        return new self($times, $startsUp);
    }
}
