<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Repair\Fit\CataloguePart;
use Ispira\Core\Repair\Fit\PartsFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartsFormatTest extends TestCase
{
    private const EXAMPLE = __DIR__ . '/../../../docs/formats/parts.example.json';

    /** @return list<CataloguePart> */
    private static function example(): array
    {
        return PartsFormat::read((string) file_get_contents(self::EXAMPLE));
    }

    public function testWrittenAndReadAgainItIsTheSame(): void
    {
        $parts = self::example();
        self::assertGreaterThan(2, \count($parts));
        self::assertEquals($parts, PartsFormat::read((string) json_encode(PartsFormat::toArray($parts))));
        self::assertEquals($parts, PartsFormat::fromRows(PartsFormat::rows($parts)));
    }

    public function testATableMayHaveItsColumnsInAnyOrderAndDecimalCommas(): void
    {
        $parts = PartsFormat::fromRows([
            ["\u{FEFF}name", 'price', 'number', 'depth', 'leadDays', 'fits'],
            ['Coil pack', '12,50', 'A-1', '41', '', 'stepped-blower:pack; stepped-blower:pack+motor'],
            ['', '', '', '', '', ''],
        ]);
        self::assertCount(1, $parts);
        self::assertSame(12.5, $parts[0]->price);
        self::assertNull($parts[0]->leadDays);
        self::assertSame(['depth' => '41'], $parts[0]->attributes);
        $offers = $parts[0]->offers('stepped-blower', ['pack' => 25.0, 'motor' => 45.0]);
        self::assertSame(
            [25.0, 70.0],
            array_column(array_map(static fn($offer): array => ['minutes' => $offer->minutes], $offers), 'minutes'),
        );
        self::assertSame([], $parts[0]->offers('wiper', []));
    }

    /** @return iterable<string, array{0: string}> */
    public static function bad(): iterable
    {
        yield 'not JSON' => ['x'];
        yield 'another format' => ['{"format":"ispira-job","version":1}'];
        yield 'a kind that is none' => [
            '{"format":"ispira-parts","version":1,"parts":[{"number":"A","name":"B","type":"spoon"}]}',
        ];
        yield 'an attribute that is none' => [
            '{"format":"ispira-parts","version":1,"parts":[{"number":"A","name":"B","attributes":{"mood":"fine"}}]}',
        ];
        yield 'an answer that is none' => [
            '{"format":"ispira-parts","version":1,"parts":[{"number":"A","name":"B","attributes":{"rotation":"up"}}]}',
        ];
        yield 'odds over one' => [
            '{"format":"ispira-parts","version":1,"parts":[{"number":"A","name":"B","comeBack":3}]}',
        ];
        yield 'no number' => ['{"format":"ispira-parts","version":1,"parts":[{"name":"B"}]}'];
        yield 'fits what' => [
            '{"format":"ispira-parts","version":1,"parts":[{"number":"A","name":"B","fits":["pack"]}]}',
        ];
    }

    #[DataProvider('bad')]
    public function testABadCatalogueIsRefusedInWords(string $json): void
    {
        $this->expectException(FileError::class);
        PartsFormat::read($json);
    }

    public function testABadTableSaysWhere(): void
    {
        try {
            PartsFormat::fromRows([['number', 'name', 'price'], ['A', 'B', 'dear']]);
            self::fail('It was read.');
        } catch (FileError $error) {
            self::assertStringContainsString('Row 2, column price', $error->getMessage());
        }
        $this->expectExceptionMessage('column "mood"');
        PartsFormat::fromRows([['number', 'mood']]);
    }
}
