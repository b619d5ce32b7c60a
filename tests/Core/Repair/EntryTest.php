<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\JobOutcome;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryTest extends TestCase
{
    /** @return iterable<string, array{0: EntryKind}> */
    public static function kinds(): iterable
    {
        foreach (EntryKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /** @return array<string, mixed> something that each field takes */
    private static function full(EntryKind $kind): array
    {
        return array_map(
            static fn(string|array $type): mixed => \is_array($type)
                ? $type[0]
                : match (rtrim($type, '?')) {
                    'count' => '3',
                    'number' => '12,5',
                    'flag' => true,
                    'day' => '2031-02-28',
                    'switches' => '0101',
                    'list' => ['pack'],
                    'map' => ['depth' => '41'],
                    default => ' some words ',
                },
            $kind->fields(),
        );
    }

    #[DataProvider('kinds')]
    public function testWhatIsReadIsReadAgainAlike(EntryKind $kind): void
    {
        $entry = Entry::read('e', $kind, self::full($kind));
        self::assertSame(
            $entry->data,
            Entry::read('e', $kind, (array) json_decode((string) json_encode($entry->data), true))->data,
        );
        foreach ($kind->fields() as $field => $type) {
            self::assertSame(
                $entry->data[$field],
                match ($type) {
                    'count', 'count?' => $entry->count($field),
                    'number', 'number?' => $entry->number($field),
                    'flag' => $entry->flag($field),
                    'list' => $entry->list($field),
                    'map' => $entry->map($field),
                    default => $entry->text($field),
                },
            );
        }
    }

    #[DataProvider('kinds')]
    public function testWhatMustBeFilledInIsAskedForAtItsField(EntryKind $kind): void
    {
        foreach ($kind->fields() as $field => $type) {
            $needed = \is_array($type) || \in_array($type, ['text', 'count', 'number', 'day', 'switches'], true);
            try {
                Entry::read('e', $kind, [$field => ''] + self::full($kind));
                self::assertFalse($needed, "$field may stay empty.");
            } catch (EntryRefused $refused) {
                self::assertTrue($needed, "$field must not stay empty.");
                self::assertSame($field, $refused->field);
            }
        }
        $this->expectException(EntryRefused::class);
        Entry::read('e', $kind, ['mood' => 'fine'] + self::full($kind));
    }

    /** @return iterable<string, array{0: EntryKind, 1: array<string, mixed>, 2: string}> */
    public static function bad(): iterable
    {
        yield 'a count with a fraction' => [EntryKind::Up, ['of' => 'x', 'count' => '2.5'], 'count'];
        yield 'a count below zero' => [EntryKind::Up, ['of' => 'x', 'count' => -1], 'count'];
        yield 'a number in words' => [
            EntryKind::Measured,
            ['test' => 'x', 'number' => 'much', 'right' => true, 'expected' => 'y'],
            'number',
        ];
        yield 'a day that does not exist' => [
            EntryKind::Loan,
            ['what' => 'x', 'to' => 'y', 'dueOn' => '2031-02-30'],
            'dueOn',
        ];
        yield 'a switch between on and off' => [EntryKind::Switches, ['name' => 'S1', 'old' => '012'], 'old'];
        yield 'an answer that is none' => [EntryKind::Kit, ['sort' => 'toy', 'what' => 'x'], 'sort'];
        yield 'a flag in words' => [EntryKind::Plug, ['what' => 'x', 'latched' => 'yes', 'locked' => true], 'latched'];
        yield 'a text without end' => [
            EntryKind::Found,
            ['what' => str_repeat('x', 1001), 'condition' => 'missing'],
            'what',
        ];
        yield 'a list where a text belongs' => [EntryKind::Found, ['what' => ['x'], 'condition' => 'missing'], 'what'];
        yield 'a text where a map belongs' => [
            EntryKind::Fit,
            [
                'when' => 'purchase',
                'type' => 'motor',
                'candidate' => 'x',
                'old' => 'x',
                'new' => [],
                'accepted' => true,
            ],
            'old',
        ];
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('bad')]
    public function testWhatDoesNotBelongThereIsRefusedAtItsField(EntryKind $kind, array $data, string $field): void
    {
        try {
            Entry::read('e', $kind, $data);
            self::fail('It was taken.');
        } catch (EntryRefused $refused) {
            self::assertSame($field, $refused->field);
            self::assertNotSame('', $refused->getMessage());
        }
    }

    public function testALedgerFindsTheLatestAndWhatSpeaksOfIt(): void
    {
        $ledger = Ledger::of([
            Entry::read('k', EntryKind::Kit, ['sort' => 'tool', 'what' => 'Driver']),
            Entry::read('r', EntryKind::KitReady, ['of' => 'k', 'note' => 'a longer one']),
            Entry::read('m', EntryKind::Method, ['method' => 'one-at-a-time']),
            Entry::read('n', EntryKind::Method, ['method' => 'photo-and-tags']),
        ]);
        self::assertSame('n', $ledger->latest(EntryKind::Method)?->id);
        self::assertNull($ledger->latest(EntryKind::Closed));
        self::assertSame(
            ['r'],
            array_map(static fn(Entry $one): string => $one->id, $ledger->about('k', EntryKind::KitReady)),
        );
        self::assertNull($ledger->find('x'));
    }

    public function testEveryKindOfJobEndsAndProvesWhatItClaims(): void
    {
        foreach (JobKind::cases() as $kind) {
            self::assertNotEmpty($kind->outcomes());
            self::assertContains(
                JobOutcome::NotRepaired,
                $kind->outcomes(),
                'Any job may come to nothing, with its reason.',
            );
            foreach ($kind->outcomes() as $outcome) {
                if ($kind->provesBeforeIt($outcome)) {
                    self::assertContains(JobStage::Proof, $kind->flow(), "$kind->value, $outcome->value");
                }
            }
        }
        self::assertTrue(JobKind::Fault->needsMap());
        self::assertFalse(JobKind::FollowUp->needsMap());
        self::assertSame(JobStage::Proof, JobKind::Adjustment->afterCircuit());
        self::assertTrue(JobOutcome::Temporary->needsDay());
        self::assertTrue(JobOutcome::Advised->needsReason());
    }
}
