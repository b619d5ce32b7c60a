<?php

declare(strict_types=1);

namespace Tests\Core\Job;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JobFileFormatTest extends TestCase
{
    private const SAMPLE = __DIR__ . '/../../../docs/formats/job.example.json';
    private const SCHEMA = __DIR__ . '/../../../docs/formats/job.schema.json';

    private function format(): JobFileFormat
    {
        return new JobFileFormat(FamilyRegistry::shipped());
    }

    private function sample(): string
    {
        return (string) file_get_contents(self::SAMPLE);
    }

    /** @return array<string, mixed> */
    private function decoded(): array
    {
        $data = json_decode($this->sample(), true, 32, \JSON_THROW_ON_ERROR);

        return \is_array($data) ? $data : [];
    }

    public function testReadingAndWritingGivesTheSameAgain(): void
    {
        $once = $this->format()->toArray($this->format()->read($this->sample()));
        $twice = $this->format()->toArray(
            $this->format()->read(json_encode($once, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)),
        );
        self::assertSame($once, $twice);
        // The sample was written before readings had an author.
        $readings = $this->decoded()['readings'];
        self::assertIsArray($readings);
        self::assertEquals(
            array_map(static fn(array $one): array => $one + ['by' => null], $readings),
            $once['readings'],
        );
    }

    public function testWhatIsWrittenFitsTheSchema(): void
    {
        $written = json_decode(
            json_encode($this->format()->toArray($this->format()->read($this->sample())), \JSON_THROW_ON_ERROR),
            false,
            32,
            \JSON_THROW_ON_ERROR,
        );
        $result = (new Validator())->validate($written, (string) file_get_contents(self::SCHEMA));
        self::assertTrue($result->isValid(), (string) $result->error());
    }

