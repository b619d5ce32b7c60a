<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Unit;
use Tests\TestCase;

final class UnitsTest extends TestCase
{
    public function testAUnitShowsItsJobsAndWhatWasFitted(): void
    {
        $user = $this->person();
        $job = $this->closed($this->jobOnBench($user));
        $this->post('/jobs', $this->newJob(['unitName' => 'Van 7', 'complaint' => 'Squeals']));
        $page = $this->props("/units/$job->unit_id");
        self::assertSame('Van 7', $page['name']);
        self::assertSame(
            ['Squeals', 'Only the top speed blows'],
            array_map(static fn(array $one): string => $one['job']['complaint'], $page['jobs']),
        );
        $fitted = $page['fitted'][0];
        self::assertSame(
            ['Resistor pack', 'OV-0087', 'Tess', 'J-0001', true],
            array_map(static fn(string $key) => $fitted[$key], ['label', 'partNumber', 'by', 'job', 'held']),
        );
        self::assertNotNull($fitted['warrantyUntil']);
        self::assertTrue($fitted['underWarranty']);
        self::assertSame('right', $page['jobs'][1]['strip'][2]['state']);
    }

    public function testAUnitIsEditedAndGoesOutOfUse(): void
    {
        $job = $this->jobOnBench($this->person());
        $right = ['name' => 'Van 7', 'place' => 'Quay', 'model' => 'Tarn 12', 'note' => 'Tap 3', 'retired' => false];
        $this->put("/units/$job->unit_id", ['name' => ''] + $right)->assertSessionHasErrors('name');
        $this->put("/units/$job->unit_id", $right)->assertSessionHasNoErrors();
        self::assertSame(['Quay', 'Tap 3'], [$job->unit->refresh()->place, $job->unit->note]);
        self::assertNotNull($this->props('/jobs/new?unit=Van+7')['unit']);
        $this->put("/units/$job->unit_id", ['retired' => true] + $right)->assertSessionHasNoErrors();
        self::assertNull($this->props('/jobs/new?unit=Van+7')['unit']);
        self::assertTrue($this->props("/units/$job->unit_id")['retired']);
    }

    public function testTwoNamesOfOneMachineBecomeOne(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->post('/jobs', $other = $this->newJob(['unitName' => 'Van seven', 'unitModel' => 'Tarn 12']));
        $double = $this->jobOf($other)->unit_id;
        $this->post("/units/$job->unit_id/merge", ['other' => $job->unit_id])->assertSessionHasErrors('other');
        $this->post("/units/$job->unit_id/merge", ['other' => $double])->assertSessionHasNoErrors();
        self::assertNull(Unit::query()->find($double));
        self::assertSame(2, $job->unit->jobs()->count());
        self::assertSame('Tarn 12', $job->unit->refresh()->model);
    }

    public function testAModelCountsWhatWasReplacedOnIt(): void
    {
        $user = $this->person();
        foreach (['Van A', 'Van B'] as $name) {
            $job = $this->jobOnBench($user);
            $job->unit->update(['name' => $name, 'model' => 'Tarn 12']);
            $this->closed($job);
        }
        $page = $this->props('/models?name=Tarn+12');
        self::assertSame(['Van A', 'Van B'], array_column($page['units'], 'name'));
        self::assertSame(['Resistor pack', 2, 2, 0], array_values($page['replaced'][0]));
        $this->get('/models?name=')->assertNotFound();
        $this->get('/models?name=Tarn+13')->assertNotFound();
    }

    public function testAnotherWorkshopsUnitsAreNotThere(): void
    {
        $job = $this->jobOnBench($this->person());
        $job->unit->update(['model' => 'Tarn 12']);
        $own = $this->jobOnBench($this->person());
        $this->get("/units/$job->unit_id")->assertNotFound();
        $this->put("/units/$job->unit_id", ['name' => 'Mine', 'retired' => false])->assertNotFound();
        $this->post("/units/$own->unit_id/merge", ['other' => $job->unit_id])->assertNotFound();
        $this->get('/models?name=Tarn+12')->assertNotFound();
        self::assertSame('Van 7', $job->unit->refresh()->name);
    }

    private function closed(Job $job): Job
    {
        $option = $this->props("/jobs/$job->id/remedy")['outlook']['options'][0];
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => $option['key'],
            'reason' => 'cheapest',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'partNumber' => 'OV-0087',
        ])->assertSessionHasNoErrors();
        $this->proveAndClose($job->refresh());

        return $job->refresh();
    }
}
