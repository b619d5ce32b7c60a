<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Exercise;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Practice\NextExercise;
use Ispira\Core\Practice\PastExercise;
use Ispira\Core\Practice\Rung;

/**
 * What a person has practised, how far the ladders are climbed, and what comes next.
 */
final readonly class OwnExercises
{
    /** The newest of them decide what comes next. */
    private const LOOKED_AT = 300;

    public function __construct(private FamilyRegistry $families) {}

    /** @return array<string, list<Rung>> by family */
    public function ladders(): array
    {
        return array_map(
            static fn(Family $one): array => Rung::of($one->circuit($one->parameters()->read([]))),
            $this->families->all(),
        );
    }

    /** @return Collection<int, Exercise> that are over, newest first */
    public function over(User $user): Collection
    {
        return Exercise::query()
            ->where('workshop_id', $user->workshop_id)
            ->where('user_id', $user->id)
            ->whereNotNull('over_at')
            ->with(['job.unit', 'job.workshop'])
            ->orderByDesc('over_at')
            ->limit(self::LOOKED_AT)
            ->get();
    }

    /**
     * What went wrong in each.
     *
     * @param Collection<int, Exercise> $over newest first
     *
     * @return list<list<string>>
     */
    public static function weak(Collection $over): array
    {
        $weak = [];
        foreach ($over as $one) {
            $kept = $one->result['weak'] ?? null;
            $weak[] = array_values(array_filter(is_array($kept) ? $kept : [], is_string(...)));
        }

        return $weak;
    }

    /** @param Collection<int, Exercise> $over */
    public function next(Collection $over, User $user): ?NextExercise
    {
        return NextExercise::of(
            array_values(
                $over
                    ->map(
                        static fn(Exercise $one): PastExercise => new PastExercise(
                            $one->job->family,
                            $one->rung,
                            $one->passed === true,
                            abs(now()->diffInSeconds($one->over_at ?? now())) / 86_400,
                        ),
                    )
                    ->all(),
            ),
            $this->ladders(),
            $user->workshop->usualFamily() ?? (string) array_key_first($this->families->all()),
        );
    }
}
