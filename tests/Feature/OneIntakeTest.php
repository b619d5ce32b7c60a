<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Five doors take readings in: the bench, a table, a job file, the proof and the new part. They refuse the same readings
 * with the same words, and nothing is stored.
 */
final class OneIntakeTest extends TestCase
{
    private const STEPPED = ['stepped-blower', ['positions' => '4'], self::ONLY_HIGH];
    private const TAPPED = ['tapped-blower', [], ['off' => 'right', 'heat' => 'dead', 'cool' => 'right']];
    private const FLUE = ['flue-fan', ['pressure' => '160'], ['off' => 'right', 'full' => 'dead']];
    private const FIVE = [
        'five-wire-fan',
        [],
        ['off' => 'right', 'low' => 'dead', 'medium' => 'dead', 'high' => 'dead'],
    ];
    private const VACUUM = [
        'air-door',
        ['kind' => 'vacuum'],
        ['windscreen' => 'right', 'face' => 'dead', 'feet' => 'right', 'fresh' => 'right', 'hill' => 'right'],
    ];
    private const ELECTRONIC = [
        'electronic-blower',
        ['steps' => '4'],
        ['key-off' => 'right', 'off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'dead'],
    ];

    /** @return iterable<string, array{0: array{0: string, 1: array<string, string>, 2: array<array-key, string>}, 1: list<array{0: string, 1: string}>}> */
    public static function circuits(): iterable
    {
        yield '12 V' => [
            self::STEPPED,
            [
                ['motor-volts@2', ''],
                ['motor-volts@2', 'seven'],
                ['motor-volts@2', '12.4 A'],
                ['motor-volts@2', '12.4 Ω'],
                ['motor-volts@2', '1e400'],
                ['motor-volts@2', '126'],
                ['motor-volts@2', '-126'],
                ['motor-volts@2', '12.6 kV'],
                ['motor-volts@2', '12,6,7'],
                ['motor-volts@2', '12 .. 13'],
                ['motor-volts@2', '--12'],
                ['motor-volts@2', 'NaN'],
                ['motor-volts@2', '0x0c'],
                ['motor-volts@2', '<b>12</b>'],
                ['motor-volts@2', '12; DROP TABLE readings'],
                ['motor-volts@2', str_repeat('9', 60)],
                ['motor-volts@2', 'right'],
                ['pack-ohms-1', '-0.5'],
                ['pack-ohms-1', '-3 kΩ'],
                ['pack-ohms-1', '200 MΩ'],
                ['pack-ohms-1', '3 V'],
                ['pack-ohms-1', '0.42 ohmm'],
                ['pack-ohms-1', 'open'],
                ['current@4', '600'],
                ['current@4', '-501'],
                ['current@4', '12 kA'],
                ['current@4', '12 V'],
                ['spin', 'purple'],
                ['spin', 'FREE'],
                ['spin', '12'],
                ['spin', 'OL'],
                ['spin', "free'"],
                ['look-pack', 'free'],
                ['no-such-test', '12'],
                ['motor-volts@9', '12'],
                ['MOTOR-VOLTS@2', '12'],
                [str_repeat('x', 300), '1'],
            ],
        ];
        yield 'mains' => [
            self::TAPPED,
            [
                ['line-volts', '2300'],
                ['line-volts', '2,3 kV'],
                ['line-volts', '230 W'],
                ['microfarads', '-7.5'],
                ['microfarads', '7.5 nV'],
                ['microfarads', '20000'],
                ['microfarads', '7.5 F'],
                ['rise', '250'],
                ['rise', '-60'],
                ['rise', '30 °'],
                ['tap-volts@fan', '230'],
            ],
        ];
        yield 'gas' => [
            self::FLUE,
            [['pressure', '20000'], ['pressure', '-2 bar'], ['pressure', '160 Pascal'], ['smoke-seal', 'yes']],
        ];
        yield 'pulses' => [self::FIVE, [['fg-hertz', '-80'], ['fg-hertz', '2 MHz'], ['fg-hertz', '80 rpm']]];
        yield 'vacuum' => [self::VACUUM, [['tank', '300'], ['tank', '-20'], ['tank', '55 V']]];
        yield 'duty' => [self::ELECTRONIC, [['command@2', '140'], ['command@2', '-5'], ['command@2', '40 V']]];
    }

    public function testThereAreSixtyBadReadings(): void
    {
        $all = 0;
        foreach (self::circuits() as [, $bad]) {
            $all += \count($bad);
        }
        self::assertGreaterThanOrEqual(60, $all);
    }

    /**
     * @param array{0: string, 1: array<string, string>, 2: array<array-key, string>} $of
     * @param list<array{0: string, 1: string}>                                      $bad
     */
    #[DataProvider('circuits')]
    public function testAllDoorsRefuseTheSameWithTheSameWords(array $of, array $bad): void
    {
        [$family, $parameters, $states] = $of;
        $user = $this->person();
        $bench = $this->jobOnBench($user, $family, $parameters, $states);
        $proof = $this->jobOnBench($user, $family, $parameters, $states);
        $this->post("/jobs/$proof->id/to-proof");
        $before = [$bench->readings()->count(), $proof->readings()->count(), $user->workshop->jobs()->count()];
        foreach ($bad as [$test, $value]) {
            $said = [
                'bench' => $this->atTheBench($bench, $test, $value),
                'table' => $this->inATable($bench, $test, $value),
                'job file' => $this->inAJobFile($bench, $test, $value),
                'proof' => $this->atTheProof($proof, $test, $value),
                'new part' => $this->onTheNewPart($bench, $test, $value),
            ];
            self::assertNotSame('', $said['bench'], "\"$value\" of $test is refused");
            foreach ($said as $door => $words) {
                self::assertSame($said['bench'], $words, "\"$value\" of $test, $door");
            }
        }
        self::assertSame(
            $before,
            [$bench->readings()->count(), $proof->readings()->count(), $user->workshop->jobs()->count()],
            'nothing was stored',
        );
    }

    private function said(string ...$fields): string
    {
        $errors = session('errors');
        session()->forget('errors');
        foreach ($fields as $field) {
            if ($errors !== null && $errors->has($field)) {
                return $errors->first($field);
            }
        }

        return $errors === null ? '' : implode(' ', $errors->all());
    }

    private function atTheBench(Job $job, string $test, string $value): string
    {
        $this->from('/')->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => $test,
            'value' => $value,
            'choice' => $value,
        ]);

