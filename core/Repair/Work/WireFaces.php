<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Device\Plug\PlugFace;
use Ispira\Core\Device\Plug\PlugPin;
use Ispira\Core\Device\Plug\WireColour;

/**
 * The terminals of the old part and of the new one, with the wires that move between them.
 */
final readonly class WireFaces
{
    /**
     * @param list<WirePath> $paths
     */
    private function __construct(public PlugFace $old, public PlugFace $new, public array $paths) {}

    /**
     * Null where no wire is in the table.
     *
     * @param list<WireRow> $rows
     */
    public static function of(array $rows): ?self
    {
        $old = self::face('Old part', $rows, static fn(WireRow $row): string => $row->from);
        $new = self::face('New part', $rows, static fn(WireRow $row): string => $row->to);

        return $old === null || $new === null
            ? null
            : new self(
                $old,
                $new,
                array_map(
                    static fn(WireRow $row): WirePath => new WirePath(
                        from: trim($row->from),
                        to: trim($row->to),
                        tag: $row->label,
                        colour: WireColour::read($row->colour),
                        done: $row->checked,
                    ),
                    $rows,
                ),
            );
    }

    /**
     * @param list<WireRow>             $rows
     * @param \Closure(WireRow): string $terminal
     */
    private static function face(string $title, array $rows, \Closure $terminal): ?PlugFace
    {
        $pins = [];
        foreach ($rows as $row) {
            $label = trim($terminal($row));
            // Two wires on one terminal share it, with what both of them do.
            $before = $pins[$label] ?? null;
            $pins[$label] = new PlugPin(
                $label,
                $before === null ? $row->function : "$before->words; $row->function",
                $before->colour ?? WireColour::read($row->colour),
            );
        }

        return PlugFace::of($title, array_values($pins));
    }
}
