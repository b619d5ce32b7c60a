<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Support\Facades\DB;

/**
 * Whether this machine can serve: its database answers and can be written, its disk has room, its clock is that of the
 * database, its folders can be written.
 */
final readonly class Health
{
    /** Seconds that two clocks may be apart. */
    private const CLOCKS_APART = 5;

    /** @param array<string, bool> $checks what was asked, and whether it is well */
    public function __construct(public array $checks, public string $version) {}

    public static function now(): self
    {
        [$database, $clock] = self::database();

        return new self(
            [
                'database' => $database,
                'clock' => $clock,
                'disk' => DiskRoom::free() > DiskRoom::limit('free'),
                'folders' => self::folders(),
            ],
            self::version(),
        );
    }

    public function isWell(): bool
    {
        return !in_array(false, $this->checks, true);
    }

    public static function version(): string
    {
        return trim((string) @file_get_contents(base_path('VERSION'))) ?: 'unknown';
    }

    /** @return array{0: bool, 1: bool} whether the database answers and may be written, and whether clocks agree */
    private static function database(): array
    {
        try {
            $row = DB::selectOne('SELECT UNIX_TIMESTAMP() AS at, @@read_only AS locked');
        } catch (\Throwable) {
            return [false, false];
        }

        return [(int) $row->locked === 0, abs((int) $row->at - time()) <= self::CLOCKS_APART];
    }

    private static function folders(): bool
    {
        foreach ([storage_path('framework'), storage_path('logs'), config()->string('ispira.captures')] as $folder) {
            if (!is_writable(is_dir($folder) ? $folder : dirname($folder))) {
                return false;
            }
        }

        return true;
    }
}
