<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Wires, plug and switch of wipers with two speeds: told apart by volts at either end of each.
 */
final class WiperLoomJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper';
    }

    public static function jobs(): iterable
    {
        yield 'compound: parks only, its feed at the RUN pin and nothing at the switch: the wire between them' => [
            new WorkshopJob(
                'right dead dead',
                ['run-pin@high' => 12.4, 'dash-run' => 0.0],
                'wire',
                0.85,
                ['dash-switch', 'fuse', 'linkage', 'fused-wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: parks only, its feed comes as far as the RUN terminal, FIELD is grounded' => [
            new WorkshopJob(
                'right dead dead',
                ['run-pin@high' => 12.4, 'dash-run' => 12.4, 'field-pin@low' => 0.1],
                'dash-switch',
                0.9,
                ['wire', 'fuse', 'plug', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: neither terminal of the switch is grounded, on low both stand at the feed' => [
            new WorkshopJob(
                'right dead dead',
                ['dash-run' => 12.3, 'dash-field' => 12.3, 'dash-ground-drop' => 12.3],
                'ground-wire',
                0.9,
                ['wire', 'fuse', 'plug', 'dash-switch'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: low as fast as high, its field pin at the feed and nothing at the switch' => [
            new WorkshopJob(
                'right fast right',
                ['field-pin@low' => 8.2, 'dash-field' => 0.0],
                'wire',
                0.85,
                ['dash-switch', 'fuse', 'strap', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: low as fast as high, the FIELD terminal of the switch stands at the feed' => [
            new WorkshopJob(
                'right fast right',
                ['field-pin@low' => 8.1, 'dash-field' => 8.1],
                'dash-switch',
                0.9,
                ['wire', 'fuse', 'strap', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: good alone, fed at its plug, RUN grounded there and dead all the same' => [
            new WorkshopJob(
                'right dead dead',
                ['feed-pin@high' => 12.5, 'run-pin@high' => 0.0, 'bench-high' => 'right'],
                'plug',
                0.8,
                ['dash-switch', 'fuse', 'linkage', 'strap'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: whole fuse, nothing on the feed wire at the plug' => [
            new WorkshopJob(
                'stays dead dead',
                ['fuse-out' => 12.6, 'feed-end@low' => 0.0],
                'fused-wire',
                0.9,
                ['dash-switch', 'fuse', 'plug', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: feed in the loom and not on the pin of the motor' => [
            new WorkshopJob(
                'stays dead dead',
                ['feed-end@low' => 12.5, 'feed-pin@low' => 0.1],
                'plug',
                0.9,
                ['dash-switch', 'fuse', 'fused-wire', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: slow, three volts stay between fuse and plug' => [
            new WorkshopJob(
                'right slow slow',
                ['fuse-out' => 12.3, 'feed-end@low' => 9.1, 'feed-pin@low' => 9.0, 'linkage' => 'free'],
                'fused-wire',
                0.85,
                ['dash-switch', 'fuse', 'plug', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound: slow, the plug browned and four volts across it' => [
            new WorkshopJob(
                'right slow slow',
                ['feed-end@low' => 12.2, 'feed-pin@low' => 8.3, 'look-plug' => 'burnt'],
                'plug',
                0.9,
                ['dash-switch', 'fuse', 'fused-wire', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'compound 24 V: parks only, 25 V at the RUN pin, none at the switch' => [
            new WorkshopJob(
                'right dead dead',
                ['run-pin@low' => 25.1, 'dash-run' => 0.0, 'bench-high' => 'right'],
                'wire',
                0.85,
                ['dash-switch', 'fuse', 'linkage', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: 25 V as far as the RUN terminal, the switch loses nothing in its ground' => [
            new WorkshopJob(
                'right dead dead',
                ['run-pin@low' => 25.0, 'dash-run' => 25.0, 'dash-ground-drop' => 0.1],
                'dash-switch',
                0.85,
                ['wire', 'fuse', 'plug', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: nothing on the loom side of its plug' => [
            new WorkshopJob(
                'stays dead dead',
                ['fuse-out' => 25.3, 'feed-end@low' => 0.0],
                'fused-wire',
                0.9,
                ['dash-switch', 'fuse', 'plug', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'three brushes: dead in both though it parks, no feed at the switch' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-out' => 12.6, 'dash-feed' => 0.0],
                'fused-wire',
                0.9,
                ['dash-switch', 'fuse', 'motor', 'plug'],
                ['motor' => 'three-brush'],
            ),
        ];
        yield 'three brushes: feed at the switch and none at either output' => [
            new WorkshopJob(
                'right dead dead',
                ['dash-feed' => 12.6, 'dash-low' => 0.0, 'dash-high' => 0.0],
                'dash-switch',
                0.9,
                ['fused-wire', 'fuse', 'motor', 'wire'],
                ['motor' => 'three-brush'],
            ),
        ];
        yield 'three brushes: feed at the switch, nothing at its low output' => [
            new WorkshopJob(
                'right dead right',
                ['dash-feed' => 12.6, 'dash-low' => 0.0],
                'dash-switch',
                0.9,
                ['fused-wire', 'fuse', 'motor', 'wire'],
                ['motor' => 'three-brush'],
            ),
        ];
        yield 'three brushes: slow in both, four volts lost before the switch' => [
            new WorkshopJob(
                'right slow slow',
                ['fuse-out' => 12.3, 'dash-feed' => 8.4, 'bench-low' => 'right'],
                'fused-wire',
                0.9,
                ['dash-switch', 'motor', 'plug', 'ground-wire'],
                ['motor' => 'three-brush'],
            ),
        ];
        yield 'three brushes: slow in both, four volts lost in the switch' => [
            new WorkshopJob(
                'right slow slow',
                ['dash-feed' => 12.2, 'dash-low' => 8.2, 'dash-high' => 7.1],
                'dash-switch',
                0.9,
                ['fused-wire', 'motor', 'plug', 'ground-wire'],
                ['motor' => 'three-brush'],
            ),
        ];
        yield 'three brushes: high no faster than low, good alone: its two wires touch' => [
            new WorkshopJob(
                'right right slow',
                ['bench-low' => 'right', 'bench-high' => 'right', 'high-pin@low' => 11.5, 'wires-ohms' => 0.3],
                'wire',
                0.9,
                ['motor', 'dash-switch', 'plug', 'linkage'],
                [],
            ),
        ];
        yield 'three brushes: high no faster than low, the lifted wires do not touch' => [
            new WorkshopJob(
                'right right slow',
                ['wires-ohms' => null, 'high-pin@high' => 9.1, 'dash-high' => 12.4],
                'wire',
                0.8,
                ['motor', 'linkage'],
                [],
            ),
        ];
        yield 'three brushes 24 V: dead in both though it parks, no feed at the switch' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-out' => 25.2, 'dash-feed' => 0.1],
                'fused-wire',
                0.9,
                ['dash-switch', 'fuse', 'motor', 'plug'],
                ['motor' => 'three-brush', 'supply' => '24'],
            ),
        ];
        yield 'three brushes 24 V: feed at the switch and none at either output' => [
            new WorkshopJob(
                'right dead dead',
                ['dash-feed' => 25.1, 'dash-low' => 0.0, 'dash-high' => 0.1],
                'dash-switch',
                0.9,
                ['fused-wire', 'fuse', 'motor', 'wire'],
                ['motor' => 'three-brush', 'supply' => '24'],
            ),
        ];
    }
}