    public function testTheSchemaListsEveryKindThatIsWritten(): void
    {
        $schema = json_decode((string) file_get_contents(self::SCHEMA), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($schema);
        foreach (
            [
                'repair.items.properties.kind' => EntryKind::cases(),
                'maps.items.properties.kind' => MapKind::cases(),
                'job.properties.kind' => JobKind::cases(),
                'job.properties.stage' => JobStage::cases(),
                'job.properties.outcome' => JobOutcome::cases(),
            ]
            as $path => $cases
        ) {
            $listed = $schema['properties'];
            foreach (explode('.', "$path.enum") as $step) {
                self::assertIsArray($listed);
                $listed = $listed[$step];
            }
            self::assertIsArray($listed);
            self::assertEqualsCanonicalizing(
                array_column($cases, 'value'),
                array_filter($listed, static fn(mixed $one): bool => $one !== null),
                $path,
            );
        }
    }

    public function testCircuitAndReadingsAreEnough(): void
    {
        $file = $this->format()->read(
            '{"format":"ispira-job","version":1,"circuit":{"family":"stepped-blower"},"readings":[{"test":"speed@1","value":"dead"}]}',
        );
        self::assertCount(1, $file->caseFile()->readings);
        self::assertFalse($file->caseFile()->intermittent);
    }

    /** @return iterable<string, array{0: \Closure(array<string, mixed>): mixed, 1: string}> */
    public static function refused(): iterable
    {
        $set = static fn(string $key, mixed $value): \Closure => static fn(array $data): array => [$key => $value] +
            $data;
        $reading = static fn(array $with): \Closure => static function (array $data) use ($with): array {
            $data['readings'] = [$with + ['test' => 'common-volts@3', 'value' => 1.0]];

            return ['version' => 2] + $data;
        };
        yield 'another format' => [$set('format', 'recipe'), 'not a job file'];
        yield 'a later version' => [$set('version', 3), 'only versions 1 to 2'];
        yield 'an unknown field' => [$set('colour', 'red'), 'unknown field "colour"'];
        yield 'no circuit' => [$set('circuit', null), 'circuit'];
        yield 'an unknown family' => [$set('circuit', ['family' => 'toaster']), 'family'];
        yield 'negative ohms in the circuit' => [
            $set('circuit', ['family' => 'stepped-blower', 'parameters' => ['packOhms' => [-1, 1, 1]]]),
            'packOhms',
        ];
        yield 'readings that are no list' => [$set('readings', 'many'), 'must be a list'];
        yield 'an unknown test' => [$reading(['test' => 'moon-phase']), 'no test "moon-phase"'];
        yield 'a billion volts' => [$reading(['value' => 1e9]), 'between -60 V and 60 V'];
        yield 'a billion volts in an early file' => [
            static fn(array $data): array => ['version' => 1] + $reading(['value' => 1e9])($data),
            'prefix and the decimal point',
        ];
        yield 'a text for a number' => [$reading(['value' => 'twelve']), 'is not a value in V'];
        yield 'negative ohms' => [$reading(['test' => 'common-ohms', 'value' => -2]), 'never below zero'];
        yield 'an unknown state' => [$reading(['test' => 'speed@1', 'value' => 'lazy']), 'Choose one of'];
        yield 'an episode without a replacement' => [
            static fn(array $data): array => ['replacements' => [], 'maps' => []] + $reading(['episode' => 3])($data),
            'more replacements',
        ];
        yield 'an unknown part' => [$set('replacements', [['remedy' => 'flux']]), 'no part "flux"'];
        yield 'a map that is not there' => [$reading(['map' => 'nowhere']), 'no map'];
        yield 'a supply of nothing' => [$reading(['supplyVolts' => 0]), 'between 4 and 33'];
        yield 'a date that is none' => [$reading(['takenAt' => 'noonish']), 'is no time'];
        yield 'two readings with one id' => [
            $set('readings', [
                ['id' => 'a', 'test' => 'speed@1', 'value' => 'dead'],
                ['id' => 'a', 'test' => 'speed@2', 'value' => 'dead'],
            ]),
            'two readings',
        ];
    }

    /** @param \Closure(array<string, mixed>): mixed $change */
    #[DataProvider('refused')]
    public function testBadFilesAreRefusedWithAPlaceAndAReason(\Closure $change, string $message): void
    {
        $this->expectException(FileError::class);
        $this->expectExceptionMessage($message);
        $this->format()->read(json_encode($change($this->decoded()), \JSON_THROW_ON_ERROR));
    }

    public function testAFileOfVersionOneStaysReadableWhateverItHolds(): void
    {
        $early = $this->decoded();
        self::assertSame(1, $early['version']);
        $early['readings'][] = ['test' => 'battery-volts@4', 'value' => 126.0, 'supplyVolts' => 500.0, 'episode' => 1];
        $read = $this->format()->read(json_encode($early, \JSON_THROW_ON_ERROR));
        self::assertSame(126.0, $read->caseFile()->readings[\count($early['readings']) - 1]->value);
        $written = $this->format()->toArray($read);
        self::assertSame(1, $written['version'], 'it is written as what it is, and can be read again');
        self::assertSame(
            126.0,
            $this->format()->read(json_encode($written, \JSON_THROW_ON_ERROR))->caseFile()->readings[
                \count($early['readings']) - 1
            ]->value,
        );
    }

    public function testWhatIsTypedInAFileIsReadAsAtTheBench(): void
    {
        $data = ['version' => 2, 'readings' => []] + $this->decoded();
        foreach (['12.4 V', '12,4', '12400 mV', 12.4] as $n => $value) {
            $data['readings'][] = ['id' => "r$n", 'test' => 'common-volts@3', 'value' => $value];
        }
        $read = $this->format()->read(
            json_encode(['maps' => [], 'photos' => [], 'repair' => []] + $data, \JSON_THROW_ON_ERROR),
        );
        foreach ($read->caseFile()->readings as $reading) {
            self::assertEqualsWithDelta(12.4, $reading->value, 1e-9);
        }
    }

    public function testTruncatedAndHugeFilesAreRefused(): void
    {
        foreach ([substr($this->sample(), 0, 300), '', 'null', '[]', str_repeat(' ', 3_000_000)] as $content) {
            try {
                $this->format()->read($content);
                self::fail('Accepted: ' . substr($content, 0, 40));
            } catch (FileError $error) {
                self::assertNotSame('', $error->getMessage());
            }
        }
    }

    public function testMutatedFilesAreReadOrRefusedAndNeverBreak(): void
    {
        mt_srand(11);
        $refused = 0;
        $sample = $this->sample();
        for ($n = 0; $n < 600; ++$n) {
            $mutant = $sample;
            for ($change = mt_rand(1, 3); $change > 0; --$change) {
                $at = mt_rand(0, \strlen($mutant) - 1);
                $mutant = match (mt_rand(0, 3)) {
                    0 => substr_replace($mutant, \chr(mt_rand(32, 126)), $at, 1),
                    1 => substr_replace($mutant, '', $at, mt_rand(1, 30)),
                    2 => substr_replace(
                        $mutant,
                        ['null', '-1', '1e400', '[]', '{}', '""', 'true'][mt_rand(0, 6)],
                        $at,
                        mt_rand(0, 6),
                    ),
                    default => substr($mutant, 0, $at) . substr($mutant, mt_rand(0, $at)),
                };
            }
            try {
                $this->format()->read($mutant);
            } catch (FileError) {
                ++$refused;
            }
        }
        self::assertGreaterThan(300, $refused);
    }
}
