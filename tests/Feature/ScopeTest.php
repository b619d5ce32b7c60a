<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/**
 * Nothing of another workshop can be seen or touched.
 */
final class ScopeTest extends TestCase
{
    public function testAnotherWorkshopsJobIsNotFoundOnAnyRoute(): void
    {
        $owner = $this->person();
        $job = $this->jobOnBench($owner);
        $reading = Reading::query()->where('job_id', $job->id)->firstOrFail();
        $this->actingAs($this->person('lead'));
        foreach (
            [
                '',
                '/complaint',
                '/circuit',
                '/bench',
                '/verdict',
                '/remedy',
                '/fit',
                '/strip',
                '/wires',
                '/swap',
                '/proof',
                '/file',
                '/sheet/customer.pdf',
                '/sheet/file.pdf',
            ]
            as $page
        ) {
            $this->get("/jobs/$job->id$page")->assertNotFound();
        }
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'current@4',
            'value' => '12',
        ])->assertNotFound();
        $this->post("/jobs/$job->id/readings/$reading->id/strike")->assertNotFound();
        $this->post("/jobs/$job->id/maps", [])->assertNotFound();
        $this->post("/jobs/$job->id/replacements", [])->assertNotFound();
        $this->post("/jobs/$job->id/proof", [])->assertNotFound();
        foreach (['entries', 'remedy', 'fit', 'kit', 'measured', 'checks', 'to-proof', 'close'] as $action) {
            $this->post("/jobs/$job->id/$action", [])->assertNotFound();
        }
        $this->put("/jobs/$job->id/circuit", [])->assertNotFound();
    }

    public function testListsAndSearchShowOnlyTheOwnWorkshop(): void
    {
        $this->jobOnBench($this->person());
        $this->actingAs($this->person())
            ->get('/?q=Van')
            ->assertInertia(fn(Page $page) => $page->component('Jobs')->count('jobs', 0));
        $this->get('/jobs/new')->assertInertia(fn(Page $page) => $page->count('units', 0));
    }

    public function testAnotherWorkshopsUnitCannotBeUsed(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->actingAs($this->person())->post('/jobs', $this->newJob(['unitId' => $job->unit_id]))->assertNotFound();
        self::assertSame(1, Job::query()->where('unit_id', $job->unit_id)->count());
    }

    public function testAReadingOfOneJobCannotBeStruckThroughAnother(): void
    {
        $user = $this->person();
        $one = $this->jobOnBench($user);
        $other = $this->jobOnBench($user);
        $reading = Reading::query()->where('job_id', $one->id)->firstOrFail();
        $this->post("/jobs/$other->id/readings/$reading->id/strike")->assertNotFound();
    }
}
