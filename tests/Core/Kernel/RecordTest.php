<?php

declare(strict_types=1);

namespace Tests\Core\Kernel;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is taken from a file is of the kind that was asked for, or the file is refused with the place and a way out.
 */
final class RecordTest extends TestCase
{
    /** @param array<string, mixed> $data */
    private static function record(array $data): Record
    {
        return new Record($data, 'job', ['name', 'count', 'share', 'open', 'when', 'day', 'list']);
    }

    public function testWhatIsThereIsTaken(): void
    {
        $record = self::record([
            'name' => 'Mail van',
            'count' => 3,
            'share' => 2,
            'open' => true,
            'when' => '2026-03-01T08:15:00Z',
            'day' => '2026-03-01',
            'list' => ['a', 'b'],
        ]);
        self::assertSame('Mail van', $record->text('name'));
        self::assertSame(3, $record->count('count'));
        self::assertSame(2.0, $record->optionalNumber('share'));
        self::assertTrue($record->flag('open', false));
        self::assertSame('2026-03-01T08:15:00Z', $record->moment('when'));
        self::assertSame('2026-03-01', $record->day('day'));
        self::assertSame(['a', 'b'], $record->items('list', 2));
        self::assertSame('Mail van', $record->get('name'));
    }

    public function testWhatIsMissingIsNothingOrWhatIsUsual(): void
    {
        $record = self::record([]);
        self::assertNull($record->optionalText('name'));
        self::assertNull($record->optionalNumber('share'));
        self::assertNull($record->moment('when'));
        self::assertNull($record->day('day'));
        self::assertNull($record->get('name'));
        self::assertTrue($record->flag('open', true));
        self::assertSame(0, $record->count('count'));
        self::assertSame([], $record->items('list', 5));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: \Closure(Record): mixed, 2: string}> */
    public static function wrong(): iterable
    {
        $text = static fn(Record $r): mixed => $r->text('name');
        yield 'no text' => [[], $text, 'job.name'];
        yield 'a number for a text' => [['name' => 7], $text, 'must be a text'];
        yield 'a text without end' => [['name' => str_repeat('x', 6000)], $text, 'at most'];
        $count = static fn(Record $r): mixed => $r->count('count', 10);
        yield 'less than nothing' => [['count' => -1], $count, 'from zero to 10'];
        yield 'too many' => [['count' => 11], $count, 'from zero to 10'];
        yield 'half of one' => [['count' => 0.5], $count, 'whole number'];
        yield 'a text for a number' => [
            ['share' => '0.5'],
            static fn(Record $r): mixed => $r->optionalNumber('share'),
            'must be a number',
        ];
        yield 'yes for true' => [
            ['open' => 'yes'],
            static fn(Record $r): mixed => $r->flag('open', false),
            'true or false',
        ];
        yield 'no moment' => [['when' => 'yesterday'], static fn(Record $r): mixed => $r->moment('when'), 'job.when'];
        $day = static fn(Record $r): mixed => $r->day('day');
        yield 'a day the other way round' => [['day' => '01-03-2026'], $day, 'such as 2026-03-01'];
        yield 'a day that never was' => [['day' => '2026-13-77'], $day, 'such as 2026-03-01'];
        $items = static fn(Record $r): mixed => $r->items('list', 2);
        yield 'an object for a list' => [['list' => ['a' => 1]], $items, 'must be a list'];
        yield 'a longer list' => [['list' => [1, 2, 3]], $items, 'at most 2'];
    }

    /**
     * @param array<string, mixed>    $data
     * @param \Closure(Record): mixed $taken
     */
    #[DataProvider('wrong')]
    public function testWhatIsOfAnotherKindIsRefusedInItsPlace(array $data, \Closure $taken, string $words): void
    {
        try {
            $taken(self::record($data));
        } catch (FileError $error) {
            self::assertStringContainsString($words, $error->getMessage());
            self::assertStringContainsString('job.', $error->getMessage());

            return;
        }
        self::fail('It was taken.');
    }

    public function testAFieldThatNobodyKnowsIsNamed(): void
    {
        $this->expectException(FileError::class);
        $this->expectExceptionMessage('unknown field "colour"');
        self::record(['colour' => 'red']);
    }

    public function testAListIsNoObject(): void
    {
        $this->expectException(FileError::class);
        $this->expectExceptionMessage('must be an object');
        new Record(['a', 'b'], 'job', []);
    }

    public function testADocumentSaysWhatItIs(): void
    {
        $data = ['format' => 'ispira-job', 'version' => 2, 'name' => 'x'];
        self::assertSame('x', Record::document($data, 'job', 'ispira-job', 2, ['name'])->text('name'));
        foreach ([['version' => 3] + $data, ['format' => 'other'] + $data, 'no object', null] as $wrong) {
            try {
                Record::document($wrong, 'job', 'ispira-job', 2, ['name']);
                self::fail('It was taken.');
            } catch (FileError $error) {
                self::assertStringContainsString('"ispira-job", version 2', $error->getMessage());
            }
        }
    }
}
