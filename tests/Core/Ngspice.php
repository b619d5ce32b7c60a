<?php

declare(strict_types=1);

namespace Tests\Core;

/**
 * The independent circuit simulator, run in batch.
 */
final class Ngspice
{
    private function __construct() {}

    /**
     * What it prints for a deck.
     *
     * @param list<string> $deck its lines
     */
    public static function output(array $deck): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'deck');
        file_put_contents($file, implode("\n", $deck));
        $output = (string) shell_exec('ngspice -b ' . escapeshellarg($file) . ' 2>/dev/null');
        unlink($file);

        return $output;
    }
}
