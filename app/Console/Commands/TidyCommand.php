<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

final class TidyCommand extends Command
{
    private const KEEP_SLOW_DAYS = 30;
    private const TAKING_IN_HOURS = 24;

    protected $signature = 'ispira:tidy';

    protected $description = 'Remove what has run out: sessions, kept answers, locks, slow requests, uploads broken off';

    public function handle(): int
    {
        $removed = [
            'sessions' => DB::table('sessions')
                ->where('last_activity', '<', time() - config()->integer('session.lifetime') * 60)
                ->delete(),
            'kept answers' => DB::table('cache')->where('expiration', '<', time())->delete(),
            'locks' => DB::table('cache_locks')->where('expiration', '<', time())->delete(),
            'slow requests' => DB::table('slow_requests')
                ->where('at', '<', now()->subDays(self::KEEP_SLOW_DAYS))
                ->delete(),
            'uploads broken off' => self::brokenOff(),
        ];
        foreach ($removed as $what => $count) {
            $this->line("$what: $count");
        }

        return self::SUCCESS;
    }

    private static function brokenOff(): int
    {
        $folders = glob(config()->string('ispira.captures') . '/taken-in-*', GLOB_ONLYDIR) ?: [];
        $old = array_filter(
            $folders,
            static fn(string $folder): bool => filemtime($folder) < time() - self::TAKING_IN_HOURS * 3600,
        );
        array_map(File::deleteDirectory(...), $old);

        return count($old);
    }
}
