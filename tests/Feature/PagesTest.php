<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/**
 * What the pages of a job show in each of its stages.
 */
final class PagesTest extends TestCase
{
    private function replaced(Job $job, string $part = 'pack'): void
    {
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => [$part],
            'partNumber' => 'TN-1',
            'note' => 'as found',
        ]);
    }

    public function testTheVerdictPageTellsWhatGuessingWouldHaveCost(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-volts@3', 'value' => '0.01']);
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-ohms', 'overRange' => true]);
        $this->get("/jobs/$job->id/verdict")->assertInertia(
            static fn(Page $page) => $page
                ->component('Verdict')
                ->where('guessedOnTheMap', static fn(float $money): bool => $money > 80.0)
                ->where('diagnosis.guessing', static fn(float $money): bool => $money < 80.0),
        );
    }

    public function testTheVerdictIsKeptWithTheReplacement(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->replaced($job);
        $this->get("/jobs/$job->id/proof")->assertInertia(
            static fn(Page $page) => $page
                ->where('replacements.0.label', 'Resistor pack')
                ->where('replacements.0.partNumber', 'TN-1')
                ->where('replacements.0.note', 'as found')
                ->where('replacements.0.verdict.label', null)
                ->has('replacements.0.verdict.reasons.0'),
        );
    }

    public function testTheStripShowsBeforeAndAfter(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->replaced($job);
        $this->proveAndClose($job);
        $this->get("/jobs/$job->id/proof")->assertInertia(
            static fn(Page $page) => $page
                ->where('open', false)
                ->where('strip.maps.0.kind', 'before')
                ->where('strip.maps.0.states.1', 'dead')
                ->where('strip.maps.1.kind', 'after')
                ->where('strip.maps.1.states.1', 'right')
                ->where('strip.cells.5.expected', 1),
        );
    }

    public function testAClosedJobCanBeReadEverywhereAndChangedNowhere(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->replaced($job);
        $this->proveAndClose($job);
        foreach (
            ['complaint', 'circuit', 'bench', 'verdict', 'remedy', 'fit', 'strip', 'wires', 'swap', 'proof']
            as $page
        ) {
            $this->get("/jobs/$job->id/$page")
                ->assertOk()
                ->assertInertia(static fn(Page $shown) => $shown->where('open', false));
        }
        $reading = $job->readings()->firstOrFail();
        $this->post("/jobs/$job->id/readings/$reading->id/strike")
            ->assertRedirect("/jobs/$job->id/proof")
            ->assertSessionHas('notice');
        $this->post("/jobs/$job->id/maps", [
            'id' => $this->ulid(),
            'notedFor' => 'then',
            'states' => ['1' => 'slow'],
        ])->assertSessionHas('notice');
        $this->put("/jobs/$job->id/circuit", ['values' => ['positions' => '4', 'side' => 'ground']])->assertSessionHas(
            'notice',
        );
        $this->replaced($job, 'motor');
        self::assertSame(1, $job->replacements()->count());
        self::assertSame('feed', $job->refresh()->parameters['side']);
        self::assertNull($reading->refresh()->strike);
    }

    public function testACellListenedToAgainStandsInTheStrip(): void
    {
        $user = $this->person();
        $data = $this->newJob([], ['1' => 'dead', '4' => 'right']);
        $this->actingAs($user)->post('/jobs', $data);
        $this->put("/jobs/{$data['id']}/circuit", ['values' => ['positions' => '4']]);
        $this->get("/jobs/{$data['id']}/bench")->assertInertia(
            static fn(Page $page) => $page->missing('strip.maps.0.states.2'),
        );
        $this->post("/jobs/{$data['id']}/readings", [
            'id' => $this->ulid(),
            'test' => 'speed@2',
            'choice' => 'slow',
        ])->assertSessionHasNoErrors();
        $this->get("/jobs/{$data['id']}/bench")->assertInertia(
            static fn(Page $page) => $page->where('strip.maps.0.states.2', 'slow'),
        );
    }

    public function testAnUntoldCircuitComesBeforeTheBench(): void
    {
        $data = $this->newJob();
        $this->actingAs($this->person())->post('/jobs', $data);
        foreach (['bench', 'verdict', 'remedy', 'fit', 'strip', 'wires', 'swap', 'proof'] as $page) {
            $this->get("/jobs/{$data['id']}/$page")->assertRedirect("/jobs/{$data['id']}/circuit");
        }
        $this->post("/jobs/{$data['id']}/readings", ['id' => $this->ulid(), 'test' => 'current@4', 'value' => '12'])
            ->assertRedirect("/jobs/{$data['id']}/circuit")
            ->assertSessionHas('notice');
    }

    public function testTheListShowsAMapWithoutWhatWasStruckOut(): void
    {
        $job = $this->jobOnBench($this->person());
        $strip = fn(): array => $this->props('/')['groups'][0]['jobs'][0]['strip'];
        self::assertSame('dead', $strip()[2]['state']);
        $reading = $job->readings->firstWhere('test', 'speed@1');
        $this->post("/jobs/$job->id/readings/{$reading?->id}/strike", ['reason' => 'wrong position']);
        self::assertNull($strip()[2]['state']);
    }

    public function testTheListGroupsByStageAndShowsTheLatestMap(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->replaced($job);
        $this->proveAndClose($job);
        $this->get('/')->assertInertia(
            static fn(Page $page) => $page
                ->component('Jobs')
                ->where('groups.0.title', 'Closed')
                ->where('groups.0.jobs.0.strip.2.state', 'right')
                ->where('groups.0.jobs.0.strip.2.label', '1')
                ->where('groups.0.jobs.0.job.number', 'J-0001'),
        );
    }
}
