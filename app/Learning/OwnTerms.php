<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Learning\LearnedTerms;
use Ispira\Core\Learning\NotedTerm;
use Ispira\Core\Learning\TermKind;

/**
 * What tests and parts of a kind of circuit take in a workshop, as its closed jobs have it and as it was pinned: read
 * once, for whatever variant and model is asked about.
 */
final readonly class OwnTerms
{
    /** The newest observations of a kind of circuit: what was so years ago does not bind. */
    private const MOST = 2000;

    /**
     * @param list<array{string, NotedTerm}> $noted  each with its model, in small letters
     * @param array<string, float>           $pinned by kind and key
     */
    private function __construct(private array $noted, private array $pinned) {}

    public static function of(Workshop $workshop, string $family): self
    {
        $noted = DB::table('noted_terms')
            ->where('workshop_id', $workshop->id)
            ->where('family', $family)
            ->latest('id')
            ->limit(self::MOST)
            ->get(['model', 'kind', 'term', 'source', 'value', 'unit_id', 'noted_on'])
            ->map(
                static fn(\stdClass $row): array => [
                    mb_strtolower((string) $row->model),
                    new NotedTerm(
                        TermKind::from((string) $row->kind),
                        (string) $row->term,
                        (string) $row->source,
                        (float) $row->value,
                        (string) $row->unit_id,
                        (string) $row->noted_on,
                    ),
                ],
            );
        $pinned = DB::table('pinned_terms')
            ->where('workshop_id', $workshop->id)
            ->where('family', $family)
            ->get()
            ->mapWithKeys(static fn(\stdClass $row): array => ["$row->kind $row->term" => (float) $row->value]);

        return new self(array_values($noted->all()), $pinned->all());
    }

    public function learned(CircuitModel $circuit, string $model): LearnedTerms
    {
        $model = mb_strtolower(trim($model));
        $others = $own = [];
        foreach ($this->noted as [$of, $one]) {
            $model !== '' && $of === $model ? ($own[] = $one) : ($others[] = $one);
        }

        return LearnedTerms::of($circuit, $others, $own, $this->pinned, now()->toDateString());
    }

    /** @return list<NotedTerm> of parts that were bought, of which the source is known */
    public function bought(): array
    {
        return array_values(
            array_filter(array_column($this->noted, 1), static fn(NotedTerm $one): bool => $one->source !== ''),
        );
    }
}
