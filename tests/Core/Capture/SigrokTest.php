<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\Format\VcdExport;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\SimulatedScope;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * The same files, measured by an independent program.
 */
final class SigrokTest extends TestCase
{
    use Folders;

    public function testAnIndependentProgramMeasuresTheSamePulses(): void
    {
        $chance = new RandomSource(11);
        for ($case = 0; $case < 8; ++$case) {
            $frequency = $chance->between(40.0, 900.0);
            $scope = new SimulatedScope(
                50_000.0,
                $frequency,
                $chance->between(12.0, 88.0),
                0.1,
                12.3,
                rise: 5e-5,
                noise: 0.05,
            );
            $store = $this->store();
            $scope->into($store, 50_000, 'command');
            $vcd = $this->file((new VcdExport($store))->parts());
            $again = $this->store();
            Importer::import($vcd, $again, new ImportSettings());
            $ours = Pulses::of($again, 0);
            [$period, $duty] = $this->sigrok(['-I', 'vcd', '-i', $vcd], 1e6);
            self::assertEqualsWithDelta(1.0 / $period, $ours->frequency, 1e-3 * $frequency, "case $case");
            self::assertEqualsWithDelta($duty, $ours->duty, 1e-3 * $duty, "case $case");
        }
    }

    public function testItReadsTheTablesThatAreWritten(): void
    {
        $store = $this->store();
        (new SimulatedScope(20_000.0, 123.4, 41.0, 0.0, 1.0))->into($store, 20_000, 'command');
        $logic = $this->store();
        foreach ($store->parts(0) as $values) {
            $logic->append(0, array_map(static fn(float $value): float => round($value), $values));
        }
        $logic->finish($store->head());
        $csv = $this->file((new CsvExport($logic))->parts());
        [$period, $duty] = $this->sigrok(
            ['-I', 'csv:column_formats=t,l:start_line=1', '-i', $csv],
            20_000.0,
            'command (V)',
        );
        $ours = Pulses::of($logic, 0);
        self::assertEqualsWithDelta(1.0 / $period, $ours->frequency, 0.1);
        self::assertEqualsWithDelta($duty, $ours->duty, 0.1);
    }

    /**
     * @param list<string> $input
     *
     * @return array{0: float, 1: float} mean period in s and duty in %
     */
    private function sigrok(array $input, float $rate, string $channel = 'command'): array
    {
        $program = (new ExecutableFinder())->find('sigrok-cli');
        self::assertNotNull($program, 'sigrok-cli is needed: install the Debian package of that name.');
        $process = new Process([
            $program,
            ...$input,
            '-P',
            "pwm:data=$channel",
            '-A',
            'pwm=duty-cycle',
            '--protocol-decoder-samplenum',
        ]);
        $process->mustRun();
        preg_match_all('/^(\d+)-(\d+) .*: ([\d.]+)%/m', $process->getOutput(), $found);
        self::assertGreaterThan(10, \count($found[1]), $process->getErrorOutput());
        $lengths = array_map(
            static fn(string $from, string $to): float => ((float) $to - (float) $from) / $rate,
            $found[1],
            $found[2],
        );
        $total = array_sum($lengths);
        // Its duty is a share of each period: weighed by their lengths it is that of the whole.
        $high = array_sum(
            array_map(static fn(float $length, string $duty): float => $length * (float) $duty, $lengths, $found[3]),
        );

        return [$total / \count($lengths), $high / $total];
    }
}
