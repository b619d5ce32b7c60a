<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\Acceptance;
use Ispira\Core\Repair\Work\StripDown;
use PHPUnit\Framework\TestCase;

final class StripDownTest extends TestCase
{
    /** @param array<string, mixed> $data */
    private static function entry(string $id, EntryKind $kind, array $data, ?string $at = null): Entry
    {
        return Entry::read($id, $kind, $data, $at);
    }

    /** @return list<Entry> */
    private static function glovebox(): array
    {
        return [
            self::entry(
                'found',
                EntryKind::Found,
                ['what' => 'Screws of the glove box', 'condition' => 'missing', 'count' => 1],
                '2026-03-01T09:00:00Z',
            ),
            self::entry(
                'box',
                EntryKind::Down,
                ['what' => 'Glove box', 'fastener' => 'cross 2', 'count' => 3],
                '2026-03-01T09:02:00Z',
            ),
            self::entry('duct', EntryKind::Down, ['what' => 'Duct', 'count' => '2'], '2026-03-01T09:06:00Z'),
            self::entry('plug', EntryKind::Down, ['what' => 'Plug', 'count' => 0], '2026-03-01T09:08:00Z'),
        ];
    }

    public function testWhatCameOffLastGoesBackFirst(): void
    {
        $ledger = Ledger::of(self::glovebox());
        self::assertSame(['plug', 'duct', 'box'], array_column((new StripDown($ledger))->reassembly(), 'id'));
        $this->refused('of', $ledger, self::entry('up', EntryKind::Up, ['of' => 'box', 'count' => 3]), 'Plug');
        (new Acceptance($ledger))->check(self::entry('up', EntryKind::Up, ['of' => 'plug', 'count' => 0]));
    }

    public function testCountsComeToZeroOrAReason(): void
    {
        $entries = [...self::glovebox(), self::entry('up1', EntryKind::Up, ['of' => 'plug', 'count' => 0])];
        $ledger = Ledger::of($entries);
        $this->refused('count', $ledger, self::entry('up2', EntryKind::Up, ['of' => 'duct', 'count' => 3]), 'Only 2');
        $this->refused(
            'reason',
            $ledger,
            self::entry('up2', EntryKind::Up, ['of' => 'duct', 'count' => 1]),
            '1 left over',
        );
        $entries[] = self::entry('up2', EntryKind::Up, [
            'of' => 'duct',
            'count' => 1,
            'reason' => 'thread torn, sealed',
        ]);
        $strip = new StripDown(Ledger::of($entries));
        self::assertSame(['box'], array_column($strip->open(), 'id'));
        self::assertSame(1 + 3, $strip->leftOver());
        $entries[] = self::entry('up3', EntryKind::Up, ['of' => 'box', 'count' => 3]);
        $strip = new StripDown(Ledger::of($entries));
        self::assertSame([], $strip->open());
        self::assertSame(1, $strip->leftOver());
        self::assertSame(1, $strip->missingBefore());
        self::assertSame(6.0, $strip->minutes());
    }

    public function testAJobDoesNotCloseBeforeItIsTogether(): void
    {
        $this->refused(
            'reassembly',
            Ledger::of(self::glovebox()),
            self::entry('end', EntryKind::Closed, ['outcome' => 'repaired']),
            'Glove box, 3 left over',
        );
    }

    public function testWhatCannotBeUndoneIsConfirmedWithWhatLiesBehind(): void
    {
        $ledger = Ledger::of([]);
        $cut = ['what' => 'Access hole', 'count' => 0, 'irreversible' => true];
        $this->refused('behind', $ledger, self::entry('cut', EntryKind::Down, $cut), 'behind');
        $cut += ['behind' => 'the evaporator', 'alternative' => 'dash out'];
        $this->refused('alternativeMinutes', $ledger, self::entry('cut', EntryKind::Down, $cut), 'minutes');
        $cut += ['alternativeMinutes' => '240'];
        $this->refused('confirmed', $ledger, self::entry('cut', EntryKind::Down, $cut), 'the evaporator');
        (new Acceptance($ledger))->check(self::entry('cut', EntryKind::Down, $cut + ['confirmed' => true]));
    }

    public function testWhatIsTakenBackDoesNotStand(): void
    {
        $ledger = Ledger::of([...self::glovebox(), self::entry('no', EntryKind::Removed, ['of' => 'plug'])]);
        self::assertSame(['box', 'duct'], array_column((new StripDown($ledger))->steps(), 'id'));
        $this->refused('of', $ledger, self::entry('again', EntryKind::Removed, ['of' => 'plug']), 'not there');
    }

    /** Any order of taking off, put back in reverse with all its counts, leaves nothing over. */
    public function testEveryRoutePutBackInReverseLeavesNothing(): void
    {
        mt_srand(5);
        for ($case = 0; $case < 60; ++$case) {
            $entries = [];
            for ($n = mt_rand(1, 12); $n > 0; --$n) {
                $entries[] = self::entry("d$n", EntryKind::Down, ['what' => "Step $n", 'count' => mt_rand(0, 9)]);
            }
            foreach (array_reverse($entries) as $down) {
                $left = $down->count('count');
                do {
                    $now = mt_rand(0, 1) === 1 ? $left : mt_rand(0, $left);
                    $up = self::entry("u$down->id-$left-" . mt_rand(), EntryKind::Up, [
                        'of' => $down->id,
                        'count' => $now,
                        'reason' => $now < $left ? 'the others follow' : null,
                    ]);
                    (new Acceptance(Ledger::of($entries)))->check($up);
                    $entries[] = $up;
                    $left -= $now;
                } while ($left > 0);
            }
            $strip = new StripDown(Ledger::of($entries));
            self::assertSame(0, $strip->leftOver());
            self::assertSame([], $strip->open());
        }
    }

    private function refused(string $field, Ledger $ledger, Entry $entry, string $saying): void
    {
        try {
            (new Acceptance($ledger))->check($entry);
            self::fail("\"{$entry->kind->value}\" was taken.");
        } catch (EntryRefused $refused) {
            self::assertSame($field, $refused->field);
            self::assertStringContainsString($saying, $refused->getMessage());
        }
    }
}
