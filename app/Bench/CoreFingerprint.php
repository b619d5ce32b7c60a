<?php

declare(strict_types=1);

namespace App\Bench;

/**
 * Tells one version of the core from another: what was computed by one is worth nothing to the next.
 */
final class CoreFingerprint
{
    private function __construct() {}

    /** A short text that changes with any file of code, words or numbers in a folder. */
    public static function of(string $folder): string
    {
        $files = [];
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            if ($file instanceof \SplFileInfo && in_array($file->getExtension(), ['php', 'json'], true)) {
                $files[] = $file->getPathname();
            }
        }
        sort($files);
        $hash = hash_init('xxh128');
        foreach ($files as $file) {
            hash_update($hash, substr($file, strlen($folder)));
            hash_update_file($hash, $file);
        }

        return substr(hash_final($hash), 0, 16);
    }
}
