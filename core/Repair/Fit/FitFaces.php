<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Device\Plug\PlugFace;
use Ispira\Core\Device\Plug\PlugPin;
use Ispira\Core\Device\Plug\WireColour;

/**
 * The connector of the old part beside that of its candidate, as far as they were described.
 */
final readonly class FitFaces
{
    private function __construct(public ?PlugFace $old, public ?PlugFace $new) {}

    /**
     * Null where neither was described.
     *
     * @param array<string, string> $old values by attribute
     * @param array<string, string> $new
     */
    public static function of(array $old, array $new): ?self
    {
        $faces = new self(self::face('Old part', $old), self::face('Candidate', $new));

        return $faces->old === null && $faces->new === null ? null : $faces;
    }

    /** @param array<string, string> $values */
    private static function face(string $title, array $values): ?PlugFace
    {
        $sex = $values[FitAttribute::ConnectorSex->value] ?? '';
        if ($sex === 'wires') {
            return null;
        }
        $count = trim($values[FitAttribute::Pins->value] ?? '');
        $key = trim($values[FitAttribute::ConnectorKey->value] ?? '');

        return PlugFace::of(
            $title,
            self::pins($values[FitAttribute::PinFunctions->value] ?? ''),
            preg_match('/^\d{1,2}$/', $count) === 1 ? (int) $count : 0,
            match ($sex) {
                'pins' => false,
                'sockets' => true,
                default => null,
            },
            $key === '' ? null : $key,
        );
    }

    /**
     * "1 feed, 2 ground, 3 command" or "1: red, feed; 2: black, ground".
     *
     * @return list<PlugPin>
     */
    private static function pins(string $text): array
    {
        $pins = [];
        $parts =
            preg_split('/(?:^|[,;\n])\s*(\d{1,2})(?=[\s:.=])[\s:.=]+/u', $text, -1, \PREG_SPLIT_DELIM_CAPTURE) ?: [];
        for ($n = 1; $n + 1 < \count($parts); $n += 2) {
            $words = trim($parts[$n + 1], " \t\n,;");
            if ($words !== '') {
                $pins[(int) $parts[$n]] = new PlugPin((string) (int) $parts[$n], $words, WireColour::read($words));
            }
        }

        return array_values($pins);
    }
}
