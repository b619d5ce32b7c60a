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

    public function testTimeWithoutProcessorsIsCountedFromTheLastLookBefore(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'counters');
        $processors = new Processors($file);
        self::counters($file, 1000);
        $processors->look(10.0);
        self::counters($file, 1400);
        $processors->look(14.0);
        self::counters($file, 2600);
        // 12 s of two processors are 6 s of each; 16 s of two are 8 s.
        self::assertEqualsWithDelta(6.0, $processors->awaySince(15.0), 1e-9);
        self::assertEqualsWithDelta(8.0, $processors->awaySince(12.0), 1e-9);
        self::assertEqualsWithDelta(8.0, $processors->awaySince(3.0), 1e-9, 'not from before the first look');
        unlink($file);
    }

    public function testWhereNothingIsCountedNothingIsExcused(): void
    {
        $processors = new Processors('/nowhere/stat');
        $processors->look(1.0);
        self::assertSame(0.0, $processors->awaySince(0.5));
    }
}
