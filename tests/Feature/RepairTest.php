<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\RepairEntry;
use Illuminate\Http\UploadedFile;
use Inertia\Testing\AssertableInertia as Page;
use Ispira\Core\Job\JobStage;
use Tests\TestCase;

/**
 * From the verdict to the swap: remedy, fit, strip-down, wires, the new part.
 */
final class RepairTest extends TestCase
{
    /**
     * @param array<string, mixed> $data
     *
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function note(Job $job, string $kind, array $data, ?string $id = null): \Illuminate\Testing\TestResponse
    {
        return $this->from("/jobs/$job->id/strip")->post("/jobs/$job->id/entries", [
            'id' => $id ?? $this->ulid(),
            'kind' => $kind,
            'data' => $data,
        ]);
    }

    public function testWhatStandsUnderNoNameIsNotTaken(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['' => ['x' => str_repeat('y', 300)]],
        ])->assertSessionHasErrors('parts');
        $this->postJson("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['' => 'pack', 0 => 'pack'],
        ])->assertRedirect("/jobs/$job->id/proof");
        self::assertSame('pack', $job->replacements()->firstOrFail()->remedy);
    }

    public function testAWayIsChosenWithItsReasonOnce(): void
    {
        $job = $this->jobOnBench($this->person());
        $props = $this->props("/jobs/$job->id/remedy");
        self::assertSame('pack', $props['outlook']['options'][0]['parts'][0]);
        $key = $props['outlook']['options'][0]['key'];
        $this->post("/jobs/$job->id/remedy", ['id' => $this->ulid(), 'option' => $key])->assertSessionHasErrors(
            'reason',
        );
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => 'gold',
            'reason' => 'x',
        ])->assertSessionHasErrors('option');
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => $key,
            'reason' => 'x',
            'selling' => 'dear',
        ])->assertSessionHasErrors('selling');
        $choice = ['id' => $this->ulid(), 'option' => $key, 'reason' => 'cheap and here', 'selling' => '62,50'];
        $this->post("/jobs/$job->id/remedy", $choice)->assertRedirect("/jobs/$job->id/fit");
        $this->post("/jobs/$job->id/remedy", $choice)->assertRedirect("/jobs/$job->id/fit");
        self::assertSame(1, $job->entries()->count());
        self::assertSame(62.5, $job->entries()->firstOrFail()->toCore()->number('selling'));
        $this->get("/jobs/$job->id/swap")->assertInertia(
            static fn(Page $page) => $page->where('choice.reason', 'cheap and here'),
        );
    }

    public function testWaitingAndATesterAreCountedIn(): void
    {
        $job = $this->jobOnBench($this->person());
        $dear = $this->props("/jobs/$job->id/remedy?standing=40")['outlook']['options'];
        $original = array_values(array_filter($dear, static fn(array $one): bool => $one['key'] === 'pack'))[0];
        self::assertEqualsWithDelta(120.0, $original['standing'], 1e-9);
        $even = $this->props("/jobs/$job->id/remedy?tool=meter&price=280&perYear=16&saving=35")['breakEven'];
        self::assertSame(8, $even['jobs']);
        self::assertEqualsWithDelta(6.0, $even['months'], 1e-9);
        self::assertNull($this->props("/jobs/$job->id/remedy?tool=meter&price=x")['breakEven']);
    }

    public function testADeepMotorIsRefusedWithoutAReason(): void
    {
        $job = $this->jobOnBench($this->person());
        $fit = [
            'id' => $this->ulid(),
            'when' => 'purchase',
            'type' => 'motor',
            'candidate' => 'X-9',
            'old' => ['depth' => '120'],
            'new' => ['depth' => '128', 'rotation' => 'cw'],
            'accepted' => true,
        ];
        $props = $this->props(
            "/jobs/$job->id/fit?" . http_build_query(['type' => 'motor', 'old' => $fit['old'], 'new' => $fit['new']]),
        );
        self::assertSame('wrong', $props['worst']);
        self::assertSame('wrong', array_column($props['findings'], 'verdict', 'key')['depth']);
        $this->post("/jobs/$job->id/fit", $fit)->assertSessionHasErrors('reason');
        $this->post("/jobs/$job->id/fit", ['candidate' => ''] + $fit)->assertSessionHasErrors('candidate');
        $this->post("/jobs/$job->id/fit", $fit + ['reason' => 'spacer ring, 10 mm'])->assertSessionHasNoErrors();
        self::assertCount(1, $this->props("/jobs/$job->id/fit")['checks']);
        self::assertSame('128', $this->props("/jobs/$job->id/fit")['new']['depth']);
    }

    public function testTheCatalogueComesInAndOutAndItsPartsAreOffered(): void
    {
        $user = $this->person('lead');
        $job = $this->jobOnBench($user);
        $example = (string) file_get_contents(__DIR__ . '/../../docs/formats/parts.example.json');
        $this->post('/parts/import', [
            'file' => UploadedFile::fake()->createWithContent('parts.json', $example),
        ])->assertSessionHasNoErrors();
        $out = (string) $this->get('/parts.json')->getContent();
        self::assertTrue(
            (new \Opis\JsonSchema\Validator())
                ->validate(
                    json_decode($out, false),
                    (string) file_get_contents(__DIR__ . '/../../docs/formats/parts.schema.json'),
                )
                ->isValid(),
        );
        self::assertContains(
            'number:OV-0087',
            array_column($this->props("/jobs/$job->id/remedy")['outlook']['options'], 'key'),
        );
        $table = $this->get('/parts.csv')->streamedContent();
        $this->actingAs($this->person('lead'));
        $this->post('/parts/import', [
            'file' => UploadedFile::fake()->createWithContent('parts.csv', $table),
        ])->assertSessionHasNoErrors();
        self::assertSame($out, (string) $this->get('/parts.json')->getContent());
        $this->post('/parts/import', [
            'file' => UploadedFile::fake()->createWithContent('parts.csv', "number;name;price;make\nA;B;12,5;gold"),
        ])->assertSessionHasErrors('file');
        $this->post('/parts', [
            'number' => 'A-1',
            'name' => 'Coil pack',
            'type' => 'pack',
            'make' => 'original',
            'price' => '12,5',
            'leadDays' => '',
            'attributes' => ['depth' => '41'],
        ])->assertSessionHasNoErrors();
        $this->post('/parts', ['number' => '', 'name' => 'x'])->assertSessionHasErrors('number');
        $this->post('/parts', ['number' => 'A-2', 'name' => 'x', 'price' => 'dear'])->assertSessionHasErrors('price');
        self::assertSame(4, count($this->props('/parts')['parts']));
        $this->post('/parts/remove', ['number' => 'A-1'])->assertSessionHasNoErrors();
        $this->actingAs($user)
            ->post('/parts/remove', ['number' => 'A-1'])
            ->assertNotFound();
    }

    public function testAStripDownHoldsTheJobOpenUntilItIsTogether(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->note($job, 'found', ['what' => '', 'condition' => 'missing'])->assertSessionHasErrors('what');
        $this->note($job, 'found', [
            'what' => 'Screw',
            'condition' => 'missing',
            'count' => '1',
        ])->assertSessionHasNoErrors();
        $id = $this->ulid();
        $this->note($job, 'down', ['what' => 'Glove box', 'count' => 'x'], $id)->assertSessionHasErrors('count');
        $this->note($job, 'down', ['what' => 'Glove box', 'count' => '4'], $id)->assertSessionHasNoErrors();
        $this->note($job, 'down', ['what' => 'Glove box', 'count' => '4'], $id)->assertSessionHasNoErrors();
        self::assertSame(2, $job->entries()->count());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        $closing = ['id' => $this->ulid(), 'outcome' => 'repaired', 'reason' => 'no clamp'];
        $this->post("/jobs/$job->id/close", $closing)->assertSessionHasErrors('reassembly');
        $this->note($job, 'up', ['of' => strtolower($id), 'count' => 3])->assertSessionHasErrors('reason');
        $this->note($job, 'up', [
            'of' => strtolower($id),
            'count' => 3,
            'reason' => 'thread torn',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/close", $closing)->assertSessionHasNoErrors();
        self::assertSame(JobStage::Closed, $job->refresh()->stage);
        $this->note($job, 'found', ['what' => 'Scratch', 'condition' => 'damaged'])->assertSessionHasErrors('stage');
        $this->note($job, 'closed', ['outcome' => 'repaired'])->assertSessionHasErrors('kind');
    }

    public function testTheRouteOfAModelIsKeptWithItsMinutes(): void
    {
        $user = $this->person('lead');
        $first = $this->newJob(['unitModel' => 'Tarn 12']);
        $this->actingAs($user)->post('/jobs', $first);
        $this->put("/jobs/{$first['id']}/circuit", ['values' => ['positions' => '4']]);
        $job = $this->jobOf($first);
        $this->note($job, 'kit', ['sort' => 'tool', 'what' => 'Stubby driver']);
        foreach (['Glove box', 'Duct'] as $what) {
            $this->travel(4)->minutes();
            $this->note($job, 'down', ['what' => $what, 'count' => 0]);
        }
        foreach (array_reverse($job->entries()->where('kind', 'down')->pluck('id')->all()) as $down) {
            $this->note($job, 'up', ['of' => $down, 'count' => 0]);
        }
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->proveAndClose($job);
        $this->travelBack();
        $next = $this->newJob(['unitName' => 'Van 8', 'unitModel' => 'Tarn 12']);
        $this->post('/jobs', $next);
        $this->put("/jobs/{$next['id']}/circuit", ['values' => ['positions' => '4']]);
        $route = $this->props("/jobs/{$next['id']}/strip")['route'];
        self::assertSame('J-0001', $route['job']);
        self::assertEqualsWithDelta(4.0, $route['minutes'], 0.1);
        self::assertSame(['Glove box', 'Duct'], array_column($route['steps'], 'what'));
        $this->post("/jobs/{$next['id']}/kit");
        $this->post("/jobs/{$next['id']}/kit");
        self::assertCount(1, $this->props("/jobs/{$next['id']}/strip")['kit']);
        $this->post("/jobs/$job->id/kit")
            ->assertRedirect("/jobs/$job->id/proof")
            ->assertSessionHas('notice');
        self::assertSame(1, count($this->props("/jobs/$job->id/strip")['kit']), 'A closed job takes nothing more.');
    }

    public function testWhatWasBrokenBeforeStandsInTheHistoryOfTheUnit(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->note($job, 'found', ['what' => 'Hook of the duct', 'condition' => 'pried'])->assertSessionHasNoErrors();
        self::assertSame(
            ['Hook of the duct, pried'],
            $this->props('/jobs/new?unit=Van+7')['unit']['history'][0]['found'],
        );
    }

    public function testTheNewPartIsMeasuredBeforeItGoesIn(): void
    {
        $job = $this->jobOnBench($this->person());
        $tests = array_column($this->props("/jobs/$job->id/swap")['tests'], null, 'key');
        self::assertArrayHasKey('common-ohms', $tests);
        $this->post("/jobs/$job->id/measured", [
            'id' => $this->ulid(),
            'test' => 'common-ohms',
            'value' => 'many',
        ])->assertSessionHasErrors('value');
        $this->post("/jobs/$job->id/measured", [
            'id' => $this->ulid(),
            'test' => 'common-ohms',
            'value' => 'OL',
        ])->assertSessionHasErrors('reason');
        $this->post("/jobs/$job->id/measured", [
            'id' => $this->ulid(),
            'test' => 'common-ohms',
            'value' => '0.05',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/measured", [
            'id' => $this->ulid(),
            'test' => 'look-pack',
            'value' => 'fine',
        ])->assertSessionHasNoErrors();
        self::assertSame([true, true], array_column($this->props("/jobs/$job->id/swap")['measured'], 'right'));
        self::assertSame(6, $job->readings()->count(), 'The new part is no evidence about the old circuit.');
    }

    public function testACheckThatFailsReopensAndMarksTheVerdict(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT])->assertRedirect(
            "/jobs/$job->id/proof",
        );
        $checks = $this->props("/jobs/$job->id/proof")['checks'];
        self::assertSame('current@4', $checks[0]['test']);
        $this->post("/jobs/$job->id/checks", ['id' => $this->ulid(), 'test' => 'ground-drop@4', 'value' => '0.1'])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/$job->id/proof");
        $this->post("/jobs/$job->id/checks", [
            'id' => $this->ulid(),
            'test' => 'current@4',
            'value' => 'much',
        ])->assertSessionHasErrors('current@4');
        $high = fn(): \Illuminate\Testing\TestResponse => $this->post("/jobs/$job->id/checks", [
            'id' => $this->ulid(),
            'test' => 'current@4',
            'value' => '41 A',
        ]);
        $high()->assertRedirect("/jobs/$job->id/proof");
        self::assertStringContainsString('Measure it once more', session('notice'));
        $check = $this->props("/jobs/$job->id/proof")['checks'][0];
        self::assertSame(['41.0 A', null], [$check['read'], $check['right']]);
        self::assertSame($checks[0]['expected'], $check['expected'], 'No reading speaks for itself.');
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'repaired',
            'reason' => 'no time',
        ])->assertSessionHasErrors('outcome');
        self::assertStringContainsString('Motor current on 4', session('errors')->first('outcome'));
        $high()->assertRedirect("/jobs/$job->id/bench");
        self::assertSame(JobStage::Bench, $job->refresh()->stage);
        $held = RepairEntry::query()->where('job_id', $job->id)->where('kind', 'held')->firstOrFail()->toCore();
        self::assertFalse($held->flag('held'));
        self::assertSame($job->replacements()->firstOrFail()->id, $held->text('replacement'));
        self::assertSame(3, $job->readings()->where('episode', 1)->whereNull('speed_map_id')->count());
        $this->get("/jobs/$job->id/verdict")->assertInertia(
            static fn(Page $page) => $page->where('held.0.held', false),
        );
    }

    public function testADecimalPointInTheWrongPlaceIsMeasuredAgainAndStaysOnRecord(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        foreach (['170 A', '17 A'] as $value) {
            $this->post("/jobs/$job->id/checks", [
                'id' => $this->ulid(),
                'test' => 'current@4',
                'value' => $value,
            ])->assertRedirect("/jobs/$job->id/proof");
        }
        self::assertSame(JobStage::Proof, $job->refresh()->stage);
        self::assertTrue($this->props("/jobs/$job->id/proof")['checks'][0]['right']);
        self::assertSame(2, $job->readings()->where('test', 'current@4')->where('episode', 1)->count());
        self::assertSame(0, RepairEntry::query()->where('job_id', $job->id)->where('kind', 'held')->count());
    }

    public function testWiresOfAnotherJobCannotBeMoved(): void
    {
        $user = $this->person();
        [$one, $other] = [$this->jobOnBench($user), $this->jobOnBench($user)];
        $id = $this->ulid();
        $this->note($one, 'method', ['method' => 'one-at-a-time']);
        $this->note(
            $one,
            'wire',
            ['function' => 'Feed', 'from' => '1', 'to' => '2', 'colour' => 'red'],
            $id,
        )->assertSessionHasNoErrors();
        $this->note($other, 'wire-moved', ['of' => strtolower($id)])->assertSessionHasErrors('of');
        $this->note(
            $other,
            'wire',
            ['function' => 'Feed', 'from' => '1', 'to' => '2', 'colour' => 'red'],
            $id,
        )->assertSessionHasErrors();
        self::assertSame(0, $other->entries()->count());
    }
}
