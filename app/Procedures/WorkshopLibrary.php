<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Models\Workshop;
use App\Models\WorkshopProcedure;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\ProcedureLibrary;

/**
 * The procedures of a workshop: its own before those that ship.
 */
final readonly class WorkshopLibrary
{
    public function __construct(private ProcedureLibrary $shipped) {}

    /** @return array<string, Procedure> by key, by title */
    public function of(Workshop $workshop): array
    {
        $all = $this->shipped->all();
        foreach ($workshop->procedures()->get() as $own) {
            $all[$own->key] = self::read($own);
        }
        uasort($all, static fn(Procedure $a, Procedure $b): int => $a->title <=> $b->title);

        return $all;
    }

    /** @return list<string> keys of those that the workshop has changed or made */
    public function own(Workshop $workshop): array
    {
        return array_values(
            $workshop->procedures()->get()->map(static fn(WorkshopProcedure $own): string => $own->key)->all(),
        );
    }

    public function isShipped(string $key): bool
    {
        return isset($this->shipped->all()[$key]);
    }

    private static function read(WorkshopProcedure $own): Procedure
    {
        return ProcedureFormat::read((string) json_encode($own->text));
    }
}
