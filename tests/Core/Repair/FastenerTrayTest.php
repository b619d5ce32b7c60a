<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\FastenerHead;
use Ispira\Core\Repair\Work\FastenerTray;
use PHPUnit\Framework\TestCase;

final class FastenerTrayTest extends TestCase
{
    public function testWhatLiesTogetherIsDrawnTogetherAndLeavesAsItGoesBack(): void
    {
        $down = static fn(
            string $id,
            string $what,
            string $head,
            string $length,
            int $count,
            ?string $where,
        ): Entry => Entry::read($id, EntryKind::Down, [
            'what' => $what,
            'fastener' => $head,
            'length' => $length,
            'count' => $count,
            'where' => $where,
        ]);
        $tray = FastenerTray::of(
            Ledger::of([
                $down('a', 'Glove box', 'cross 2', '16 mm', 3, 'Tray, left'),
                $down('b', 'Plug', '', '', 0, 'tray, left'),
                $down('c', 'Duct', 'hex 8 mm', '3/4"', 2, null),
                $down('d', 'Bracket', 'torx 20', '1,5 in', 1, 'tray, left '),
                Entry::read('e', EntryKind::Up, ['of' => 'd', 'count' => 1]),
            ]),
        );
        self::assertSame(['Tray, left', 'put nowhere that was told'], array_column($tray, 'where'));
        [$first, $second] = $tray[0]->items;
        self::assertSame([1, 3, 3, 16.0], [$first->step, $first->count, $first->left, $first->millimetres]);
        self::assertSame([4, 0, FastenerHead::Star], [$second->step, $second->left, $second->head]);
        self::assertEqualsWithDelta(38.1, (float) $second->millimetres, 1e-9);
        self::assertNull($tray[1]->items[0]->millimetres, 'what cannot be read is not drawn as a length');
    }

    public function testHeadsAreReadAsTheyAreNamed(): void
    {
        $named = [
            'hex 8 mm' => 'hex',
            'nut M6' => 'nut',
            'Torx 25' => 'star',
            'cross 2' => 'cross',
            'PH2' => 'cross',
            'slotted' => 'slot',
            'socket 5' => 'socket',
            'push clip' => 'clip',
            'blind rivet' => 'rivet',
            '' => 'other',
        ];
        foreach ($named as $name => $head) {
            self::assertSame($head, FastenerHead::read($name)->value, $name);
        }
    }
}
