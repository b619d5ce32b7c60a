<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Controller;
use App\Models\AuditEntry;
use Illuminate\Http\Request;

/**
 * What was done to people and settings, by whom and when.
 */
final class AuditController extends Controller
{
    private const MOST = 50;

    public function index(Request $request): AuditPage
    {
        $before = $request->integer('before');
        $acts = $this->user($request)
            ->workshop->audit()
            ->with('user')
            ->when($before > 0, static fn($query) => $query->where('sequence', '<', $before))
            ->orderByDesc('sequence')
            ->limit(self::MOST + 1)
            ->get();
        $shown = $acts->take(self::MOST);

        return new AuditPage(
            acts: array_values(
                $shown
                    ->map(
                        static fn(AuditEntry $one): AuditShown => new AuditShown(
                            sequence: $one->sequence,
                            by: $one->user->name,
                            words: $one->act->words(),
                            about: $one->about,
                            detail: $one->detail,
                            at: $one->done_at->toIso8601String(),
                        ),
                    )
                    ->all(),
            ),
            before: $acts->count() > self::MOST ? $shown->last()?->sequence : null,
        );
    }
}
