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
    /** More than these nobody pages through: of a word that more jobs have, the newest; so many are asked at once. */
    private const MOST_FOUND = 3000;
    private const ENOUGH = 300;
    /** Which word is the rarest, so much is counted for: of words beyond it any may lead. */
    private const MOST_COUNTED = 1000;
    private const AT_ONCE = 1000;

    /** Jobs lie close together where no more than so many numbers go on each; so many words may begin alike then. */
    private const SPREAD = 20;
    private const FEW_TERMS = 6;

    private function __construct() {}

    public static function note(Job $job): void
    {
        if ($job->practice_fault !== null) {
            return;
        }
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
     * Jobs that have all of these words.
     *
     * The rarest word leads, some jobs of it at a time, and the others are asked of those jobs alone: what most jobs
     * have costs nothing then.
     *
     * @param int  $enough so many found are enough
     * @param bool $oldestFirst from which end they are looked through
     */
    public static function find(int $workshop, string $typed, int $enough, bool $oldestFirst): FoundNumbers
    {
        $words = SearchWords::asked($typed);
        $counts = array_combine(
            $words,
            array_map(static fn(string $word): int => self::count($workshop, $word), $words),
        );
        // Of equals a number leads: it stands in one place of the index.
        usort(
            $words,
            static fn(string $a, string $b): int => [$counts[$a], !ctype_digit($a)] <=> [$counts[$b], !ctype_digit($b)],
        );
        $rarest = array_shift($words);
        if ($rarest === null) {
            return new FoundNumbers([], false);
        }
        $found = $some = $terms = [];
        $seen = 0;
        do {
            $last = $some === [] ? null : $some[count($some) - 1];
            $some = self::having($workshop, $rarest, null, $last, $oldestFirst);
            $seen += count($some);
            $found = [...$found, ...self::all($workshop, $words, $some, $terms)];
            $more = count($some) === self::AT_ONCE;
        } while ($more && count($found) < $enough && $seen < self::MOST_FOUND);

        // All of very many are put in order only where somebody turns to a later page.
        $cut = $enough < self::ENOUGH && count($found) > self::ENOUGH;

        return new FoundNumbers($cut ? array_slice($found, 0, self::ENOUGH) : $found, $more || $cut);
    }

    /**
     * Those of some jobs that have all of these words; none where no word was typed.
     *
     * @param list<int> $among
     *
     * @return list<int>
     */
    public static function among(int $workshop, string $typed, array $among): array
    {
        $words = SearchWords::asked($typed);
        $terms = [];

        return $words === [] ? [] : self::all($workshop, $words, $among, $terms);
    }

    /**
     * @param list<string> $words
     * @param list<int> $among
     * @param array<string, list<string>> $terms terms that begin with a word, kept from one time to the next
     *
     * @return list<int>
     */
    private static function all(int $workshop, array $words, array $among, array &$terms): array
    {
        foreach ($words as $word) {
            $among = $among === [] ? [] : self::narrowed($workshop, $word, $among, $terms);
        }

        return $among;
    }

    /**
     * @param non-empty-list<int> $among
     * @param array<string, list<string>> $terms
     *
     * @return list<int> those that have a word
     */
    private static function narrowed(int $workshop, string $word, array $among, array &$terms): array
    {
        $span = [min($among), max($among)];
        $near = self::SPREAD * count($among) >= $span[1] - $span[0];
        if ($near) {
            $terms["=$word"] ??= self::terms($workshop, $word);
        }
        if (!$near || $terms["=$word"] === []) {
            return self::having($workshop, $word, $among);
        }
        // Read in one go where they lie close together: cheaper than asking for each.
        $found = DB::table('job_terms')
            ->where('workshop_id', $workshop)
            ->whereIn('term', $terms["=$word"])
            ->whereBetween('number', $span)
            ->pluck('number')
            ->all();

        $having = array_flip($found);

        return array_values(array_filter($among, static fn(int $number): bool => isset($having[$number])));
    }

    /** @return list<string> that begin like this; none where there are too many of them */
    private static function terms(int $workshop, string $word): array
    {
        if (ctype_digit($word)) {
            return [$word];
        }
        // One after the other by the index: to group them would read every job that has one.
        $terms = [];
        $last = '';
        do {
            $next = DB::table('job_terms')
                ->where('workshop_id', $workshop)
                ->where('term', ...self::begins($word))
                ->where('term', '>', $last)
                ->orderBy('term')
                ->value('term');
            if (is_string($next)) {
                $terms[] = $last = $next;
            }
        } while (is_string($next) && count($terms) <= self::FEW_TERMS);

        return count($terms) > self::FEW_TERMS ? [] : $terms;
    }

    /**
     * @param list<int>|null $among only these; null for any
     * @param int|null $last the one after which they begin; null for the first
     *
     * @return list<int>
     */
    private static function having(
        int $workshop,
        string $word,
        ?array $among,
        ?int $last = null,
        bool $oldestFirst = false,
    ): array {
        $found = DB::table('job_terms')
            ->where('workshop_id', $workshop)
            ->where('term', ...self::begins($word))
            ->distinct()
            ->orderBy('number', $oldestFirst ? 'asc' : 'desc')
            ->when($last !== null, static fn($jobs) => $jobs->where('number', $oldestFirst ? '>' : '<', $last));
        $among === null
            ? $found->limit(self::AT_ONCE)
            : $found->forceIndex('job_terms_workshop_id_number_term_index')->whereIntegerInRaw('number', $among);

        return array_values(array_map(intval(...), $found->pluck('number')->all()));
    }

    private static function count(int $workshop, string $word): int
    {
        $some = DB::table('job_terms')
            ->where('workshop_id', $workshop)
            ->where('term', ...self::begins($word))
            ->limit(self::MOST_COUNTED)
            ->select(DB::raw('1'));

        return DB::query()->fromSub($some, 'some')->count();
    }

    /** @return array{string, string} how a term is asked for: a number whole, any other word by how it begins */
    private static function begins(string $word): array
    {
        return ctype_digit($word)
            ? ['=', $word]
            : ['like', addcslashes(rtrim($word, SearchWords::BEGUN), '%_\\') . '%'];
    }
}
