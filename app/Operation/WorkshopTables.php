<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Every table that holds something of a workshop, read from the database itself, so that none can be forgotten: those
 * from which foreign keys lead to it. Each stands after all that its rows refer to.
 */
final class WorkshopTables
{
    /** Keys that lead to the workshop by way of something else; the first that a table has is taken. */
    private const WAYS = [
        'workshop_id' => null,
        'job_id' => 'jobs',
        'reading_sequence' => 'readings',
        'run_id' => 'procedure_runs',
        'experience_id' => 'experiences',
    ];
    /** What is made anew where it is wanted, or serves one installation only. */
    public const LEFT_OUT = ['invitations', 'slow_requests'];

    /** @var array<string, array<string, array{0: string, 1: string}>> by table and column: what it refers to */
    private array $keys = [];
    /** @var array<string, string> column that the database numbers, by table */
    private array $numbered = [];

    public function __construct()
    {
        $keys = DB::select(
            'SELECT table_name AS name, column_name AS col, referenced_table_name AS other,
                    referenced_column_name AS field, ordinal_position AS place
             FROM information_schema.key_column_usage
             WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL
             ORDER BY table_name, constraint_name, ordinal_position',
        );
        foreach ($keys as $key) {
            $this->keys[(string) $key->name][(string) $key->col] = [(string) $key->other, (string) $key->field];
        }
        $columns = DB::select(
            "SELECT table_name AS name, column_name AS col FROM information_schema.columns
             WHERE table_schema = DATABASE() AND extra LIKE '%auto_increment%'",
        );
        foreach ($columns as $column) {
            $this->numbered[(string) $column->name] = (string) $column->col;
        }
    }

    /** @return list<string> the workshop's own table first; each after those that it refers to */
    public function names(): array
    {
        $ordered = ['workshops'];
        do {
            $before = count($ordered);
            foreach (array_keys($this->keys) as $name) {
                $others = array_diff(array_column($this->keys[$name], 0), [$name]);
                if (!in_array($name, [...$ordered, ...self::LEFT_OUT], true) && array_diff($others, $ordered) === []) {
                    $ordered[] = $name;
                }
            }
        } while (count($ordered) > $before);

        return $ordered;
    }

    /** Rows of a table that belong to a workshop, in the order in which they were written. */
    public function rows(string $table, int $workshop): Builder
    {
        $rows = DB::table($table)->select("$table.*");
        if ($table === 'workshops') {
            return $rows->where('id', $workshop);
        }
        $this->belonging($rows, $table, $workshop);

        return $rows;
    }

    /** @return list<string> columns by which a row is known */
    public function primary(string $table): array
    {
        $columns = array_column(
            DB::select(
                "SELECT column_name AS col FROM information_schema.key_column_usage
                 WHERE table_schema = DATABASE() AND table_name = ? AND constraint_name = 'PRIMARY'
                 ORDER BY ordinal_position",
                [$table],
            ),
            'col',
        );

        return array_map(strval(...), array_values($columns));
    }

    /** @return array<string, array{0: string, 1: string}> what columns of a table refer to: table and column */
    public function references(string $table): array
    {
        return $this->keys[$table] ?? [];
    }

    /** The column that the database numbers, if there is one. */
    public function numbered(string $table): ?string
    {
        return $this->numbered[$table] ?? null;
    }

    private function belonging(Builder $rows, string $table, int $workshop): void
    {
        foreach (self::WAYS as $column => $by) {
            $other = $this->keys[$table][$column] ?? null;
            if ($other === null) {
                continue;
            }
            if ($by === null) {
                $rows->where("$table.workshop_id", $workshop);
            } else {
                $rows->whereIn("$table.$column", fn(Builder $inner) => $this->of($inner, $other, $workshop));
            }

            return;
        }

        throw new \LogicException("The table $table belongs to nothing of a workshop.");
    }

    /** @param array{0: string, 1: string} $other */
    private function of(Builder $inner, array $other, int $workshop): void
    {
        $inner->from($other[0])->select("$other[0].$other[1]");
        $this->belonging($inner, $other[0], $workshop);
    }
}
