<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Five-wire fans whose bus and logic come from supplies of their own, on the bus of 110 V.
 */
final class SuppliesApartJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'five-wire-fan';
    }

    public static function jobs(): iterable
    {
        yield 'supplies apart: dead, no bus with the motor unplugged' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vm-unplugged' => 0.0, 'vcc-unplugged' => 15.1],
                'board',
                0.65,
                ['cable', 'wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, the bus comes back once the motor is off, and the motor is a short' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vm-volts' => 3.2, 'vm-ohms' => 1.1],
                'motor',
                0.8,
                ['wheel', 'mounting', 'cable'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, no logic supply though the motor is off' => [
            new WorkshopJob(
                'right dead dead dead',
                ['vm-unplugged' => 156.0, 'vcc-unplugged' => 0.1, 'vcc-ohms' => 4800.0],
                'board',
                0.8,
                ['motor', 'wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, command on the board and none at the motor' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'board-vsp' => 5.0,
                    'vsp-volts@high' => 0.0,
                    'vm-volts' => 155.0,
                    'vcc-volts' => 15.0,
                    'vsp-ohms' => 20000.0,
                ],
                'cable',
                0.8,
                ['wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, no command on the board' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'board-vsp' => 0.0,
                    'board-vm' => 155.0,
                    'board-vcc' => 15.0,
                    'vsp-ohms' => 20000.0,
                    'speed@bench' => 'right',
                ],
                'board',
                0.8,
                ['motor', 'wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, all three at its plug and dead on the bench' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'vm-volts' => 155.0,
                    'vcc-volts' => 15.0,
                    'vsp-volts@high' => 5.0,
                    'speed@bench' => 'dead',
                    'look-wheel' => 'clean',
                ],
                'motor',
                0.9,
                ['board', 'cable', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: dead, bus on the board and none at the motor' => [
            new WorkshopJob(
                'right dead dead dead',
                ['board-vm' => 156.0, 'vm-volts' => 0.4],
                'cable',
                0.6,
                ['wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: retries, no pulses, the motor gives none when turned by hand' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['fg-hertz' => 0.0, 'bench-hertz' => 0.0, 'speed@bench' => 'right'],
                'motor',
                0.8,
                ['wheel', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: retries, pulses at the motor and none on the board: the wire is open' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['fg-wire-ohms' => null, 'bench-hertz' => 40.0],
                'cable',
                0.9,
                ['wheel', 'mounting', 'motor'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: slow and gritty, the bare shaft too' => [
            new WorkshopJob(
                'right slow slow slow',
                ['spin' => 'gritty', 'bare-spin' => 'gritty'],
                'motor',
                0.9,
                ['board', 'cable', 'mounting'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
        yield 'supplies apart: rumbles, its wheel out of true, the shaft straight and the screw tight' => [
            new WorkshopJob(
                'right right right right',
                ['noise' => 'rumble', 'wobble' => 'true', 'look-mounting' => 'weight'],
                'wheel',
                0.9,
                ['board', 'cable', 'motor'],
                ['supplies' => 'apart', 'supply' => '155'],
            ),
        ];
    }
}
