<?php

declare(strict_types=1);

namespace App\Operation;

use App\Http\Controller;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * How the installation is doing on which this workshop runs, for its lead.
 */
final class InstallationController extends Controller
{
    private const MOST_SLOW = 20;
    private const BACKUP_HOURS = 48;

    public function show(Request $request): InstallationPage
    {
        $workshop = $this->user($request)->workshop;
        $health = Health::now();
        $backup = DB::table('backups')->orderByDesc('id')->first();
        $at = $backup === null ? null : Carbon::parse((string) $backup->at);

        return new InstallationPage(
            version: $health->version,
            checks: $health->checks,
            used: DiskRoom::words(DiskRoom::ofWorkshop($workshop)),
            limit: DiskRoom::words(DiskRoom::limit('workshop')),
            limitOfJob: DiskRoom::words(DiskRoom::limit('job')),
            free: DiskRoom::words(DiskRoom::free()),
            lastBackup: $at?->toIso8601String(),
            backupSize: $backup === null ? null : DiskRoom::words((int) $backup->bytes),
            encrypted: (bool) ($backup->encrypted ?? false),
            backupLate: $at === null || $at->diffInHours(now()) > self::BACKUP_HOURS,
            slow: array_values(
                DB::table('slow_requests')
                    ->where('workshop_id', $workshop->id)
                    ->orderByDesc('at')
                    ->limit(self::MOST_SLOW)
                    ->get()
                    ->map(
                        static fn(\stdClass $one): SlowRequest => new SlowRequest(
                            request: (string) $one->request,
                            route: (string) $one->route,
                            milliseconds: (int) $one->milliseconds,
                            at: Carbon::parse((string) $one->at)->toIso8601String(),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
