<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use App\Models\Replacement;
use App\Models\Strike;
use App\Models\Unit;
use Inertia\Testing\AssertableInertia as Page;
use Ispira\Core\Job\JobStage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class JobTest extends TestCase
{
    public function testAJobIsOpenedWithItsMapAsReadings(): void
    {
        $data = $this->newJob();
        $this->actingAs($this->person())
            ->post('/jobs', $data)
            ->assertRedirect("/jobs/{$data['id']}/circuit");
        $job = $this->jobOf($data);
        self::assertSame(1, $job->number);
        self::assertSame(
            self::ONLY_HIGH,
            $job->readings
                ->mapWithKeys(static fn(Reading $r): array => [substr($r->test, 6) => (string) $r->choice])
                ->all(),
        );
    }

    public function testTheSameSubmitTwiceIsOneJob(): void
    {
        $data = $this->newJob();
        $this->actingAs($this->person());
        $this->post('/jobs', $data)->assertRedirect();
        $this->post('/jobs', $data)->assertRedirect("/jobs/{$data['id']}/circuit");
        self::assertSame(1, Job::query()->whereKey($data['id'])->count());
        self::assertSame(6, Reading::query()->where('job_id', $data['id'])->count());
        self::assertSame(
            1,
            Unit::query()->where('name', 'Van 7')->where('workshop_id', $this->jobOf($data)->workshop_id)->count(),
        );
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string}> */
    public static function badJobs(): iterable
    {
        yield 'no unit' => [['unitName' => ''], 'unitName'];
        yield 'no complaint' => [['complaint' => ''], 'complaint'];
        yield 'no position tried' => [['states' => ['1' => null]], 'states'];
        yield 'a position that is not there' => [['states' => ['9' => 'dead']], 'states'];
        yield 'a state that is not there' => [['states' => ['1' => 'sleepy']], 'states'];
        yield 'running where it should stand' => [['states' => ['off' => 'slow']], 'states'];
        yield 'another family' => [['family' => 'toaster'], 'family'];
        yield 'too many speeds' => [['parameters' => ['positions' => '40']], 'parameters'];
        yield 'an id of its own making' => [['id' => 'one'], 'id'];
        yield 'a text without end' => [['complaint' => str_repeat('x', 5000)], 'complaint'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('badJobs')]
    public function testABadJobIsRefusedAtItsFieldAndNothingIsStored(array $with, string $field): void
    {
        $user = $this->person();
        $this->actingAs($user)
            ->from('/jobs/new')
            ->post('/jobs', $this->newJob($with))
            ->assertRedirect('/jobs/new')
            ->assertSessionHasErrors($field);
        self::assertSame(0, $user->workshop->jobs()->count());
        self::assertSame(0, $user->workshop->units()->count());
    }

    public function testTheBenchShowsADiagnosisThatFollowsTheReadings(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page
                ->component('Bench')
                ->where('diagnosis.suspects.0.remedy', 'pack')
                ->where('diagnosis.verdict', null)
                ->has('diagnosis.card.outcomes')
                ->has('sheet.elements')
                ->count('strip.cells', 6),
        );
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'common-volts@3',
            'value' => '0,02 V',
        ])->assertRedirect("/jobs/$job->id/bench");
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'common-ohms',
            'overRange' => true,
        ])->assertRedirect("/jobs/$job->id/bench");
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page
                ->where('diagnosis.suspects.0.faults.0.key', 'common-open')
                ->where('readings.0.value', 'over range')
                ->where('readings.1.value', '0.02 V'),
        );
    }

    public function testWhatTheMachineDidIsKeptWithAReadingOfAComplaintThatComesAndGoes(): void
    {
        $job = $this->jobOnBench($this->person());
        $job->update(['intermittent' => true]);
        $this->get("/jobs/$job->id/bench?test=common-volts@3")->assertInertia(
            fn(Page $page) => $page->where('diagnosis.card.watch', true),
        );
        $this->get("/jobs/$job->id/bench?test=common-ohms")->assertInertia(
            fn(Page $page) => $page->where('diagnosis.card.watch', false),
        );
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'common-volts@3',
            'value' => '0.02',
            'misbehaved' => true,
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'value' => '12.1',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'value' => '12.1',
            'misbehaved' => 'perhaps',
        ])->assertSessionHasErrors('misbehaved');
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page
                ->where('readings.0.misbehaved', null)
                ->where('readings.1.misbehaved', true)
                ->has('readings', 8),
        );
    }

    public function testAnyOtherTestCanBeChosen(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->get("/jobs/$job->id/bench?test=current@4")->assertInertia(
            fn(Page $page) => $page->where('chosen', 'current@4')->where('diagnosis.card.key', 'current@4'),
        );
        $this->get("/jobs/$job->id/bench?test=nothing@4")->assertInertia(
            fn(Page $page) => $page->where('chosen', null)->has('diagnosis.card'),
        );
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string, 2: string}> */
    public static function badReadings(): iterable
    {
        yield 'a word' => [['test' => 'common-volts@3', 'value' => 'much'], 'value', 'not a value in V'];
        yield 'nothing' => [['test' => 'common-volts@3', 'value' => ''], 'value', 'Type a number'];
        yield 'a billion volts' => [['test' => 'common-volts@3', 'value' => '1e9'], 'value', 'between -60 V and 60 V'];
        yield 'negative ohms' => [['test' => 'common-ohms', 'value' => '-2'], 'value', 'never below zero'];
        yield 'another unit' => [['test' => 'common-volts@3', 'value' => '12 A'], 'value', 'not a value in V'];
        yield 'a test that the circuit does not have' => [
            ['test' => 'rest-drop@3', 'value' => '1'],
            'value',
            'has no test',
        ];
        yield 'no choice' => [['test' => 'look-pack', 'choice' => ''], 'value', 'Choose'];
        yield 'a choice of its own' => [['test' => 'look-pack', 'choice' => 'sad'], 'value', 'Choose'];
        yield 'a supply of 500 V' => [
            ['test' => 'common-volts@3', 'value' => '1', 'supplyVolts' => '500'],
            'supplyVolts',
            'between 4 and 33',
        ];
        yield 'a list' => [['test' => 'common-volts@3', 'value' => ['1']], 'value', ''];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('badReadings')]
    public function testABadReadingIsRefusedInWordsAndNotStored(array $with, string $field, string $words): void
    {
        $job = $this->jobOnBench($this->person());
        $this->from("/jobs/$job->id/bench")
            ->post("/jobs/$job->id/readings", ['id' => $this->ulid()] + $with)
            ->assertRedirect("/jobs/$job->id/bench")
            ->assertSessionHasErrors($field);
        self::assertStringContainsString($words, session('errors')->first($field));
        self::assertSame(6, $job->readings()->count());
    }

    public function testTheSameReadingSentTwiceIsTakenOnce(): void
    {
        $job = $this->jobOnBench($this->person());
        $reading = ['id' => $this->ulid(), 'test' => 'current@4', 'value' => '16.1'];
        $this->post("/jobs/$job->id/readings", $reading);
        $this->post("/jobs/$job->id/readings", $reading)->assertRedirect("/jobs/$job->id/bench");
        self::assertSame(7, $job->readings()->count());
    }

    public function testAReadingIdOfAnotherJobIsRefused(): void
    {
        $user = $this->person();
        $one = $this->jobOnBench($user);
        $other = $this->jobOnBench($user);
        $reading = ['id' => $this->ulid(), 'test' => 'current@4', 'value' => '16.1'];
        $this->post("/jobs/$one->id/readings", $reading);
        $this->post("/jobs/$other->id/readings", $reading)->assertSessionHasErrors('value');
        self::assertSame(6, $other->readings()->count());
    }

    public function testAStruckReadingStaysAndIsStruckOnce(): void
    {
        $job = $this->jobOnBench($this->person());
        $id = $this->ulid();
        $this->post("/jobs/$job->id/readings", ['id' => $id, 'test' => 'current@4', 'value' => '99']);
        $this->post("/jobs/$job->id/readings/$id/strike", ['reason' => 'clamp not zeroed'])->assertRedirect(
            "/jobs/$job->id/bench",
        );
        $this->post("/jobs/$job->id/readings/$id/strike")->assertSessionHas(
            'notice',
            'That reading was struck out already.',
        );
        self::assertSame(
            1,
            Strike::query()
                ->whereIn('reading_sequence', $job->readings()->pluck('sequence'))
                ->count(),
        );
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page
                ->where('readings.0.struck', true)
                ->where('readings.0.value', '99.0 A')
                ->where('readings.0.struckBecause', 'clamp not zeroed'),
        );
        $this->post("/jobs/$job->id/readings/{$this->ulid()}/strike")->assertNotFound();
    }

    public function testAnImpossibleReadingGivesAMisfitAndNoVerdict(): void
    {
        $job = $this->jobOnBench($this->person());
        $id = $this->ulid();
        $this->post("/jobs/$job->id/readings", ['id' => $id, 'test' => 'battery-volts@4', 'value' => '48']);
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page->where('diagnosis.misfit.0.reading', $id)->where('diagnosis.verdict', null),
        );
    }

    public function testReplaceProveAndClose(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->get("/jobs/$job->id/verdict")->assertInertia(
            fn(Page $page) => $page->component('Verdict')->has('outlook.options'),
        );
        $this->get("/jobs/$job->id/swap")->assertInertia(fn(Page $page) => $page->component('Swap')->has('parts'));
        $replacement = ['id' => $this->ulid(), 'parts' => ['pack'], 'partNumber' => 'TN-1', 'note' => 'swapped'];
        $this->post("/jobs/$job->id/replacements", $replacement)->assertRedirect("/jobs/$job->id/proof");
        $this->post("/jobs/$job->id/replacements", $replacement)->assertRedirect("/jobs/$job->id/proof");
        self::assertSame(1, Replacement::query()->where('job_id', $job->id)->count());
        $incomplete = ['id' => $this->ulid(), 'states' => ['1' => 'right'] + array_fill_keys(['2', '3'], null)];
        $this->post("/jobs/$job->id/proof", $incomplete)->assertSessionHasErrors('states');
        $proof = ['id' => $this->ulid(), 'states' => self::ALL_RIGHT];
        $this->post("/jobs/$job->id/proof", $proof)->assertRedirect("/jobs/$job->id/proof");
        self::assertSame(JobStage::Proof, $job->refresh()->stage);
        $closing = ['id' => $this->ulid(), 'outcome' => 'repaired'];
        $this->post("/jobs/$job->id/close", $closing)->assertSessionHasErrors('reason');
        $this->post("/jobs/$job->id/close", $closing + ['reason' => 'no clamp at hand'])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/close", $closing + ['reason' => 'no clamp at hand'])->assertSessionHasNoErrors();
        self::assertSame(JobStage::Closed, $job->refresh()->stage);
        self::assertSame('repaired', $job->outcome?->value);
        self::assertNotNull($job->closed_at);
        $this->post("/jobs/$job->id/proof", $proof)->assertSessionMissing('notice');
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'current@4',
            'value' => '1',
        ])->assertSessionHas('notice');
        self::assertSame(12, $job->readings()->count());
    }

    public function testAFailedProofReopensWithTheMapAsReadings(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ONLY_HIGH])
            ->assertRedirect("/jobs/$job->id/bench")
            ->assertSessionHas('notice');
        self::assertSame(JobStage::Bench, $job->refresh()->stage);
        self::assertSame(6, $job->readings()->where('episode', 1)->count());
        $this->get("/jobs/$job->id/bench")->assertInertia(
            fn(Page $page) => $page
                ->where('diagnosis.suspects.0.remedy', 'pack-plug')
                ->where('diagnosis.suspects.0.origins.0.origin', 'verdict-wrong'),
        );
    }

    public function testWhatAnotherWindowHasMovedOnIsSaidInWords(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['motor']])
            ->assertRedirect("/jobs/$job->id/proof")
            ->assertSessionHas('notice');
        self::assertSame(1, Replacement::query()->where('job_id', $job->id)->count());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'current@4', 'value' => '12'])
            ->assertRedirect("/jobs/$job->id/proof")
            ->assertSessionHas('notice');
        self::assertSame(6, $job->readings()->count());
    }

    public function testAPartThatTheCircuitDoesNotHaveCannotBeReplaced(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['high-relay'],
        ])->assertSessionHasErrors('parts');
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => []])->assertSessionHasErrors(
            'parts',
        );
    }

    public function testTheCircuitIsCheckedFieldByFieldAndKeepsWhatReadingsNeed(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['positions' => '4', 'packOhms' => ['1', '-2', '3'], 'motorAmps' => 'many'],
        ])->assertSessionHasErrors(['packOhms', 'motorAmps']);
        $this->put("/jobs/$job->id/circuit", ['values' => ['positions' => '3']])->assertSessionHasErrors('circuit');
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['positions' => '4', 'packOhms' => ['0,8', '0.5', '300m']],
        ])->assertRedirect("/jobs/$job->id/bench");
        self::assertSame([0.8, 0.5, 0.3], $job->refresh()->parameters['packOhms']);
    }

    public function testRememberedMapsAreKeptWithLessTrust(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/maps", [
            'id' => $this->ulid(),
            'states' => ['1' => 'slow'],
        ])->assertSessionHasErrors('notedFor');
        $this->post("/jobs/$job->id/maps", [
            'id' => $this->ulid(),
            'notedFor' => 'last winter',
            'states' => ['1' => 'slow'],
        ])->assertRedirect("/jobs/$job->id/complaint");
        self::assertSame(1, $job->readings()->where('trust', 'remembered')->count());
    }

    public function testAUnitOfTheSameNameIsTheSameUnit(): void
    {
        $user = $this->person();
        $this->actingAs($user);
        foreach (
            [
                [['unitModel' => 'Tarn 12'], 1],
                [[], 1],
                [['unitModel' => 'Tarn 12', 'unitName' => 'VAN 7'], 1],
                [['unitModel' => 'Tarn 20'], 2],
                [['unitName' => 'Van 8'], 3],
            ]
            as [$with, $units]
        ) {
            $this->post('/jobs', $this->newJob($with))->assertSessionHasNoErrors();
            self::assertSame($units, $user->workshop->units()->count());
        }
    }

    public function testAKnownModelBringsItsCircuit(): void
    {
        $user = $this->person();
        $data = $this->newJob(['unitModel' => 'Tarn 12']);
        $this->actingAs($user)->post('/jobs', $data);
        $this->put("/jobs/{$data['id']}/circuit", ['values' => ['positions' => '4', 'side' => 'ground']]);
        $this->get('/jobs/new?unit=van+7')->assertInertia(
            fn(Page $page) => $page
                ->where('known.parameters.side', 'ground')
                ->where('unit.name', 'Van 7')
                ->where('unit.history.0.complaint', 'Only the top speed blows'),
        );
        $this->get('/jobs/new?unit=Van+8&model=Tarn+12')->assertInertia(
            fn(Page $page) => $page->where('known.parameters.side', 'ground')->where('unit', null),
        );
        $this->get('/jobs/new?unit=Van+8&model=Tarn+13')->assertInertia(fn(Page $page) => $page->where('known', null));
    }

    public function testMissingPagesAndJobsAnswerInWords(): void
    {
        $this->actingAs($this->person());
        $this->get('/jobs/' . $this->ulid())
            ->assertNotFound()
            ->assertInertia(fn(Page $page) => $page->component('Problem')->where('status', 404));
        $this->get('/nowhere')->assertNotFound();
    }
}
