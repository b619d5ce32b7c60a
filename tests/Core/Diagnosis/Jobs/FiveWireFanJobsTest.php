<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Fan motors of split units with five wires: off, low, medium, high. The bus is that of 230 V where nothing is said.
 */
final class FiveWireFanJobsTest extends WorkshopJobs
{
    private const DEAD = 'right dead dead dead';
    private const RETRIES = 'right cuts-out cuts-out cuts-out';

    protected static function family(): string
    {
        return 'five-wire-fan';
    }

    public static function jobs(): iterable
    {
        yield 'dead with bus, logic supply and command at its plug' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 322.0, 'vcc-volts' => 15.1, 'vsp-volts@high' => 5.4, 'spin' => 'free'],
                'motor',
                0.85,
                ['board', 'wheel'],
            ),
        ];
        yield 'the same, and it stands on the bench supply too' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 319.0, 'vcc-volts' => 14.9, 'vsp-volts@high' => 5.2, 'speed@bench' => 'dead'],
                'motor',
                0.95,
                ['board', 'cable', 'wheel'],
            ),
        ];
        yield 'dead, no bus with the motor unplugged, and the motor is no short' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 0.0, 'vm-unplugged' => 0.0, 'vm-ohms' => 480e3, 'speed@bench' => 'right'],
                'board',
                0.95,
                ['motor', 'cable', 'wheel'],
            ),
        ];
        yield 'dead, and the bus comes back with the motor unplugged' => [
            new WorkshopJob(
                self::DEAD,
                ['vcc-volts' => 0.6, 'vcc-unplugged' => 15.0, 'vcc-ohms' => 4.0],
                'motor',
                0.9,
                ['board', 'cable', 'wheel'],
            ),
        ];
        yield 'dead, no logic supply with the motor unplugged, the motor good on the bench' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 321.0, 'vcc-volts' => 0.0, 'vcc-unplugged' => 0.0, 'speed@bench' => 'right'],
                'board',
                0.9,
                ['cable', 'wheel'],
            ),
        ];
        yield 'dead, no command leaves the board, the motor good on the bench' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 320.0, 'vcc-volts' => 15.0, 'board-vsp' => 0.0, 'speed@bench' => 'right'],
                'board',
                0.9,
                ['motor', 'cable', 'wheel'],
            ),
        ];
        yield 'dead, a command leaves the board and never comes' => [
            new WorkshopJob(
                self::DEAD,
                ['board-vsp' => 5.3, 'vsp-volts@high' => 0.0, 'speed@bench' => 'right', 'vsp-ohms' => 210e3],
                'cable',
                0.9,
                ['motor', 'wheel', 'board'],
            ),
        ];
        yield 'rocks and stops after a second' => [
            new WorkshopJob(
                self::DEAD,
                ['start' => 'rocks', 'spin' => 'free', 'vm-volts' => 322.0, 'vcc-volts' => 15.0],
                'motor',
                0.9,
                ['board', 'wheel', 'cable'],
            ),
        ];
        yield 'runs some seconds, gives up, and the pulses never come though it turns on the bench' => [
            new WorkshopJob(self::RETRIES, ['speed@bench' => 'right', 'bench-hertz' => 0.0], 'motor', 0.9, [
                'board',
                'wheel',
            ]),
        ];
        yield 'runs with no command, which the board holds high' => [
            new WorkshopJob('runs fast fast right', ['vsp-idle' => 5.1, 'vsp-volts@low' => 5.1], 'board', 0.9, [
                'motor',
                'wheel',
            ]),
        ];
        yield 'locked' => [
            new WorkshopJob(
                self::DEAD,
                ['spin' => 'locked', 'look-wheel' => 'clean', 'vm-unplugged' => 321.0, 'vcc-unplugged' => 15.1],
                'motor',
                0.85,
                ['board', 'cable'],
            ),
        ];
        yield 'a wheel full of felt' => [
            new WorkshopJob(
                'right right right right',
                ['look-wheel' => 'clogged', 'spin' => 'free'],
                'wheel',
                0.25,
                [],
            ),
        ];
        yield 'dead on a bus of 115 V mains, all three supplies there' => [
            new WorkshopJob(
                self::DEAD,
                ['vm-volts' => 158.0, 'vcc-volts' => 15.0, 'vsp-volts@high' => 5.5, 'speed@bench' => 'dead'],
                'motor',
                0.95,
                ['board', 'cable', 'wheel'],
                ['supply' => '155'],
            ),
        ];
        yield 'locked by a twig between the blades' => [
            new WorkshopJob(self::DEAD, ['spin' => 'locked', 'look-wheel' => 'debris'], 'wheel', 0.8, [
                'board',
                'cable',
            ]),
        ];
    }
}
