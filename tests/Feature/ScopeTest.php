<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as RouteFacade;
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
        $before = $job->fresh()?->toArray();
        $this->actingAs($this->person('lead'));
        $ids = ['{job}' => (string) $job->id, '{reading}' => (string) $reading->id, '{key}' => 'wire-and-splice'];
        $walked = 0;
        foreach (RouteFacade::getRoutes()->getRoutes() as $route) {
            if (!str_starts_with($route->uri(), 'jobs/{job}')) {
                continue;
            }
            $path = strtr($route->uri(), [...$ids, '{for}' => 'customer', '{format}' => 'csv']);
            $path = preg_replace('/\{\w+\}/', $this->ulid(), $path);
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $status = $this->call($method, "/$path")->getStatusCode();
                self::assertSame(404, $status, "$method $path");
                ++$walked;
            }
        }
        self::assertGreaterThan(40, $walked);
        self::assertSame($before, $job->fresh()?->toArray());
    }

    public function testAnotherWorkshopsJobLendsNothingToPlannersAndProcedures(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->actingAs($this->person('lead'));
        foreach (['/planners/wire-and-splice', '/procedures', '/procedures/cabin-blower-refit'] as $page) {
            self::assertNull($this->props("$page?job=$job->id")['job'], $page);
        }
        $run = ['id' => $this->ulid(), 'job' => (string) $job->id];
        $this->post('/procedures/cabin-blower-refit/runs', $run)->assertNotFound();
    }

    public function testListsAndSearchShowOnlyTheOwnWorkshop(): void
    {
        $this->jobOnBench($this->person());
        $this->actingAs($this->person())
            ->get('/?q=Van')
            ->assertInertia(fn(Page $page) => $page->component('Jobs')->count('groups', 0));
        $this->get('/jobs/new?unit=Van+7')->assertInertia(
            fn(Page $page) => $page->count('units', 0)->where('unit', null),
        );
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

    public function testAMapLocksNothingButItsJobAndIsTakenOnce(): void
    {
        $user = $this->person();
        $one = $this->jobOnBench($user);
        $other = $this->jobOnBench($user);
        $map = ['id' => $this->ulid(), 'notedFor' => 'last winter', 'states' => ['1' => 'slow']];
        $locked = [];
        DB::listen(static function ($query) use (&$locked): void {
            if (preg_match('/from `(\w+)`.* for update$/', $query->sql, $found) === 1) {
                $locked[] = $found[1];
            }
        });
        $this->post("/jobs/$one->id/maps", $map)->assertRedirect();
        self::assertSame(['jobs'], array_unique($locked), 'two jobs noted at once never wait for each other');
        $this->post("/jobs/$one->id/maps", $map)
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        self::assertSame(1, $one->readings()->where('trust', 'remembered')->count());
        $this->post("/jobs/$other->id/maps", $map)->assertSessionHasErrors('states');
    }
}
