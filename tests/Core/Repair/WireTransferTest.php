<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\Acceptance;
use Ispira\Core\Repair\Work\WireTransfer;
use PHPUnit\Framework\TestCase;

final class WireTransferTest extends TestCase
{
    /** @var list<Entry> */
    private array $entries = [];

    /** @param array<string, mixed> $data */
    private function note(string $id, EntryKind $kind, array $data): void
    {
        $entry = Entry::read($id, $kind, $data);
        (new Acceptance(Ledger::of($this->entries)))->check($entry);
        $this->entries[] = $entry;
    }

    /** @param array<string, mixed> $data */
    private function refused(string $field, string $saying, EntryKind $kind, array $data): void
    {
        try {
            $this->note('no', $kind, $data);
            self::fail('It was taken.');
        } catch (EntryRefused $refused) {
            self::assertSame($field, $refused->field);
            self::assertStringContainsString($saying, $refused->getMessage());
        }
    }

    private function transfer(): WireTransfer
    {
        return new WireTransfer(Ledger::of($this->entries));
    }

    public function testOneAtATimeTheNextWaitsForTheCheck(): void
    {
        $this->refused('method', 'Choose how', EntryKind::Wire, [
            'function' => 'Common',
            'from' => 'C',
            'to' => 'C',
            'colour' => 'white',
        ]);
        $this->note('m', EntryKind::Method, ['method' => 'one-at-a-time']);
        $this->note('a', EntryKind::Wire, ['function' => 'Common', 'from' => 'C', 'to' => 'COM', 'colour' => 'white']);
        $this->note('b', EntryKind::Wire, ['function' => 'Heat tap', 'from' => '3', 'to' => '2', 'colour' => 'red']);
        self::assertSame([], $this->transfer()->warnings());
        $this->refused('of', 'not moved', EntryKind::WireChecked, ['of' => 'a']);
        $this->note('ma', EntryKind::WireMoved, ['of' => 'a']);
        $this->refused('of', 'check "Common"', EntryKind::WireMoved, ['of' => 'b']);
        $this->note('ca', EntryKind::WireChecked, ['of' => 'a']);
        $this->note('mb', EntryKind::WireMoved, ['of' => 'b']);
        self::assertSame(['Heat tap is not checked'], $this->transfer()->open());
        $this->refused('wires', 'Heat tap is not checked', EntryKind::Closed, ['outcome' => 'repaired']);
        $this->note('cb', EntryKind::WireChecked, ['of' => 'b']);
        self::assertSame([], $this->transfer()->open());
    }

    public function testPhotoAndTagsAsksForATagOnEveryWire(): void
    {
        $this->note('m', EntryKind::Method, ['method' => 'photo-and-tags']);
        $this->refused('label', 'tag', EntryKind::Wire, [
            'function' => 'Feed',
            'from' => '1',
            'to' => '1',
            'colour' => 'red',
        ]);
        $this->note('a', EntryKind::Wire, [
            'function' => 'Feed',
            'from' => '1',
            'to' => '1',
            'colour' => 'red',
            'label' => 'A',
        ]);
        $this->refused('label', 'Feed', EntryKind::Wire, [
            'function' => 'Ground',
            'from' => '2',
            'to' => '2',
            'colour' => 'red',
            'label' => 'A',
        ]);
        $this->note('b', EntryKind::Wire, [
            'function' => 'Ground',
            'from' => '2',
            'to' => '1',
            'colour' => 'Red',
            'label' => 'B',
        ]);
        $warnings = $this->transfer()->warnings();
        self::assertCount(2, $warnings);
        self::assertStringContainsString('Two wires are red: Feed and Ground', $warnings[0]);
        self::assertStringContainsString('terminal 1', $warnings[1]);
        $this->note('ma', EntryKind::WireMoved, ['of' => 'a']);
        $this->note('mb', EntryKind::WireMoved, ['of' => 'b']);
        self::assertCount(2, $this->transfer()->open());
    }

    public function testTwoSpeedTapsNeverShareATerminal(): void
    {
        $this->note('m', EntryKind::Method, ['method' => 'one-at-a-time']);
        $this->note('a', EntryKind::Wire, [
            'function' => 'Heat speed',
            'from' => 'low',
            'to' => 'HEAT',
            'colour' => 'red',
        ]);
        $this->refused('to', 'burn the winding', EntryKind::Wire, [
            'function' => 'Cool tap',
            'from' => 'high',
            'to' => 'heat',
            'colour' => 'black',
        ]);
        $this->note('b', EntryKind::Wire, ['function' => 'Common', 'from' => 'C', 'to' => 'heat', 'colour' => 'white']);
    }

    public function testSwitchesAreCopiedOrTheDifferenceHasAReason(): void
    {
        $this->note('s', EntryKind::Switches, ['name' => 'S1', 'old' => '0110']);
        self::assertSame(['The switches S1 are not set on the new part'], $this->transfer()->open());
        $this->refused('new', '4 switches', EntryKind::SwitchesSet, ['of' => 's', 'new' => '011']);
        $this->refused('reason', 'differs', EntryKind::SwitchesSet, ['of' => 's', 'new' => '0111']);
        $this->note('s1', EntryKind::SwitchesSet, ['of' => 's', 'new' => '0110']);
        self::assertSame([], $this->transfer()->open());
        $this->note('s2', EntryKind::SwitchesSet, [
            'of' => 's',
            'new' => '0111',
            'reason' => 'the new board counts from the other end',
        ]);
        self::assertSame('0111', $this->transfer()->switches()[0]->new);
    }

    public function testAPlugIsDoneWhenItLatchesAndLocks(): void
    {
        $this->refused('reason', 'latch', EntryKind::Plug, [
            'what' => 'Pack plug',
            'latched' => true,
            'locked' => false,
        ]);
        $this->note('p', EntryKind::Plug, ['what' => 'Pack plug', 'latched' => true, 'locked' => true]);
        $this->note('q', EntryKind::Plug, [
            'what' => 'Motor plug',
            'latched' => false,
            'locked' => false,
            'reason' => 'lock broken, tied',
        ]);
        self::assertCount(2, Ledger::of($this->entries)->all(EntryKind::Plug));
    }
}
