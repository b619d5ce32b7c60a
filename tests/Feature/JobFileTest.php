<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class JobFileTest extends TestCase
{
    private const EXAMPLE = __DIR__ . '/../../docs/formats/job.example.json';

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function import(string $content): \Illuminate\Testing\TestResponse
    {
        return $this->from('/')->post('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', $content),
        ]);
    }

    public function testAnExportedJobComesBackEqual(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $id = $this->ulid();
        $this->post("/jobs/$job->id/readings", [
            'id' => $id,
            'test' => 'current@4',
            'value' => '99',
            'steady' => false,
            'supplyVolts' => '12,6',
        ]);
        $this->post("/jobs/$job->id/readings/$id/strike", ['reason' => 'clamp']);
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-ohms', 'overRange' => true]);
        $this->post("/jobs/$job->id/maps", [
            'id' => $this->ulid(),
            'notedFor' => 'last winter',
            'states' => ['1' => 'slow'],
        ]);
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'partNumber' => 'X-1',
            'note' => 'done',
        ]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ONLY_HIGH]);
        $this->repair($job);
        $exported = (string) $this->get("/jobs/$job->id/file")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="J-0001.json"')
            ->getContent();
        self::assertTrue(
            (new Validator())
                ->validate(
                    json_decode($exported, false, 32, \JSON_THROW_ON_ERROR),
                    (string) file_get_contents(__DIR__ . '/../../docs/formats/job.schema.json'),
                )
                ->isValid(),
        );

        $this->actingAs($this->person());
        $this->import($exported)->assertSessionHasNoErrors();
        $copy = Job::query()
            ->latest('created_at')
            ->where('workshop_id', '!=', $job->workshop_id)
            ->orderByDesc('id')
            ->firstOrFail();
        $again = (string) $this->get("/jobs/$copy->id/file")->getContent();
        self::assertSame($this->comparable($exported), $this->comparable($again));
        self::assertNotEmpty($this->comparable($again)['photos']);
        self::assertCount(22, $this->comparable($again)['repair']);
    }

    /** Everything that can be noted of a repair, with a run of a procedure and a photo. */
    private function repair(Job $job): void
    {
        $picture = imagecreatetruecolor(40, 30);
        ob_start();
        imagepng($picture);
        $photo = strtolower($this->ulid());
        $this->from('/')
            ->post("/jobs/$job->id/photos", [
                'id' => $photo,
                'photo' => UploadedFile::fake()->createWithContent('p.png', (string) ob_get_clean()),
                'caption' => 'as found',
            ])
            ->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => $this->props("/jobs/$job->id/remedy")['outlook']['options'][0]['key'],
            'reason' => 'proved',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/fit", [
            'id' => $this->ulid(),
            'when' => 'beside',
            'type' => 'pack',
            'candidate' => 'X-1',
            'old' => ['depth' => '41'],
            'new' => ['depth' => '41'],
            'accepted' => true,
        ])->assertSessionHasNoErrors();
        $ids = [];
        foreach (
            [
                ['found', ['what' => 'Screw', 'condition' => 'missing', 'count' => 1, 'photo' => $photo]],
                ['kit', ['sort' => 'tool', 'what' => 'Driver']],
                ['kit-ready', ['of' => 'kit', 'note' => 'a longer one']],
                [
                    'down',
                    [
                        'what' => 'Glove box',
                        'fastener' => 'cross 2',
                        'length' => '16 mm',
                        'count' => 3,
                        'where' => 'tray',
                        'clip' => 'two hooks',
                        'photo' => $photo,
                    ],
                ],
                ['up', ['of' => 'down', 'count' => 2, 'reason' => 'thread torn']],
                ['method', ['method' => 'photo-and-tags']],
                ['wire', ['function' => 'Common', 'from' => '5', 'to' => '5', 'colour' => 'black', 'label' => 'A']],
                ['wire-moved', ['of' => 'wire']],
                ['wire-checked', ['of' => 'wire']],
                ['switches', ['name' => 'S1', 'old' => '0110']],
                ['switches-set', ['of' => 'switches', 'new' => '0110']],
                ['plug', ['what' => 'Pack plug', 'latched' => true, 'locked' => true]],
                [
                    'adjusted',
                    ['of' => 'heat', 'what' => 'Tap', 'before' => 'high', 'after' => 'low', 'undoOn' => '2031-05-06'],
                ],
                ['loan', ['what' => 'Heater', 'to' => 'the school', 'dueOn' => '2031-05-06']],
                ['returned', ['of' => 'loan']],
                ['found', ['what' => 'Mistake', 'condition' => 'pried']],
                ['removed', ['of' => 'found']],
            ]
            as [$kind, $data]
        ) {
            if (isset($data['of'])) {
                $data['of'] = $ids[$data['of']] ?? '';
            }
            $ids[$kind] = strtolower($this->ulid());
            $this->from('/')
                ->post("/jobs/$job->id/entries", ['id' => $ids[$kind], 'kind' => $kind, 'data' => $data])
                ->assertSessionHasNoErrors();
        }
        $this->post("/jobs/$job->id/measured", [
            'id' => $this->ulid(),
            'test' => 'look-pack',
            'value' => 'fine',
        ])->assertSessionHasNoErrors();
        $run = strtolower($this->ulid());
        $this->post('/procedures/pack-swap/runs', ['id' => $run, 'job' => $job->id]);
        $this->post("/runs/$run/done", ['step' => 0, 'seen' => true, 'confirmed' => true])->assertSessionHasNoErrors();
        $this->post("/runs/$run/marks", ['kind' => 'aborted', 'note' => 'no part'])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'not-repaired',
            'reason' => 'waits for the part',
        ])->assertSessionHasNoErrors();
    }

    /** @return array<string, mixed> a job file without the ids, which every workshop gives anew */
    private function comparable(string $json): array
    {
        $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        self::assertIsArray($data);
        $maps = array_flip(array_column($data['maps'], 'id'));
        foreach (['maps', 'readings', 'replacements'] as $list) {
            foreach ($data[$list] as $n => $item) {
                unset($data[$list][$n]['id']);
                if (isset($item['map'])) {
                    $data[$list][$n]['map'] = $maps[$item['map']];
                }
            }
        }

        // Ids that point at one another are told by their place.
        $places = [];
        foreach (['repair', 'photos', 'replacements'] as $list) {
            foreach (json_decode($json, true)[$list] as $n => $item) {
                $places[$item['id']] = "$list $n";
            }
        }
        foreach (['repair', 'photos'] as $list) {
            foreach ($data[$list] as $n => $item) {
                unset($data[$list][$n]['id']);
            }
        }
        foreach ($data['repair'] as $n => $entry) {
            foreach (['of', 'replacement', 'photo'] as $field) {
                if (isset($entry['data'][$field])) {
                    $data['repair'][$n]['data'][$field] = $places[$entry['data'][$field]];
                }
            }
        }

        return $data;
    }

    public function testTheExampleOfTheDocsCanBeImported(): void
    {
        $this->actingAs($this->person());
        $this->import((string) file_get_contents(self::EXAMPLE))
            ->assertSessionHasNoErrors()
            ->assertSessionHas('notice', 'Imported as J-0001.');
    }

    /** @return iterable<string, array{0: string}> */
    public static function badFiles(): iterable
    {
        yield 'cut off' => [substr((string) file_get_contents(self::EXAMPLE), 0, 400)];
        yield 'not JSON' => ['hello'];
        yield 'a later version' => ['{"format":"ispira-job","version":7}'];
        yield 'an unknown field' => [
            '{"format":"ispira-job","version":1,"circuit":{"family":"stepped-blower"},"mood":"fine"}',
        ];
        yield 'too large' => [str_repeat(' ', 30_100_000)];
        yield 'an unknown test' => [
            '{"format":"ispira-job","version":1,"circuit":{"family":"stepped-blower"},"readings":[{"test":"x","value":1}]}',
        ];
    }

    #[DataProvider('badFiles')]
    public function testABadFileIsRefusedInWordsAndStoresNothing(string $content): void
    {
        $user = $this->person();
        $this->actingAs($user);
        $this->import($content)->assertRedirect('/')->assertSessionHasErrors('file');
        self::assertSame(0, $user->workshop->jobs()->count());
        self::assertSame(0, $user->workshop->refresh()->last_job_number);
    }

    public function testTheDiagnoseCommandPrintsTheDiagnosisOfAFile(): void
    {
        self::assertSame(0, Artisan::call('ispira:diagnose', ['file' => self::EXAMPLE]));
        $printed = json_decode(Artisan::output(), false, 64, \JSON_THROW_ON_ERROR);
        self::assertSame('none', $printed->suspects[0]->remedy);
        $result = (new Validator())->validate(
            $printed,
            (string) file_get_contents(__DIR__ . '/../../docs/formats/diagnosis.schema.json'),
        );
        self::assertTrue($result->isValid(), (string) $result->error());
    }

    public function testThePageAndTheCommandGiveTheSameDiagnosis(): void
    {
        $job = $this->jobOnBench($this->person());
        $page = $this->get("/jobs/$job->id/bench")->viewData('page');
        $file = tempnam(sys_get_temp_dir(), 'job');
        self::assertIsString($file);
        file_put_contents($file, (string) $this->get("/jobs/$job->id/file")->getContent());
        Artisan::call('ispira:diagnose', ['file' => $file]);
        $printed = json_decode(Artisan::output(), true, 64, \JSON_THROW_ON_ERROR);
        $shown = json_decode(
            json_encode($page['props']['diagnosis'], \JSON_THROW_ON_ERROR),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        self::assertEquals($this->withoutReadingIds($printed), $this->withoutReadingIds($shown));
        unlink($file);
    }

    /** @return array<string, mixed> */
    private function withoutReadingIds(mixed $diagnosis): array
    {
        self::assertIsArray($diagnosis);

        return $diagnosis;
    }

    public function testCommandsComplainInWordsAboutBadInput(): void
    {
        self::assertSame(1, Artisan::call('ispira:diagnose', ['file' => '/no/such/file']));
        $file = tempnam(sys_get_temp_dir(), 'net');
        self::assertIsString($file);
        foreach (
            [
                '{',
                '{"format":"ispira-netlist","version":1,"elements":[{"id":"r","type":"resistor","from":"a","to":"0","ohms":-1}]}',
                '{"format":"ispira-netlist","version":1,"elements":[{"id":"r","type":"capacitor"}]}',
                '{"format":"ispira-netlist","version":9}',
            ]
            as $content
        ) {
            file_put_contents($file, $content);
            self::assertSame(1, Artisan::call('ispira:solve', ['file' => $file]));
        }
        unlink($file);
    }

    public function testTheSolveCommandPrintsTheSolution(): void
    {
        self::assertSame(
            0,
            Artisan::call('ispira:solve', ['file' => __DIR__ . '/../../docs/formats/netlist.example.json']),
        );
        $printed = json_decode(Artisan::output(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertEqualsWithDelta(4.9, $printed['currents']['blower'], 0.05);
        $schema = (string) file_get_contents(__DIR__ . '/../../docs/formats/netlist.schema.json');
        self::assertTrue(
            (new Validator())
                ->validate(
                    json_decode((string) file_get_contents(__DIR__ . '/../../docs/formats/netlist.example.json')),
                    $schema,
                )
                ->isValid(),
        );
    }
}
