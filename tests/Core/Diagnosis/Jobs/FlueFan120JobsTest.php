<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Flue fans on 120 V, and what keeps a good one from proving.
 */
final class FlueFan120JobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'flue-fan';
    }

    public static function jobs(): iterable
    {
        yield '120 V: dead, nothing behind the fuse' => [
            new WorkshopJob(
                'right dead',
                ['fed-volts' => 0.2, 'case-ohms' => null, 'ohms-fast' => 14.0],
                'fuse',
                0.8,
                ['control', 'limit', 'pressure-switch', 'tube'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: dead, behind the fuse and not behind the limits, the reset holds' => [
            new WorkshopJob(
                'right dead',
                ['fed-volts' => 120.0, 'safe-volts' => 0.1, 'reset' => 'stays'],
                'limit',
                0.9,
                ['control', 'fuse', 'pressure-switch', 'tube'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: dead, the control never sends' => [
            new WorkshopJob(
                'right dead',
                ['safe-volts' => 120.0, 'sent-volts@full' => 0.3],
                'control',
                0.9,
                ['limit', 'fuse', 'pressure-switch', 'tube'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: dead, sent and not at the plug' => [
            new WorkshopJob(
                'right dead',
                ['sent-volts@full' => 120.0, 'fan-volts@full' => 0.4],
                'wiring',
                0.9,
                ['limit', 'fuse', 'pressure-switch', 'control'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: dead, line at the plug, its winding over range' => [
            new WorkshopJob(
                'right dead',
                ['fan-volts@full' => 120.0, 'ohms-fast' => null],
                'fan',
                0.9,
                ['limit', 'fuse', 'pressure-switch', 'control'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: runs well and never lights, the switch silent at its pressure' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'blow-switch' => 'silent', 'look-tube' => 'clear', 'pressure' => 160.0],
                'pressure-switch',
                0.9,
                ['limit', 'fuse', 'control', 'fan'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: runs well and never lights, water in the tube' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-tube' => 'wet', 'pressure' => 165.0],
                'tube',
                0.8,
                ['limit', 'fuse', 'control', 'fan'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: runs well and never lights, the flue blocked by a nest' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-flue' => 'blocked', 'pressure' => 60.0],
                'flue',
                0.6,
                ['limit', 'fuse', 'control', 'fan'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: runs well and never lights, its seal draws smoke' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'smoke-seal' => 'drawn', 'look-seal' => 'leaks'],
                'seal',
                0.9,
                ['limit', 'fuse', 'control', 'pressure-switch'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: slow, the neutral loses twenty-four volts' => [
            new WorkshopJob(
                'right slow',
                ['neutral-drop' => 24.0, 'output-drop' => 0.2],
                'wiring',
                0.8,
                ['limit', 'fuse', 'control', 'pressure-switch'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: runs with no call, its output live with the plug off' => [
            new WorkshopJob(
                'runs right',
                ['idle-volts-fast' => 119.0],
                'control',
                0.5,
                ['limit', 'fuse', 'pressure-switch', 'tube'],
                ['line' => '120'],
            ),
        ];
    }
}
