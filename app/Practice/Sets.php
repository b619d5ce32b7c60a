<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Exercise;
use App\Models\User;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeTexts;
use Ispira\Core\Practice\Rung;

/**
 * What a lead has set, as the others find it.
 */
final class Sets
{
    private const MOST_SHOWN = 20;

    private function __construct() {}

    /** @return list<SetShown> newest first */
    public static function of(User $user, FamilyRegistry $families): array
    {
        $sets = $user->workshop->exerciseSets()->latest('made_at')->limit(self::MOST_SHOWN)->get();
        $own = Exercise::query()
            ->whereIn('set_id', $sets->pluck('id'))
            ->where('user_id', $user->id)
            ->get()
            ->groupBy('set_id');
        $names = $user->workshop->names();
        $shown = [];
        foreach ($sets as $set) {
            $units = [];
            foreach ($set->units as $number => $unit) {
                $begun = $own->get($set->id)?->firstWhere('set_unit', $number);
                $units[] = new SetUnitShown(
                    $families->get($unit['family'])->texts()->get('name'),
                    $begun?->job_id,
                    $begun?->over_at !== null,
                );
            }
            $shown[] = new SetShown(
                $set->id,
                $set->title,
                PracticeTexts::get("ways.{$set->way->value}"),
                $names[$set->user_id] ?? '',
                $set->made_at->toIso8601String(),
                $units,
            );
        }

        return $shown;
    }

    /** The rung on which a unit of a set counts. */
    public static function rung(HiddenKind $kind): Rung
    {
        return match ($kind) {
            HiddenKind::Single => Rung::OwnWay,
            HiddenKind::Chain => Rung::Chains,
            HiddenKind::Intermittent => Rung::ComesAndGoes,
            HiddenKind::None => Rung::Nothing,
            HiddenKind::Outside => Rung::Unlisted,
        };
    }
}
