<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Unit;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The units of a workshop, found without reading all of them.
 */
final class KnownUnits
{
    private function __construct() {}

    /** The unit of exactly that name; of several the one that was changed last. */
    public static function named(Workshop $workshop, string $name): ?Unit
    {
        return self::inUse($workshop)
            ->where('name', $name)
            ->latest('updated_at')
            ->first()
            ?->setRelation('workshop', $workshop);
    }

    /**
     * Those whose name begins like what was typed; where there is none, those whose name, place or model have such
     * words; with nothing typed the newest.
     *
     * @return Collection<int, Unit>
     */
    public static function like(Workshop $workshop, string $typed, int $most): Collection
    {
        $words = SearchWords::match($typed);
        if ($words === null) {
            return self::inUse($workshop)->latest('updated_at')->limit($most)->get();
        }
        $begun = self::inUse($workshop)
            ->where('name', 'like', addcslashes(trim($typed), '%_\\') . '%')
            ->orderBy('name')
            ->limit($most)
            ->get();

        return $begun->isNotEmpty()
            ? $begun
            : self::inUse($workshop)
                ->whereFullText('words', $words, ['mode' => 'boolean'])
                ->latest('updated_at')
                ->limit($most)
                ->get();
    }

    /** @return HasMany<Unit, Workshop> */
    private static function inUse(Workshop $workshop): HasMany
    {
        return $workshop->units()->where('practice', false)->whereNull('retired_at');
    }
}
