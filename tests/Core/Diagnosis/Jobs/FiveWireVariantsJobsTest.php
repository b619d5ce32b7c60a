<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Five-wire fan motors of other supplies, and with their pulses known.
 */
final class FiveWireVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'five-wire-fan';
    }

    public static function jobs(): iterable
    {
        yield 'active correction: dead, its bus there, and dead on the bench' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vm-volts' => 378.0, 'vcc-volts' => 15.1, 'vsp-volts@high' => 5.6, 'speed@bench' => 'dead'],
                'motor',
                0.95,
                ['board', 'cable', 'wheel'],
                ['supply' => '375'],
            ),
        ];
        yield 'active correction: dead, no bus, the motor no short' => [
            new WorkshopJob(
                'right dead dead dead',
                ['board-vm' => 0.0, 'vm-unplugged' => 0.0, 'vm-ohms' => 510000.0],
                'board',
                0.9,
                ['motor', 'cable', 'wheel'],
                ['supply' => '375'],
            ),
        ];
        yield '115 V: the bus comes back with the motor unplugged' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vm-volts' => 2.0, 'vm-unplugged' => 161.0, 'vm-ohms' => 12.0],
                'motor',
                0.9,
                ['cable', 'wheel'],
                ['supply' => '155'],
            ),
        ];
        yield 'runs, gives up and runs: pulses at the motor, none on the board' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['speed@bench' => 'right', 'bench-hertz' => 60.0, 'fg-wire-ohms' => null],
                'cable',
                0.9,
                ['motor', 'wheel'],
                ['pulses' => '4'],
            ),
        ];
        yield 'runs, gives up and runs: pulses come to the board' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['bench-hertz' => 60.0, 'fg-wire-ohms' => 0.2, 'look-plug' => 'fine'],
                'board',
                0.8,
                ['motor', 'wheel', 'cable'],
                ['pulses' => '4'],
            ),
        ];
        yield 'rumbles, the wheel loose on its shaft' => [
            new WorkshopJob(
                'right right right right',
                ['noise' => 'rumble', 'set-screw' => 'loose', 'wobble' => 'wobbles'],
                'mounting',
                0.85,
                ['board', 'cable'],
                ['supply' => '155'],
            ),
        ];
        yield 'a rail of nineteen volts' => [
            new WorkshopJob('right right right right', ['board-vcc' => 19.2, 'vcc-volts' => 19.1], 'board', 0.6, [
                'cable',
            ]),
        ];
    }
}
