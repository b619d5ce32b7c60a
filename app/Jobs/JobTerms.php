<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\RepairEntry;
use App\Models\Replacement;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * What people remember a job by, as its list is searched for.
 */
final class JobTerms
{
    /** More than these nobody pages through: of a word that more jobs have, the newest. */
    private const MOST_FOUND = 3000;

    private function __construct() {}

    public static function note(Job $job): void
    {
        $names = $job->workshop->names();
        $texts = app(FamilyRegistry::class)->get($job->family)->texts();
        $ordered = $job
            ->entries()
            ->where('kind', EntryKind::Ordered)
            ->get()
            ->map(
                static fn(RepairEntry $one): string => $one->toCore()->text('what') .
                    ' ' .
                    $one->toCore()->text('partNumber'),
            );
        $replaced = $job
            ->replacements()
            ->get()
            ->map(
                static fn(Replacement $one): string => $one->part_number .
                    ' ' .
                    implode(
                        ' ',
                        array_map(
                            static fn(string $part): string => (string) $texts->find("parts.$part"),
                            explode('+', $one->remedy),
                        ),
                    ),
            );
        $unit = $job->unit()->first();
        $terms = SearchWords::of([
            (string) $job->number,
            $unit?->name,
            $unit?->place,
            $unit?->model,
            $job->complaint,
            $job->since,
            $texts->get('name'),
            $names[$job->user_id] ?? null,
            $names[$job->owner_id ?? 0] ?? null,
            ...$replaced->all(),
            ...$ordered->all(),
        ]);
        $own = ['workshop_id' => $job->workshop_id, 'number' => $job->number];
        DB::table('job_terms')->where($own)->whereNotIn('term', $terms)->delete();
        DB::table('job_terms')->insertOrIgnore(
            array_map(static fn(string $term): array => $own + ['term' => $term], $terms),
        );
    }

    /**
     * Numbers of the jobs that have all of these words, the newest first.
     *
     * The rarest word leads, and the others are asked of those jobs alone: what most jobs have costs nothing then.
     *
     * @param list<int>|null $among only these numbers; null for all of the workshop
     *
     * @return list<int>
     */
    public static function numbers(int $workshop, string $typed, ?array $among = null): array
    {
        $words = SearchWords::asked($typed);
        if ($among === null) {
            $counts = array_combine(
                $words,
                array_map(static fn(string $word): int => self::count($workshop, $word), $words),
            );
            asort($counts);
            $words = array_map(strval(...), array_keys($counts));
            $among = $words === [] ? [] : self::having($workshop, array_shift($words), null);
        }
        foreach ($words as $word) {
            $among = $among === [] ? [] : self::having($workshop, $word, $among);
        }

        return $among;
    }

    /** Whether every one of these words is so common that only the newest jobs are looked through for all of them. */
    public static function onlyTheNewest(int $workshop, string $typed): bool
    {
        $words = SearchWords::asked($typed);

        return $words !== [] &&
            array_filter($words, static fn(string $word): bool => self::count($workshop, $word) < self::MOST_FOUND) ===
                [];
    }

    /**
     * @param list<int>|null $among
     *
     * @return list<int>
     */
    private static function having(int $workshop, string $word, ?array $among): array
    {
        $found = DB::table('job_terms')
            ->where('workshop_id', $workshop)
            ->where('term', 'like', self::begun($word))
            ->distinct()
            ->orderByDesc('number')
            ->limit(self::MOST_FOUND);
        if ($among !== null) {
            $found->forceIndex('job_terms_workshop_id_number_term_index')->whereIntegerInRaw('number', $among);
        }

        return array_values(array_map(intval(...), $found->pluck('number')->all()));
    }

    private static function count(int $workshop, string $word): int
    {
        $some = DB::table('job_terms')
            ->where('workshop_id', $workshop)
            ->where('term', 'like', self::begun($word))
            ->limit(self::MOST_FOUND)
            ->select(DB::raw('1'));

        return DB::query()->fromSub($some, 'some')->count();
    }

    /** A number is typed whole; of any other word the beginning is enough. */
    private static function begun(string $word): string
    {
        return ctype_digit($word) ? $word : addcslashes($word, '%_\\') . '%';
    }
}
