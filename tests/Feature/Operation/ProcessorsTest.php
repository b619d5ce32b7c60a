<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use App\Console\Fuzz\Processors;
use PHPUnit\Framework\TestCase;

final class ProcessorsTest extends TestCase
{
    /** Writes counters as the kernel does: of all processors, then of each. */
    private static function counters(string $file, int $stolen, int $processors = 2): void
    {
        $lines = ["cpu  100 0 50 900 5 0 3 $stolen 0 0"];
        for ($n = 0; $n < $processors; ++$n) {
            $lines[] = "cpu$n 50 0 25 450 2 0 1 1 0 0";
        }
        file_put_contents($file, implode("\n", [...$lines, 'intr 5', '']));
    }

    public function testTimeWithoutProcessorsIsThatOfEachOnAverage(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'counters');
        $processors = new Processors($file);
        self::counters($file, 1400);
        $before = $processors->away();
        self::counters($file, 2600);
        self::assertEqualsWithDelta(6.0, $processors->away() - $before, 1e-9, '12 s of two');
        self::counters($file, 2600, 4);
        self::assertEqualsWithDelta(6.5, $processors->away(), 1e-9, '26 s of four');
        unlink($file);
    }

    public function testWhereNothingIsCountedNothingIsSaid(): void
    {
        self::assertSame(0.0, (new Processors('/nowhere/stat'))->away());
    }
}
