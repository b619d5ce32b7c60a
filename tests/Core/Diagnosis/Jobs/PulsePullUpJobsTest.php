<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Five-wire fans whose board pulls the pulses up to 15 V.
 */
final class PulsePullUpJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'five-wire-fan';
    }

    public static function jobs(): iterable
    {
        yield 'pulses pulled up to 15 V: dead, all three there, dead on the bench' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'vm-volts' => 321.0,
                    'vcc-volts' => 15.0,
                    'vsp-volts@high' => 4.4,
                    'speed@bench' => 'dead',
                    'look-wheel' => 'clean',
                ],
                'motor',
                0.9,
                ['board', 'cable', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
        yield 'pulses pulled up to 15 V: dead, no command on the board, good on the bench' => [
            new WorkshopJob(
                'right dead dead dead',
                ['board-vsp' => 0.0, 'vsp-ohms' => 155000.0, 'speed@bench' => 'right'],
                'board',
                0.85,
                ['motor', 'cable', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
        yield 'pulses pulled up to 15 V: retries, the pulse wire open' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['fg-wire-ohms' => null, 'bench-hertz' => 36.0],
                'cable',
                0.9,
                ['motor', 'wheel', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
        yield 'pulses pulled up to 15 V: retries, none when turned by hand, none on the bench' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['fg-hertz' => 0.0, 'bench-hertz' => 0.0, 'speed@bench' => 'right'],
                'motor',
                0.8,
                ['wheel', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
        yield 'pulses pulled up to 15 V: dead, bus on the board, none at the motor' => [
            new WorkshopJob(
                'right dead dead dead',
                ['board-vm' => 321.0, 'vm-volts' => 0.3],
                'cable',
                0.6,
                ['wheel', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
        yield 'pulses pulled up to 15 V: dead, 15 V come back when the motor is off' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vcc-volts' => 0.4, 'vcc-unplugged' => 15.0, 'vcc-ohms' => 2.0],
                'motor',
                0.9,
                ['cable', 'wheel', 'mounting'],
                ['pullUp' => '15'],
            ),
        ];
    }
}
