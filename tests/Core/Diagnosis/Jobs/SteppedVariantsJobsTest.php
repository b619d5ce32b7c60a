<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers behind a pack of resistors, in other arrangements than the ordinary.
 */
final class SteppedVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'stepped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'high relay: only high dead, its fuse blown' => [
            new WorkshopJob(
                'right right right right right dead',
                ['high-fuse-in@4' => 12.6, 'high-supply@4' => 0.0],
                'high-fuse',
                0.8,
                ['pack', 'motor', 'fuse', 'selector'],
                ['high' => 'relay'],
            ),
        ];
        yield 'high relay: only high dead, its coil open' => [
            new WorkshopJob(
                'right right right right right dead',
                ['high-coil-volts@4' => 12.5, 'high-supply@4' => 12.6, 'high-out@4' => 0.0],
                'high-relay',
                0.9,
                ['pack', 'motor', 'fuse', 'high-wire'],
                ['high' => 'relay'],
            ),
        ];
        yield 'high relay: only high dead, no call comes from the selector' => [
            new WorkshopJob(
                'right right right right right dead',
                ['high-coil-volts@4' => 0.0, 'contact-ohms@4' => null],
                'selector',
                0.8,
                ['pack', 'motor', 'fuse', 'high-wire'],
                ['high' => 'relay'],
            ),
        ];
        yield 'high relay: full speed at every position, key or no key' => [
            new WorkshopJob(
                'runs runs fast fast fast right',
                ['high-coil-volts@4' => 12.4, 'fuse-pulled' => 'runs'],
                'high-relay',
                0.8,
                ['pack', 'motor', 'selector'],
                ['high' => 'relay'],
            ),
        ];
        yield 'changeover: only high works, and the pack is open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['rest-drop@3' => 0.0, 'common-ohms' => null],
                'pack',
                0.9,
                ['motor', 'high-relay', 'fuse'],
                ['high' => 'changeover'],
            ),
        ];
        yield 'coils: one speed missing, its own coil open' => [
            new WorkshopJob(
                'right right right dead right right',
                ['tap-volts@2' => 12.7, 'pack-ohms-2' => null],
                'pack',
                0.9,
                ['motor', 'selector', 'fuse'],
                ['pack' => 'coils'],
            ),
        ];
        yield 'a mode contact: dead in this mode, right in another' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['speed@other-mode' => 'right', 'mode-drop@4' => 12.3],
                'mode-selector',
                0.9,
                ['pack', 'motor', 'fuse', 'relay'],
                ['modeContact' => 'feed'],
            ),
        ];
        yield 'a mode contact: weak in this mode only' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['speed@other-mode' => 'right', 'mode-drop@4' => 2.6],
                'mode-selector',
                0.85,
                ['pack', 'motor', 'fuse'],
                ['modeContact' => 'feed'],
            ),
        ];
        yield 'ground side: weak on high, the ground of the selector bad' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['ground-drop@4' => 2.2, 'minus-volts@4' => 2.3],
                'ground-wire',
                0.5,
                ['pack', 'motor', 'fuse'],
                ['side' => 'ground'],
            ),
        ];
        yield 'ground side: one speed also runs in off, its wire chafed through to the body' => [
            new WorkshopJob(
                'right runs right right right right',
                ['taps-body-ohms' => 0.3],
                'tap-wire',
                0.6,
                ['pack', 'motor', 'fuse'],
                ['side' => 'ground'],
            ),
        ];
        yield 'an electronic selector: the reader does not follow the knob' => [
            new WorkshopJob(
                'right right dead slow slow slow',
                ['reader' => 'wrong'],
                'head',
                0.7,
                ['motor', 'fuse', 'relay'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'twenty-four volts: only the highest speed, the pack open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => null, 'tap-volts@2' => 25.8],
                'pack',
                0.9,
                ['motor', 'fuse', 'relay'],
                ['supply' => '24'],
            ),
        ];
        yield 'twenty-four volts: weak on high, five volts in the feed' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['feed-drop@4' => 5.1, 'battery-volts@4' => 27.0, 'fuse-in@4' => 22.0],
                'feed-wire',
                0.8,
                ['pack', 'ground-wire'],
                ['supply' => '24'],
            ),
        ];
        yield 'three positions: the lowest is dead, the resistor open' => [
            new WorkshopJob(
                'right right dead right right',
                ['tap-volts@1' => 12.7, 'pack-ohms-1' => null],
                'pack',
                0.9,
                ['motor', 'selector', 'fuse'],
                ['positions' => '3'],
            ),
        ];
    }
}
