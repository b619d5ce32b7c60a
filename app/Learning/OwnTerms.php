<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Learning\LearnedTerms;
use Ispira\Core\Learning\NotedTerm;
use Ispira\Core\Learning\TermKind;

/**
 * What tests and parts take in a workshop, as its closed jobs have it and as it was pinned.
 */
final class OwnTerms
{
    /** The newest observations of a kind of circuit: what was so years ago does not bind. */
    private const MOST = 2000;

    private function __construct() {}

    public static function of(Workshop $workshop, CircuitModel $circuit, string $family, string $model): Terms
    {
        return self::learned($workshop, $circuit, $family, $model)->terms();
    }

    public static function learned(
        Workshop $workshop,
        CircuitModel $circuit,
        string $family,
        string $model,
    ): LearnedTerms {
        $model = mb_strtolower(trim($model));
        $others = $own = [];
        foreach (self::rows($workshop, $family) as $row) {
            $one = self::noted($row);
            $model !== '' && mb_strtolower((string) $row->model) === $model ? ($own[] = $one) : ($others[] = $one);
        }
        $pinned = [];
        foreach (
            DB::table('pinned_terms')->where('workshop_id', $workshop->id)->where('family', $family)->get()
            as $row
        ) {
            $pinned["$row->kind $row->term"] = (float) $row->value;
        }

        return LearnedTerms::of($circuit, $others, $own, $pinned, now()->toDateString());
    }

    /** @return list<NotedTerm> of parts that were bought, of which the source is known */
    public static function bought(Workshop $workshop, string $family): array
    {
        return array_values(
            array_filter(
                array_map(self::noted(...), self::rows($workshop, $family)),
                static fn(NotedTerm $one): bool => $one->source !== '',
            ),
        );
    }

    /** @return array<\stdClass> */
    private static function rows(Workshop $workshop, string $family): array
    {
        return DB::table('noted_terms')
            ->where('workshop_id', $workshop->id)
            ->where('family', $family)
            ->latest('id')
            ->limit(self::MOST)
            ->get(['model', 'kind', 'term', 'source', 'value', 'unit_id', 'noted_on'])
            ->all();
    }

    private static function noted(\stdClass $row): NotedTerm
    {
        return new NotedTerm(
            TermKind::from((string) $row->kind),
            (string) $row->term,
            (string) $row->source,
            (float) $row->value,
            (string) $row->unit_id,
            (string) $row->noted_on,
        );
    }
}
