<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Wipers that run or slow down where they should not: a switch that never opens told from a wire at ground.
 */
final class StuckWiperSwitchJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper';
    }

    public static function jobs(): iterable
    {
        yield 'never stops, slow at off: RUN is grounded in the switch' => [
            new WorkshopJob(
                'runs right right',
                ['switch-ohms-run' => 0.2],
                'dash-switch',
                0.9,
                ['wire', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'never stops: the switch is open at off, its RUN wire grounded all the same' => [
            new WorkshopJob(
                'runs right right',
                ['switch-ohms-run' => null, 'run-pin@off' => 0.1, 'ohms-run-body' => null],
                'wire',
                0.8,
                ['dash-switch', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'high as slow as low: FIELD is grounded in the switch' => [
            new WorkshopJob(
                'right right slow',
                ['switch-ohms-field' => 0.3, 'bench-high' => 'right'],
                'dash-switch',
                0.9,
                ['wire', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'high as slow as low: the switch opens FIELD, the pin stands at ground' => [
            new WorkshopJob(
                'right right slow',
                ['switch-ohms-field' => null, 'bench-high' => 'right', 'field-pin@high' => 0.1, 'ohms-field' => 21.0],
                'wire',
                0.85,
                ['dash-switch', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'never stops, and high as slow as low: RUN and FIELD wires touch in the loom' => [
            new WorkshopJob(
                'runs right slow',
                ['wires-ohms' => 0.3],
                'wire',
                0.9,
                ['dash-switch', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield '24 V: never stops, RUN grounded in the switch' => [
            new WorkshopJob(
                'runs right right',
                ['switch-ohms-run' => 0.1],
                'dash-switch',
                0.9,
                ['wire', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield '24 V: high as slow as low, FIELD grounded in the switch' => [
            new WorkshopJob(
                'right right slow',
                ['switch-ohms-field' => 0.2, 'bench-high' => 'right'],
                'dash-switch',
                0.9,
                ['wire', 'strap', 'linkage', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
    }
}
