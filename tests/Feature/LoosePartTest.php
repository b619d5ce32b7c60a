<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Repair\JobSheet;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Work\JobOutcome;
use Tests\TestCase;

/**
 * A part alone on the bench: without machine and complaint, proven good on a page of its own, hooked up anew.
 */
final class LoosePartTest extends TestCase
{
    private function wiper(): Job
    {
        $data = $this->newJob([
            'unitName' => '',
            'complaint' => '',
            'kind' => 'loose-part',
            'part' => 'motor',
            'family' => 'wiper',
            'parameters' => ['motor' => 'compound'],
            'states' => [],
        ]);
        $this->actingAs($this->person())->post('/jobs', $data)->assertSessionHasNoErrors();
        $this->put("/jobs/{$data['id']}/circuit", ['values' => ['motor' => 'compound']])->assertSessionHasNoErrors();

        return $this->jobOf($data);
    }

    /** @param array<string, string> $shows */
    private function read(Job $job, array $shows): void
    {
        foreach ($shows as $test => $value) {
            $this->post("/jobs/$job->id/readings", [
                'id' => $this->ulid(),
                'test' => $test,
                is_numeric($value) || $value === 'OL' ? 'value' : 'choice' => $value,
            ])->assertSessionHasNoErrors();
        }
    }

    public function testItNeedsNoMachineAndNoComplaint(): void
    {
        $job = $this->wiper();
        self::assertSame('Loose part: Wiper motor', $job->unit->name);
        self::assertSame('Is it still good?', $job->complaint);
        $this->post('/jobs', $this->newJob(['unitName' => '', 'complaint' => '']))->assertSessionHasErrors([
            'unitName',
            'complaint',
        ]);
        self::assertSame([], app(JobSheet::class)->of($job, true)['map'], 'No empty map on its sheet.');
        foreach (['customer', 'file'] as $sheet) {
            $this->get("/jobs/$job->id/sheet/$sheet.pdf")->assertOk();
        }
    }

    public function testAGoodOneIsProvenGoodWithWhatToMind(): void
    {
        $job = $this->wiper();
        $this->read($job, [
            'bench-park' => 'right',
            'bench-high' => 'right',
            'bench-low' => 'right',
            'bench-none' => 'right',
            'ohms-run' => '0.55',
            'ohms-field' => '18',
        ]);
        $verdict = $this->props("/jobs/$job->id/verdict");
        self::assertSame('none', $verdict['diagnosis']['suspects'][0]['remedy']);
        self::assertSame('Wiper motor', $verdict['part']);
        self::assertStringContainsString('strap', $verdict['refit'][1]);
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'proven-good',
            'reason' => '',
        ])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::ProvenGood, $job->refresh()->outcome);
    }

    public function testAWrongHookUpIsPutRightAndOnlyItsReadingsAreStruck(): void
    {
        $job = $this->wiper();
        $this->read($job, [
            'ohms-run' => '0.55',
            'ohms-run-body-away' => '0.04',
            'bench-high' => 'right',
            'bench-low' => 'right',
            'bench-park' => 'stays',
            'bench-none' => 'right',
        ]);
        self::assertSame('hook-up', $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'][0]['remedy']);
        $this->post("/jobs/$job->id/hook-up")->assertRedirect("/jobs/$job->id/bench");
        $struck = $job->refresh()->readings->filter(static fn($one): bool => $one->strike !== null)->pluck('test');
        self::assertEqualsCanonicalizing(['bench-high', 'bench-low', 'bench-park', 'bench-none'], $struck->all());
        $other = $this->jobOnBench($this->person());
        $this->post("/jobs/$other->id/hook-up")->assertRedirect("/jobs/$other->id/bench");
        $this->post("/jobs/$job->id/hook-up")->assertNotFound();
        self::assertSame(JobStage::Bench, $job->refresh()->stage);
    }
}
