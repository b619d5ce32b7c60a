<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers that run where they should stand: a contact that never opens, or a wire that touches something.
 */
final class StuckSelectorJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'stepped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'runs slowly at 0, as on 1: a contact of the selector stuck' => [
            new WorkshopJob(
                'right runs right right right right',
                ['motor-volts@off' => 5.0, 'contacts-off-ohms' => 0.1],
                'selector',
                0.9,
                ['pack', 'tap-wire', 'relay', 'motor'],
                [],
            ),
        ];
        yield 'runs at 0 and on 1 as on 2: the second contact stuck' => [
            new WorkshopJob(
                'right runs fast right right right',
                ['contacts-off-ohms' => 0.2],
                'selector',
                0.9,
                ['pack', 'relay', 'motor', 'pack-plug'],
                [],
            ),
        ];
        yield 'full in every position and at 0: the fourth contact stuck' => [
            new WorkshopJob(
                'runs runs fast fast fast right',
                ['contacts-off-ohms' => 0.1],
                'selector',
                0.6,
                ['pack', 'motor', 'pack-plug'],
                [],
            ),
        ];
        yield 'on 1 as on 2: wires 1 and 2 touch, the selector by itself does not join them' => [
            new WorkshopJob(
                'right right fast right right right',
                ['contacts-ohms-1' => null, 'wires-ohms-1' => 0.3],
                'tap-wire',
                0.9,
                ['selector', 'pack', 'relay', 'motor', 'wheel'],
                [],
            ),
        ];
        yield 'on 1 as on 2: the selector by itself joins its outputs, the lifted wires do not touch' => [
            new WorkshopJob(
                'right right fast right right right',
                ['wires-ohms-1' => null, 'contacts-ohms-1' => 0.2],
                'selector',
                0.9,
                ['tap-wire', 'pack', 'relay', 'motor', 'wheel'],
                [],
            ),
        ];
        yield 'separate coils, electronic control, full on 3: wires 3 and 4 touch' => [
            new WorkshopJob(
                'right right right right fast right',
                ['wires-ohms-3' => 0.2],
                'tap-wire',
                0.85,
                ['head', 'pack', 'relay', 'motor', 'wheel'],
                ['selector' => 'electronic', 'pack' => 'coils'],
            ),
        ];
        yield 'ground side: runs at 0, and its selector is closed there' => [
            new WorkshopJob(
                'right runs right right right right',
                ['contacts-off-ohms' => 0.1, 'taps-body-ohms' => null],
                'selector',
                0.9,
                ['tap-wire', 'pack', 'motor', 'relay'],
                ['side' => 'ground'],
            ),
        ];
        yield 'ground side: runs at 0, the selector open and a wire at body' => [
            new WorkshopJob(
                'right runs right right right right',
                ['contacts-off-ohms' => null, 'taps-body-ohms' => 0.6],
                'tap-wire',
                0.9,
                ['selector', 'pack', 'motor', 'relay'],
                ['side' => 'ground'],
            ),
        ];
        yield 'ground side: 1 as fast as 2, and slow at 0: a wire chafed to body' => [
            new WorkshopJob(
                'right runs fast right right right',
                ['taps-body-ohms' => 0.3],
                'tap-wire',
                0.9,
                ['selector', 'pack', 'motor', 'relay'],
                ['side' => 'ground'],
            ),
        ];
        yield 'ground side: 1 as fast as 2, and slow at 0: the selector closed while it stands at 0' => [
            new WorkshopJob(
                'right runs fast right right right',
                ['contacts-off-ohms' => 0.2],
                'selector',
                0.9,
                ['tap-wire', 'pack', 'motor', 'relay'],
                ['side' => 'ground'],
            ),
        ];
    }
}
