<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

use Illuminate\Support\Facades\DB;

/**
 * Ids that stand in the database at this moment, of one workshop and of others, by the name of the place in an address.
 */
final class LiveIds
{
    private const TABLES = [
        'job' => ['jobs', 'id'],
        'unit' => ['units', 'id'],
        'reading' => ['readings', 'id'],
        'photo' => ['photos', 'id'],
        'capture' => ['captures', 'id'],
        'meter' => ['meters', 'id'],
        'run' => ['procedure_runs', 'id'],
        'person' => ['users', 'id'],
        'invitation' => ['invitations', 'id'],
        'experience' => ['experiences', 'id'],
        'set' => ['exercise_sets', 'id'],
    ];
    private const SOME = 200;

    /** @var array<string, list<string>> */
    private array $ids = [];

    public function refresh(): void
    {
        foreach (self::TABLES as $name => [$table, $column]) {
            $this->ids[$name] = array_map(
                strval(...),
                array_values(DB::table($table)->inRandomOrder()->limit(self::SOME)->pluck($column)->all()),
            );
        }
    }

    /** An address with something in every place: mostly what is there, sometimes anything. */
    public function fill(string $uri, Mutation $mutation): string
    {
        return (string) preg_replace_callback(
            '/\{(\w+)\??\}/',
            function (array $place) use ($mutation): string {
                $known = $this->ids[$place[1]] ?? [];
                if ($known !== [] && $mutation->below(12) > 0) {
                    return $mutation->one($known);
                }
                $value = match ($place[1]) {
                    'format' => $mutation->one(['csv', 'vcd', 'exe']),
                    'for' => $mutation->one(['customer', 'file', 'nobody']),
                    'key' => $mutation->one(['wire-and-splice', 'capacitor-discharge', 'none', 'x']),
                    default => $mutation->value(),
                };

                return rawurlencode(is_scalar($value) ? mb_strcut((string) $value, 0, 2000) : 'list');
            },
            $uri,
        );
    }
}
