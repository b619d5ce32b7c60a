<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

/**
 * What somebody noted for next time, after a verdict that did not hold.
 */
final readonly class LessonShown
{
    public function __construct(public string $jobId, public string $lesson) {}

    /**
     * Of a kind of circuit and a model, or of either, the newest first.
     *
     * @return list<self>
     */
    public static function of(Workshop $workshop, ?string $family, ?string $model, int $most = 5): array
    {
        $rows = DB::table('lessons')
            ->where('workshop_id', $workshop->id)
            ->when($family !== null, static fn($lessons) => $lessons->where('family', $family))
            ->when($model !== null, static fn($lessons) => $lessons->where('model', $model))
            ->latest('noted_at')
            ->limit($most)
            ->get(['job_id', 'lesson']);

        return array_values(
            $rows
                ->map(static fn(\stdClass $row): self => new self((string) $row->job_id, (string) $row->lesson))
                ->all(),
        );
    }
}
