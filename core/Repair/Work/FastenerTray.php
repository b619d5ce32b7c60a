<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * What lies where until it goes back.
 */
final class FastenerTray
{
    private const UNTOLD = 'put nowhere that was told';

    private function __construct() {}

    /** @return list<TrayPlace> in the order in which they were first used */
    public static function of(Ledger $ledger): array
    {
        $left = array_column((new StripDown($ledger))->steps(), 'left', 'id');
        $places = [];
        foreach ($ledger->all(EntryKind::Down) as $number => $down) {
            if ($down->count('count') > 0) {
                $where = trim($down->text('where'));
                $places[mb_strtolower($where)][0] ??= $where === '' ? self::UNTOLD : $where;
                $places[mb_strtolower($where)][1][] = self::item($down, $number + 1, $left[$down->id] ?? 0);
            }
        }

        return array_map(
            static fn(array $place): TrayPlace => new TrayPlace($place[0], $place[1]),
            array_values($places),
        );
    }

    private static function item(Entry $down, int $step, int $left): TrayItem
    {
        return new TrayItem(
            step: $step,
            what: $down->text('what'),
            head: FastenerHead::read($down->text('fastener')),
            name: $down->text('fastener'),
            millimetres: self::millimetres($down->text('length')),
            count: $down->count('count'),
            left: $left,
        );
    }

    private static function millimetres(string $length): ?float
    {
        $factor = preg_match('/(?:in|inch|")\s*$/i', $length) === 1 ? 25.4 : 1.0;
        try {
            $number = NumberReader::read(trim((string) preg_replace('/(?:mm|in|inch|")\s*$/i', '', $length)), '');
        } catch (UnreadableNumber) {
            return null;
        }

        return $number > 0.0 ? $number * $factor : null;
    }
}
