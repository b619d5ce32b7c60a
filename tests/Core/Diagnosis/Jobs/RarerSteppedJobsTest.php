<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Stepped blowers as they are less often met: electronic control, pack in the head, six steps, a mode contact behind.
 */
final class RarerSteppedJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'stepped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'electronic control: 1 to 3 dead, the thermal fuse of the pack open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => null],
                'pack',
                0.9,
                ['head', 'motor', 'relay', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: 2 dead alone, the head sends nothing' => [
            new WorkshopJob(
                'right right right dead right right',
                ['selector-out@2' => 0.0, 'tap-volts@3' => 12.1],
                'head',
                0.8,
                ['pack', 'motor', 'relay', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: 2 dead alone, sent by the head and not come to the pack' => [
            new WorkshopJob(
                'right right right dead right right',
                ['selector-out@2' => 12.4, 'tap-volts@2' => 0.0],
                'tap-wire',
                0.85,
                ['head', 'motor', 'relay', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: dead, the reader sees nothing of the knob' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['reader' => 'nothing', 'selector-out@4' => 0.1, 'fuse-out@4' => 12.5],
                'head',
                0.8,
                ['pack', 'motor', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: a step too low everywhere, the reader shows another one' => [
            new WorkshopJob(
                'right right dead slow slow slow',
                ['reader' => 'wrong'],
                'head',
                0.9,
                ['pack', 'motor', 'relay', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: dead, twelve volts at the blower, dead from the battery too' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['motor-volts@4' => 12.1, 'speed@direct' => 'dead'],
                'motor',
                0.9,
                ['head', 'pack', 'relay', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: slow everywhere, three volts in the blower plug' => [
            new WorkshopJob(
                'right right slow slow slow slow',
                ['motor-plug-drop@4' => 3.1, 'look-motor-plug' => 'burnt'],
                'motor-plug',
                0.9,
                ['head', 'pack', 'motor', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'electronic control: slow everywhere, four volts in its ground' => [
            new WorkshopJob(
                'right right slow slow slow slow',
                ['ground-drop@4' => 4.1, 'minus-volts@4' => 4.2, 'current@4' => 8.0],
                'ground-wire',
                0.9,
                ['head', 'pack', 'motor', 'fuse'],
                ['selector' => 'electronic'],
            ),
        ];
        yield 'pack in the head: 1 to 3 dead, its common joint open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => null],
                'head',
                0.9,
                ['motor', 'relay', 'fuse', 'tap-wire'],
                ['packPlace' => 'head'],
            ),
        ];
        yield 'pack in the head: 1 dead alone, its resistor open' => [
            new WorkshopJob(
                'right right dead right right right',
                ['pack-ohms-1' => null, 'selector-out@1' => 12.4],
                'head',
                0.9,
                ['motor', 'relay', 'fuse', 'tap-wire'],
                ['packPlace' => 'head'],
            ),
        ];
        yield 'pack in the head: 2 dead alone, no ohms through its contact' => [
            new WorkshopJob(
                'right right right dead right right',
                ['contact-ohms@2' => null],
                'head',
                0.9,
                ['motor', 'relay', 'fuse', 'tap-wire'],
                ['packPlace' => 'head'],
            ),
        ];
        yield 'pack in the head: runs at 0, the head closed there' => [
            new WorkshopJob(
                'right runs right right right right',
                ['contacts-off-ohms' => 0.1],
                'head',
                0.9,
                ['motor', 'relay', 'fuse', 'tap-wire'],
                ['packPlace' => 'head'],
            ),
        ];
        yield 'pack in the head: all dead, volts end at the relay' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-out@4' => 12.5, 'relay-out@4' => 0.0],
                'relay',
                0.85,
                ['head', 'motor', 'fuse', 'motor-plug'],
                ['packPlace' => 'head'],
            ),
        ];
        yield 'mode contact in the return: dead in one mode only' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['speed@other-mode' => 'right'],
                'mode-selector',
                0.85,
                ['motor', 'pack', 'selector', 'relay'],
                ['modeContact' => 'return'],
            ),
        ];
        yield 'mode contact in the return: slow, four volts in the mode selector' => [
            new WorkshopJob(
                'right right slow slow slow slow',
                ['mode-drop@4' => 4.2, 'motor-volts@4' => 7.6],
                'mode-selector',
                0.9,
                ['motor', 'pack', 'selector', 'ground-wire'],
                ['modeContact' => 'return'],
            ),
        ];
        yield 'mode contact in the return: dead in every mode, no volts behind the relay' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['speed@other-mode' => 'dead', 'fuse-out@4' => 12.6, 'relay-out@4' => 0.1],
                'relay',
                0.85,
                ['mode-selector', 'pack', 'selector', 'motor'],
                ['modeContact' => 'return'],
            ),
        ];
        yield 'six steps, 24 V: 1 to 5 dead, the common of the pack open' => [
            new WorkshopJob(
                'right right dead dead dead dead dead right',
                ['common-ohms' => null],
                'pack',
                0.9,
                ['selector', 'motor', 'relay', 'fuse'],
                ['positions' => '6', 'supply' => '24'],
            ),
        ];
        yield 'six steps, 24 V: the highest dead alone, nothing leaves the selector' => [
            new WorkshopJob(
                'right right right right right right right dead',
                ['selector-out@6' => 0.0, 'motor-volts@5' => 20.5],
                'selector',
                0.8,
                ['pack', 'motor', 'relay', 'fuse'],
                ['positions' => '6', 'supply' => '24'],
            ),
        ];
        yield 'six steps, 24 V: the highest dead alone though it leaves the selector' => [
            new WorkshopJob(
                'right right right right right right right dead',
                ['selector-out@6' => 25.2, 'contact-ohms@6' => 0.1],
                'tap-wire',
                0.7,
                ['pack', 'selector', 'relay', 'fuse'],
                ['positions' => '6', 'supply' => '24'],
            ),
        ];
        yield 'six steps, 24 V: slow in all, eight volts in the ground' => [
            new WorkshopJob(
                'right right slow slow slow slow slow slow',
                ['ground-drop@6' => 8.2, 'minus-volts@6' => 8.3, 'current@6' => 4.2],
                'ground-wire',
                0.9,
                ['selector', 'pack', 'motor', 'fuse'],
                ['positions' => '6', 'supply' => '24'],
            ),
        ];
        yield 'six steps, 24 V: 1 to 3 dead, the chain open between 3 and 4' => [
            new WorkshopJob(
                'right right dead dead dead right right right',
                ['pack-pair-3' => null],
                'pack',
                0.9,
                ['selector', 'motor', 'relay', 'tap-wire'],
                ['positions' => '6', 'supply' => '24'],
            ),
        ];
    }
}
