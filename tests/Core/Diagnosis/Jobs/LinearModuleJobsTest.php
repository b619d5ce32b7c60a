<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers behind a module that is always part open, and behind a control with many steps.
 */
final class LinearModuleJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'electronic-blower';
    }

    public static function jobs(): iterable
    {
        yield 'linear module: full whatever is asked, its command as it should be' => [
            new WorkshopJob(
                'right runs fast fast fast fast right',
                ['command@1' => 20.5, 'motor-volts@1' => 11.9],
                'module',
                0.9,
                ['controller', 'motor', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: dead, fed and commanded, the blower good by itself' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'unplugged-volts' => 12.9,
                    'command@5' => 81.0,
                    'speed@direct' => 'right',
                    'motor-volts@5' => 0.0,
                    'look-module-plug' => 'fine',
                    'look-motor-plug' => 'fine',
                ],
                'module',
                0.85,
                ['controller', 'motor', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: dead, no volts behind the fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['fuse-in@5' => 12.6, 'fuse-out@5' => 0.0, 'spin' => 'free'],
                'fuse',
                0.5,
                ['controller', 'wheel', 'ground-wire'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: dead, the controller sends nothing with its wire off too' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['sent' => 0.0, 'sent-alone' => 0.0, 'unplugged-volts' => 12.9],
                'controller',
                0.85,
                ['motor', 'module', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: dead, sent and not come to the module' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['sent' => 3.6, 'command@3' => 0.0, 'unplugged-volts' => 12.9],
                'command-wire',
                0.85,
                ['motor', 'module', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: dead, eleven volts at the blower' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['motor-volts@5' => 11.6, 'speed@direct' => 'dead'],
                'motor',
                0.9,
                ['controller', 'module', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'linear module: slow on top, three volts in its ground' => [
            new WorkshopJob(
                'right right right right right slow slow',
                ['ground-drop@5' => 3.2],
                'ground-wire',
                0.8,
                ['controller', 'motor', 'fuse', 'wheel'],
                ['stage' => 'linear'],
            ),
        ];
        yield 'eight steps: dead, sent and not come to the module' => [
            new WorkshopJob(
                'right right dead dead dead dead dead dead dead dead',
                ['sent' => 3.3, 'command@3' => 0.0, 'unplugged-volts' => 12.8],
                'command-wire',
                0.85,
                ['motor', 'module', 'fuse', 'wheel'],
                ['steps' => '8'],
            ),
        ];
        yield 'eight steps: dead, no volts at its plug, none behind the fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead dead dead dead dead',
                ['unplugged-volts' => 0.0, 'fuse-out@8' => 0.0, 'fuse-in@8' => 12.5],
                'fuse',
                0.5,
                ['controller', 'wheel', 'command-wire'],
                ['steps' => '8'],
            ),
        ];
        yield 'eight steps: dead, good straight from the battery, command and feed at the module' => [
            new WorkshopJob(
                'right right dead dead dead dead dead dead dead dead',
                [
                    'command@8' => 82.0,
                    'unplugged-volts' => 12.8,
                    'lamp' => 'bright',
                    'speed@direct' => 'right',
                    'look-module-plug' => 'fine',
                    'look-motor-plug' => 'fine',
                ],
                'module',
                0.75,
                ['controller', 'motor', 'fuse', 'wheel'],
                ['steps' => '8'],
            ),
        ];
        yield 'eight steps: all right but a tick, leaves in the wheel' => [
            new WorkshopJob(
                'right right right right right right right right right right',
                ['noise' => 'tick', 'look-wheel' => 'debris'],
                'wheel',
                0.9,
                ['controller', 'motor', 'fuse', 'module'],
                ['steps' => '8'],
            ),
        ];
    }
}
