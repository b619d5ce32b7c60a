<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

/**
 * The range that a meter needs for what a test can show.
 */
final class MeterRange
{
    private const HEADROOM = 1.3;

    private function __construct() {}

    /**
     * @param list<float> $expected what the test shows, one for each case; INF for open
     *
     * @return float largest value that must be shown, in steps of 2 and 20 and so on; 0 where the meter had better choose
     */
    public static function for(array $expected, MeterFunction $function): float
    {
        $finite = array_filter($expected, is_finite(...));
        $most = self::HEADROOM * max([0.0, ...array_map(abs(...), array_values($finite))]);
        if ($most < 1e-3 || $function === MeterFunction::Frequency || \count($finite) < \count($expected)) {
            return 0.0;
        }
        $range = 2.0 * 10.0 ** ceil(log10($most / 2.0));

        return $range / $function->toBase();
    }
}