        return $this->said('value');
    }

    private function inATable(Job $job, string $test, string $value): string
    {
        $file = fopen('php://temp', 'r+');
        self::assertIsResource($file);
        fputcsv($file, ['test', 'value'], ',', '"', '');
        fputcsv($file, [$test, $value], ',', '"', '');
        rewind($file);
        $this->from('/')->post("/jobs/$job->id/log", [
            'table' => UploadedFile::fake()->createWithContent('log.csv', (string) stream_get_contents($file)),
        ]);
        $said = $this->said('table');

        return str_starts_with($said, 'Line 2: ') ? substr($said, 8) : $said;
    }

    private function inAJobFile(Job $job, string $test, string $value): string
    {
        $exported = json_decode((string) $this->get("/jobs/$job->id/file")->getContent(), true);
        self::assertSame(2, $exported['version']);
        $exported['readings'][] = ['test' => $test, 'value' => $value];
        $this->from('/')->post('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent(
                'job.json',
                json_encode($exported, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
            ),
        ]);

        return (string) preg_replace('/^.*?readings\[\d+\]\.(?:test|value):? /s', '', $this->said('file'));
    }

    private function atTheProof(Job $job, string $test, string $value): string
    {
        $this->from('/')->post("/jobs/$job->id/checks", ['id' => $this->ulid(), 'test' => $test, 'value' => $value]);

        return $this->said();
    }

    private function onTheNewPart(Job $job, string $test, string $value): string
    {
        $this->from('/')->post("/jobs/$job->id/measured", ['id' => $this->ulid(), 'test' => $test, 'value' => $value]);

        return $this->said('value');
    }

    public function testASupplyOfAnyCircuitIsNotedAndAnImpossibleOneIsNot(): void
    {
        $user = $this->person();
        foreach (
            [
                [self::STEPPED, 'motor-volts@2', '6.1', ['12.4' => true, '2' => false, '230' => false, 'OL' => false]],
                [self::TAPPED, 'line-volts', '229', ['229' => true, '120' => true, '12' => false, '900' => false]],
            ]
            as [[$family, $parameters, $states], $test, $value, $supplies]
        ) {
            $job = $this->jobOnBench($user, $family, $parameters, $states);
            foreach ($supplies as $supply => $good) {
                $response = $this->from('/')->post("/jobs/$job->id/readings", [
                    'id' => $this->ulid(),
                    'test' => $test,
                    'value' => $value,
                    'supplyVolts' => (string) $supply,
                ]);
                $good ? $response->assertSessionHasNoErrors() : $response->assertSessionHasErrors('supplyVolts');
            }
        }
    }

    public function testAMomentHasItsOffsetAndIsNeverRelative(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        foreach (
            [
                'yesterday',
                'now',
                '2026-11-25',
                '2026-11-25 09:00',
                '2026-11-25T09:00:00',
                '2026-02-30T09:00:00Z',
                '2026-11-25T25:00:00Z',
                '1969-12-31T23:59:59Z',
                '2101-01-01T00:00:00Z',
                '25.11.2026 09:00',
            ]
            as $moment
        ) {
            $this->from('/')->post("/jobs/$job->id/log", [
                'table' => UploadedFile::fake()->createWithContent(
                    'log.csv',
                    "test,value,time\nmotor-volts@2,7.4,$moment\n",
                ),
            ]);
            $table = $this->said('table');
            self::assertStringStartsWith("Line 2: \"$moment\"", $table);
            $exported = json_decode((string) $this->get("/jobs/$job->id/file")->getContent(), true);
            $exported['readings'][] = ['test' => 'motor-volts@2', 'value' => 7.4, 'takenAt' => $moment];
            $this->from('/')->post('/jobs/import', [
                'file' => UploadedFile::fake()->createWithContent('job.json', json_encode($exported) ?: ''),
            ]);
            self::assertStringContainsString(substr($table, 8), $this->said('file'));
        }
        self::assertInstanceOf(User::class, $user);
    }
}
