<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * The folder in which photos and captures lie: that of the settings, which may be shared by several machines.
 */
final class FilesFolder
{
    private function __construct() {}

    public static function of(mixed $setting): string
    {
        return match (true) {
            !is_string($setting) || $setting === '' => storage_path('app'),
            str_starts_with($setting, '/') => $setting,
            default => base_path($setting),
        };
    }
}
