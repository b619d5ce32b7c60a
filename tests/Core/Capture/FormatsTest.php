<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\Format\VcdExport;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\SimulatedScope;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormatsTest extends TestCase
{
    use Folders;

    /** @return iterable<string, array{0: string, 1: ImportSettings, 2: list<string>, 3: float, 4: list<float>}> text, settings, channels, interval in s, samples of the first channel */
    public static function tables(): iterable
    {
        $plain = new ImportSettings();
        yield 'times and a channel' => [
            "Time (s),CH1 (V)\n0.000,0.1\n0.001,12.0\n0.002,12.1\n",
            $plain,
            ['CH1'],
            1e-3,
            [0.1, 12.0, 12.1],
        ];
        yield 'no head at all' => ["0.0,1\n0.5,2\n1.0,3\n", $plain, ['channel 1'], 0.5, [1.0, 2.0, 3.0]];
        yield 'semicolons and decimal commas' => [
            "Zeit;Kanal A;Kanal B\n0,0;0,1;5,0\n0,1;0,2;5,1\n0,2;0,3;5,2\n",
            $plain,
            ['Kanal A', 'Kanal B'],
            0.1,
            [0.1, 0.2, 0.3],
        ];
        yield 'semicolons and points' => ["t [ms];A [mV]\n0;100\n2;200\n4;300\n", $plain, ['A'], 2e-3, [0.1, 0.2, 0.3]];
        yield 'tabs' => ["Time\tVolts\n0\t1\n1\t2\n2\t3\n", $plain, ['Volts'], 1.0, [1.0, 2.0, 3.0]];
        yield 'a row of units' => [
            "Time,Channel A\n(ms),(V)\n\n0.0,1.5\n0.2,1.6\n0.4,1.7\n",
            $plain,
            ['Channel A'],
            2e-4,
            [1.5, 1.6, 1.7],
        ];
        yield 'settings before the table' => [
            "Model,BM-2\nSample Interval,2.0E-6\nVertical Units,V\n\nsample,CH1\n0,1\n1,2\n2,3\n",
            $plain,
            ['CH1'],
            2e-6,
            [1.0, 2.0, 3.0],
        ];
        yield 'a rate in the head' => ["Sample rate: 20 kHz\nCH1\n1\n2\n3\n", $plain, ['CH1'], 5e-5, [1.0, 2.0, 3.0]];
        yield 'one column and a typed rate' => [
            "1.5\n2.5\n3.5\n",
            new ImportSettings(rate: 100.0),
            ['channel 1'],
            0.01,
            [1.5, 2.5, 3.5],
        ];
        yield 'quotes and a byte order mark' => [
            "\u{FEFF}\"Time\",\"CH 1\"\n\"0.0\",\"1\"\n\"0.1\",\"2\"\n\"0.2\",\"3\"\n",
            $plain,
            ['CH 1'],
            0.1,
            [1.0, 2.0, 3.0],
        ];
        yield 'commas at the ends of lines' => [
            "Time,CH1,\r\n0,1,\r\n1,2,\r\n2,3,\r\n",
            $plain,
            ['CH1'],
            1.0,
            [1.0, 2.0, 3.0],
        ];
        yield 'a probe of ten' => [
            "Time,CH1\n0,0.1\n1,0.2\n2,0.3\n",
            new ImportSettings(probe: 10.0),
            ['CH1'],
            1.0,
            [1.0, 2.0, 3.0],
        ];
        yield 'exponents' => [
            "x-axis,1\nsecond,Volt\n-1.0E-03,1.0E+00\n0.0E+00,2.0E+00\n1.0E-03,3.0E+00\n",
            $plain,
            ['1'],
            1e-3,
            [1.0, 2.0, 3.0],
        ];
        yield 'times coarser than samples' => [
            "Time,CH1\n0.0,1\n0.0,2\n0.1,3\n0.1,4\n0.2,5\n0.2,6\n",
            $plain,
            ['CH1'],
            0.04,
            [1.0, 2.0, 3.0, 4.0, 5.0, 6.0],
        ];
    }

    /**
     * @param list<string> $channels
     * @param list<float>  $first
     */
    #[DataProvider('tables')]
    public function testTablesOfManyLayoutsAreRead(
        string $text,
        ImportSettings $settings,
        array $channels,
        float $interval,
        array $first,
    ): void {
        [$store, $head] = $this->imported($text, $settings);
        self::assertSame($channels, $head->channels);
        self::assertEqualsWithDelta($interval, $head->interval, 1e-9 * $interval);
        self::assertEqualsWithDelta($first, self::samples($store), 1e-6);
    }

    public function testChangesAtOddTimesAreHeld(): void
    {
        [$store, $head] = $this->imported("Time,D0\n0.0,0\n0.3,1\n0.4,0\n1.0,1\n");
        self::assertEqualsWithDelta(0.1, $head->interval, 1e-9);
        self::assertSame([0.0, 0.0, 0.0, 1.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 1.0], self::samples($store));
        self::assertStringContainsString('uneven', $head->repairs[0]);
    }

    public function testADamagedPlaceKeepsTheValueBefore(): void
    {
        $lines = array_map(static fn(int $n): string => "0.$n," . $n % 2, range(100, 399));
        $lines[150] = '0.250,oops';
        $lines[200] = '0.300';
        [$store, $head] = $this->imported("Time,CH1\n" . implode("\n", $lines) . "\n");
        self::assertSame(300, $head->count, 'Where a line is missing, the one before is held.');
        self::assertSame(self::samples($store)[149], self::samples($store)[150]);
        self::assertStringContainsString('2 places', implode(' ', $head->repairs));
    }

    public function testSoundFilesAreScaled(): void
    {
        foreach (
            [
                [1, 8, 'C', static fn(float $v): int => (int) round(128 + 127 * $v)],
                [1, 16, 'v', static fn(float $v): int => (int) round(32767 * $v) & 0xffff],
                [1, 32, 'V', static fn(float $v): int => (int) round(2147483647 * $v) & 0xffffffff],
                [3, 32, 'g', static fn(float $v): float => $v],
            ]
            as [$kind, $bits, $form, $code]
        ) {
            $wave = array_map(static fn(int $n): float => sin($n / 7.0), range(0, 499));
            $data = implode('', array_map(static fn(float $v): string => pack($form, $code($v)), $wave));
            [$store, $head] = $this->imported(self::wav($kind, 1, 44100, $bits, $data), new ImportSettings(volts: 5.0));
            self::assertEqualsWithDelta(1.0 / 44100.0, $head->interval, 1e-15);
            self::assertEqualsWithDelta(
                array_map(static fn(float $v): float => 5.0 * $v, $wave),
                self::samples($store),
                0.07,
                "$bits bits",
            );
        }
        $three = substr(pack('V', -4194304 & 0xffffffff), 0, 3);
        [$store] = $this->imported(self::wav(1, 2, 8000, 24, str_repeat($three . "\0\0\0", 10)));
        self::assertEqualsWithDelta(-0.5, self::samples($store)[0], 1e-6);
        self::assertEqualsWithDelta(0.0, self::samples($store, 1)[0], 1e-6);
        [, $head] = $this->imported(substr(self::wav(1, 1, 8000, 16, str_repeat("\0\0", 100)), 0, -40));
        self::assertStringContainsString('cut off', $head->repairs[0]);
    }

    public function testValueChangeDumpsAreRead(): void
    {
        $text =
            "\$date today \$end \$timescale 10 us \$end \$scope module top \$end\n\$var wire 1 ! cmd \$end \$var real 64 \" volts \$end \$var reg 8 # bus [7:0] \$end\n\$upscope \$end \$enddefinitions \$end\n#0 \$dumpvars 0! r0.5 \" b00000001 # \$end\n#20 1!\n#30 r11.5 \"\n#50 0!\n#60\n";
        [$store, $head] = $this->imported($text);
        self::assertSame(['cmd', 'volts'], $head->channels);
        self::assertSame(['', 'V'], $head->units);
        self::assertEqualsWithDelta(1e-4, $head->interval, 1e-12);
        self::assertSame([0.0, 0.0, 1.0, 1.0, 1.0, 0.0, 0.0], self::samples($store));
        self::assertSame([0.5, 0.5, 0.5, 11.5, 11.5, 11.5, 11.5], self::samples($store, 1));
        self::assertStringContainsString('bus', implode(' ', $head->repairs));
    }

    public function testWhatIsExportedIsReadAgainAsTheSame(): void
    {
        $store = $this->store();
        (new SimulatedScope(48_000.0, 213.7, 37.3, 0.2, 12.1, rise: 6e-5, noise: 0.02))->into(
            $store,
            30_000,
            'command, pin 3',
        );
        $csv = $this->store();
        $head = Importer::import($this->file((new CsvExport($store))->parts()), $csv, new ImportSettings());
        self::assertSame('command  pin 3', $head->channels[0]);
        self::assertSame(30_000, $head->count);
        self::assertEqualsWithDelta(self::samples($store), self::samples($csv), 1e-4);
        $vcd = $this->store();
        $head = Importer::import($this->file((new VcdExport($store))->parts()), $vcd, new ImportSettings());
        self::assertEqualsWithDelta($store->head()->span(), $head->span(), 1e-4);
        self::assertEqualsWithDelta(Pulses::of($store, 0)->frequency, Pulses::of($vcd, 0)->frequency, 0.05);
        self::assertEqualsWithDelta(Pulses::of($store, 0)->duty, Pulses::of($vcd, 0)->duty, 0.1);
    }

    /** @return iterable<string, array{0: string, 1: string}> text, and what the message says */
    public static function refused(): iterable
    {
        yield 'nothing' => ['', 'empty'];
        yield 'words' => ["one\ntwo\nthree\n", 'No table of numbers'];
        yield 'one sample' => ["Time,CH1\n0,1\n", 'No table|fewer than two|two samples'];
        yield 'no times' => ["1\n2\n3\n", 'how many samples a second'];
        yield 'backwards' => ["Time,CH1\n0,1\n1,2\n2,3\n1,4\n", 'backwards'];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n\0\0\0", 'neither CSV'];
        yield 'cut sound' => ["RIFF\x24\0\0\0WAVE", 'no samples'];
        yield 'no sound' => ["RIFF\x24\0\0\0AVI LIST", 'no WAV'];
        yield 'cut dump' => ["\$timescale 1 us \$end\n\$var wire 1 ! a \$end\n", 'end of its declarations'];
        yield 'odd time scale' => ["\$timescale 3 us \$end\n\$enddefinitions \$end\n#0\n", 'time scale'];
        yield 'no changes' => [
            "\$timescale 1 us \$end\n\$var wire 1 ! a \$end\n\$enddefinitions \$end\n#0\n0!\n",
            'no changes',
        ];
    }

    #[DataProvider('refused')]
    public function testWhatIsNoCaptureIsRefusedInWords(string $text, string $says): void
    {
        try {
            $this->imported($text);
            self::fail('It was taken.');
        } catch (CaptureError $error) {
            self::assertMatchesRegularExpression("/$says/", $error->getMessage());
        }
    }

    public static function wav(int $kind, int $channels, int $rate, int $bits, string $data): string
    {
        $format = pack(
            'vvVVvv',
            $kind,
            $channels,
            $rate,
            $rate * $channels * intdiv($bits, 8),
            $channels * intdiv($bits, 8),
            $bits,
        );

        return 'RIFF' .
            pack('V', 36 + \strlen($data)) .
            'WAVEfmt ' .
            pack('V', 16) .
            $format .
            'LIST' .
            pack('V', 4) .
            'notedata' .
            pack('V', \strlen($data)) .
            $data;
    }
}
