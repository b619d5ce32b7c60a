<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Support\Facades\DB;

/**
 * The JSON Schema of a record in the archive of a workshop, by table, written from the database itself.
 */
final class ArchiveSchema
{
    private function __construct() {}

    /** @return array<string, mixed> */
    public static function of(WorkshopTables $tables): array
    {
        $records = [];
        foreach ($tables->names() as $table) {
            $properties = [];
            $columns = DB::select(
                'SELECT column_name AS name, data_type AS type, is_nullable AS nullable
                 FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ?
                 ORDER BY column_name',
                [$table],
            );
            foreach ($columns as $column) {
                if (in_array($column->name, WriteArchive::SECRET[$table] ?? [], true)) {
                    continue;
                }
                $type = match (true) {
                    str_ends_with((string) $column->type, 'int') => 'integer',
                    in_array($column->type, ['double', 'float'], true) => 'number',
                    default => 'string',
                };
                $properties[(string) $column->name] = [
                    'type' => $column->nullable === 'YES' ? [$type, 'null'] : $type,
                ];
            }
            $records[$table] = [
                'type' => 'object',
                'additionalProperties' => false,
                'required' => array_keys($properties),
                'properties' => $properties,
            ];
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://ispira.invalid/formats/workshop-records-1.json',
            'title' => 'Records of the archive of a workshop, version 1',
            'description' =>
                'Each line of records/TABLE.jsonl is a record of #/$defs/TABLE. Columns that hold JSON hold it as a ' .
                'text; moments are UTC.',
            '$defs' => $records,
        ];
    }

    public static function written(WorkshopTables $tables): string
    {
        return json_encode(
            self::of($tables),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        ) . "\n";
    }
}
