<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

/**
 * A good file for every route that takes one, to be spoilt.
 */
final class SpoiltFiles
{
    private function __construct() {}

    /** @return non-empty-list<array{0: string, 1: string, 2: string, 3: string, 4: array<string, string>}> route, field, name, bytes, and what goes with it */
    public static function all(string $root): array
    {
        $formats = "$root/docs/formats";
        $read = static fn(string $path): string => (string) file_get_contents($path);

        return [
            ['jobs/import', 'file', 'job.json', $read("$formats/job.example.json"), []],
            ['parts/import', 'file', 'parts.json', $read("$formats/parts.example.json"), []],
            ['parts/import', 'file', 'parts.csv', "number,name,class,source\nHV-1,Pack,resistor-pack,maker\n", []],
            ['procedures/import', 'file', 'procedure.json', self::procedure(), []],
            ['experience', 'file', 'experience.json', self::experience(), ['weight' => '0.5']],
            ['jobs/{job}/log', 'table', 'log.csv', "test,value,time\nmotor-volts@2,7.4,2026-11-25T10:00:00Z\n", []],
            ['jobs/{job}/photos', 'photo', 'plug.jpg', self::picture('jpeg'), ['caption' => 'plug']],
            ['jobs/{job}/photos', 'photo', 'plug.png', self::picture('png'), []],
            ['jobs/{job}/captures', 'file', 'scope.csv', self::table(), ['rate' => '1k', 'probe' => '10']],
            ['jobs/{job}/captures', 'file', 'scope.vcd', self::changes(), []],
            ['jobs/{job}/captures', 'file', 'scope.wav', self::sound(), ['volts' => '5']],
        ];
    }

    private static function procedure(): string
    {
        return (string) json_encode([
            'format' => 'ispira-procedure',
            'version' => 1,
            'key' => 'look-at-the-plug',
            'title' => 'Look at the plug',
            'purpose' => 'Seen before it is measured',
            'steps' => [['key' => 'one', 'kind' => 'do', 'text' => 'Pull the plug.']],
        ]);
    }

    private static function experience(): string
    {
        return (string) json_encode([
            'format' => 'ispira-experience',
            'version' => 1,
            'workshop' => 'Quay workshop',
            'madeOn' => '2026-11-01',
            'jobs' => 3,
            'faults' => [
                ['family' => 'stepped-blower', 'model' => 'Van', 'remedy' => 'pack', 'fault' => null, 'jobs' => 3],
            ],
        ]);
    }

    private static function picture(string $format): string
    {
        $picture = imagecreatetruecolor(120, 90);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 120, 90, 60));
        ob_start();
        $format === 'png' ? imagepng($picture) : imagejpeg($picture);

        return (string) ob_get_clean();
    }

    private static function table(): string
    {
        $lines = array_map(
            static fn(int $n): string => sprintf('%.4f,%.2f', $n / 1000, $n % 10 < 4 ? 5.0 : 0.0),
            range(0, 199),
        );

        return "time,volts\n" . implode("\n", $lines) . "\n";
    }

    private static function changes(): string
    {
        $text =
            "\$timescale 1 us \$end\n\$scope module top \$end\n\$var wire 1 ! d0 \$end\n\$upscope \$end\n" .
            "\$enddefinitions \$end\n#0\n0!\n";
        for ($n = 1; $n < 60; ++$n) {
            $text .= '#' . $n * 50 . "\n" . $n % 2 . "!\n";
        }

        return $text;
    }

    private static function sound(): string
    {
        $samples = '';
        for ($n = 0; $n < 400; ++$n) {
            $samples .= pack('v', $n % 20 < 10 ? 12_000 : 0);
        }

        return 'RIFF' .
            pack('V', 36 + strlen($samples)) .
            'WAVEfmt ' .
            pack('VvvVVvv', 16, 1, 1, 8000, 16_000, 2, 16) .
            'data' .
            pack('V', strlen($samples)) .
            $samples;
    }
}
