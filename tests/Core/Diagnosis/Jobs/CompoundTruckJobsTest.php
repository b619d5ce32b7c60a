<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Compound wiper motors of trucks.
 */
final class CompoundTruckJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper';
    }

    public static function jobs(): iterable
    {
        yield 'compound 24 V: dead in both, nothing behind the fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-in' => 25.2, 'fuse-out' => 0.0],
                'fuse',
                0.45,
                ['dash-switch', 'wire', 'strap', 'feed-wire'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: dead in both, in its loom and not at its feed pin' => [
            new WorkshopJob(
                'right dead dead',
                ['feed-end@low' => 25.1, 'feed-pin@low' => 0.0],
                'plug',
                0.8,
                ['dash-switch', 'wire', 'strap', 'linkage'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: high good, low as fast: the field pin is never grounded' => [
            new WorkshopJob(
                'right fast right',
                ['field-pin@low' => 25.0, 'bench-low' => 'right'],
                'dash-switch',
                0.3,
                ['motor', 'fuse', 'feed-wire', 'linkage'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: dead, does nothing alone on the bench, no ohms from feed to RUN' => [
            new WorkshopJob(
                'right dead dead',
                ['bench-high' => 'dead', 'ohms-run' => null],
                'motor',
                0.9,
                ['wire', 'fuse', 'feed-wire', 'linkage'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: the motor turns and the arms stand: a gear is stripped' => [
            new WorkshopJob(
                'right dead dead',
                ['motor-sound' => 'turns-alone', 'linkage' => 'free'],
                'motor',
                0.5,
                ['strap', 'fuse', 'feed-wire', 'linkage'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: slow, the linkage stiff by hand, good off the crank' => [
            new WorkshopJob(
                'right slow slow',
                ['linkage' => 'stiff', 'free-low' => 'right'],
                'linkage',
                0.9,
                ['wire', 'fuse', 'feed-wire', 'motor'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: slow, six volts lost at its feed pin' => [
            new WorkshopJob(
                'right slow slow',
                ['feed-pin@low' => 18.0, 'feed-end@low' => 24.6, 'bench-low' => 'right'],
                'plug',
                0.8,
                ['motor', 'linkage', 'strap', 'dash-switch'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: slow on the bench too, heavy current alone' => [
            new WorkshopJob(
                'right slow slow',
                ['bench-low' => 'slow', 'bench-high' => 'slow', 'bench-amps-high' => 6.5, 'linkage' => 'free'],
                'motor',
                0.9,
                ['wire', 'fuse', 'feed-wire', 'dash-switch'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
        yield 'compound 24 V: stays where it is when switched off, its strap broken' => [
            new WorkshopJob(
                'stays right right',
                ['look-strap' => 'broken'],
                'strap',
                0.9,
                ['fuse', 'feed-wire', 'dash-switch', 'linkage'],
                ['motor' => 'compound', 'supply' => '24'],
            ),
        ];
    }
}
