<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Instrument\ScpiReply;
use Ispira\Core\Instrument\SimulatedMeter;
use PHPUnit\Framework\TestCase;

/**
 * Files and replies that were damaged by chance: each is taken, mended or refused in words, and nothing else happens.
 */
final class FuzzTest extends TestCase
{
    use Folders;

    public function testDamagedCapturesAreMendedOrRefusedInWords(): void
    {
        mt_srand(20261125);
        $outcomes = ['taken' => 0, 'mended' => 0, 'refused' => 0];
        for ($case = 0; $case < 1400; ++$case) {
            $kinds = [self::csv(...), self::german(...), self::vcd(...), self::wav(...)];
            $text = self::damaged($kinds[$case % 4]());
            $path = $this->file([$text]);
            $store = $this->store();
            try {
                $head = Importer::import($path, $store, new ImportSettings(rate: $case % 3 === 0 ? 1000.0 : null));
                self::assertGreaterThanOrEqual(1, $head->count);
                self::assertGreaterThan(0.0, $head->interval);
                $pulses = Pulses::of($store, 0);
                self::assertTrue(
                    $pulses->frequency === null || ($pulses->frequency > 0.0 && is_finite($pulses->frequency)),
                );
                self::assertTrue(is_finite($pulses->mean));
                self::assertNotSame([], $store->envelope(0, 0, $head->count, 50));
                ++$outcomes[$head->repairs === [] ? 'taken' : 'mended'];
            } catch (CaptureError $error) {
                self::assertMatchesRegularExpression('/^[A-Z"\d].*[.?)]$/s', $error->getMessage());
                ++$outcomes['refused'];
            }
            $this->tearDown();
        }
        self::assertGreaterThan(100, min($outcomes), (string) json_encode($outcomes));
    }

    public function testDamagedRepliesOfAMeterAreRefusedInWords(): void
    {
        mt_srand(7);
        $read = $refused = 0;
        $replies = ["+1.23456789E+01\n", "-4.2E-3\n", "+9.90000000E+37\n", "12.6 V\n", "1.0,2.0,3.0\n"];
        for ($case = 0; $case < 600; ++$case) {
            $reply = self::damaged($replies[$case % 5]);
            try {
                $number = ScpiReply::number($reply);
                self::assertTrue($number === null || is_finite($number));
                ++$read;
            } catch (MeterTrouble $trouble) {
                self::assertTrue(mb_check_encoding($trouble->getMessage(), 'UTF-8'));
                self::assertStringStartsWith('The meter', $trouble->getMessage());
                ++$refused;
            }
        }
        self::assertGreaterThan(50, min($read, $refused));
    }

    public function testAMeterSurvivesDamagedCommands(): void
    {
        mt_srand(3);
        $meter = new SimulatedMeter(static fn(MeterFunction $function): float => 1.0);
        $answers = 0;
        for ($case = 0; $case < 400; ++$case) {
            $answer = $meter->answer(
                self::damaged(['CONF:VOLT:DC 20;READ?', '*IDN?', 'SYST:ERR?', 'MEAS:RES?', 'FUNC?'][$case % 5]),
            );
            self::assertTrue($answer === null || \strlen($answer) < 400);
            $answers += $answer === null ? 0 : 1;
        }
        self::assertGreaterThan(50, $answers);
    }

    private static function damaged(string $text): string
    {
        for ($times = mt_rand(0, 4); $times > 0; --$times) {
            $at = mt_rand(0, max(0, \strlen($text) - 1));
            $length = mt_rand(1, 12);
            $text = match (mt_rand(0, 7)) {
                0 => substr($text, 0, $at),
                1 => substr_replace($text, random_text($length), $at, 0),
                2 => substr_replace($text, '', $at, $length),
                3 => substr_replace($text, \chr(mt_rand(0, 255)), $at, 1),
                4 => substr_replace($text, substr($text, 0, $at), $at, 0),
                5 => substr_replace(
                    $text,
                    ['NaN', '1e999', '-', ',', ';', "\n", '"', '#'][mt_rand(0, 7)],
                    $at,
                    mt_rand(0, 2),
                ),
                6 => strrev(substr($text, 0, 40)) . substr($text, 40),
                default => str_replace(["\n", '.'], ["\r\n", ','], $text),
            };
        }

        return substr($text, 0, 60_000);
    }

    private static function csv(): string
    {
        return "Time (s),CH1 (V)\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $n): string => sprintf('%.4f,%.2f', $n * 1e-4, $n % 20 < 7 ? 12.0 : 0.1),
                    range(0, 299),
                ),
            ) .
            "\n";
    }

    private static function german(): string
    {
        return "Zeit;Kanal 1;Kanal 2\n(ms);(V);(mV)\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $n): string => str_replace(
                        '.',
                        ',',
                        sprintf('%.2f;%.2f;%d', $n * 0.1, $n % 20 < 7 ? 12.0 : 0.1, $n),
                    ),
                    range(0, 199),
                ),
            ) .
            "\n";
    }

    private static function vcd(): string
    {
        return "\$timescale 1 us \$end\n\$scope module top \$end\n\$var wire 1 ! cmd \$end\n\$var real 64 \" volts \$end\n\$upscope \$end\n\$enddefinitions \$end\n#0 0! r0.1 \"\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $n): string => '#' . ($n * 100 + 37) . "\n" . $n % 2 . "!\nr" . ($n % 2) * 12 . ' "',
                    range(1, 60),
                ),
            ) .
            "\n#7000\n";
    }

    private static function wav(): string
    {
        return FormatsTest::wav(
            1,
            1,
            8000,
            16,
            implode('', array_map(static fn(int $n): string => pack('v', $n % 20 < 7 ? 30000 : 200), range(0, 399))),
        );
    }
}

function random_text(int $length): string
{
    return implode('', array_map(static fn(): string => \chr(mt_rand(1, 255)), range(1, $length)));
}
