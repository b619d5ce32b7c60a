<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Testing\TestResponse;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Work\JobOutcome;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * Checks on which somebody's life hangs: no note replaces them, whatever the end of the job.
 */
final class NeverLeftOutTest extends TestCase
{
    private const FLUE_RIGHT = ['off' => 'right', 'full' => 'right'];
    private const HEAT_RIGHT = ['off' => 'right', 'heat' => 'right', 'cool' => 'right'];

    /**
     * @param array<string, mixed> $with
     *
     * @return TestResponse<Response>
     */
    private function close(Job $job, string $outcome, array $with = []): TestResponse
    {
        return $this->post("/jobs/$job->id/close", $with + ['id' => $this->ulid(), 'outcome' => $outcome]);
    }

    /** @return TestResponse<Response> */
    private function check(Job $job, string $test, string $value): TestResponse
    {
        return $this->post("/jobs/$job->id/checks", ['id' => $this->ulid(), 'test' => $test, 'value' => $value]);
    }

    private function flueFanReplaced(): Job
    {
        $job = $this->jobOnBench($this->person(), 'flue-fan', [], ['off' => 'right', 'full' => 'dead']);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['fan']]);
        $this->post("/jobs/$job->id/proof", [
            'id' => $this->ulid(),
            'states' => self::FLUE_RIGHT,
        ])->assertSessionHasNoErrors();
        self::assertSame(JobStage::Proof, $job->refresh()->stage);

        return $job;
    }

    public function testAFlueFanDoesNotCloseWithItsExhaustChecksLeftOut(): void
    {
        $job = $this->flueFanReplaced();
        foreach (['repaired', 'proven-good', 'temporary'] as $outcome) {
            $this->close($job, $outcome, [
                'reason' => 'no manometer at hand',
                'dueOn' => now()->addDays(3)->toDateString(),
            ])->assertSessionHasErrors(['outcome']);
        }
        $this->close($job, 'not-repaired', ['reason' => 'too dear'])->assertSessionHasErrors('outcome');
        self::assertSame(JobStage::Proof, $job->refresh()->stage);
        $said = session('errors')->first('outcome');
        self::assertStringContainsString('exhaust gas', $said);
        self::assertStringContainsString('not in service', $said);
    }

    public function testItEndsNotInServiceWithAReasonANameAndADay(): void
    {
        $job = $this->flueFanReplaced();
        $day = now()->addDays(2)->toDateString();
        $whole = ['reason' => 'Switched off and labelled, gas cock shut', 'who' => 'the owner', 'dueOn' => $day];
        foreach (array_keys($whole) as $field) {
            $this->close($job, 'not-in-service', array_diff_key($whole, [$field => 0]))->assertSessionHasErrors($field);
        }
        $this->close($job, 'not-in-service', $whole)->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::NotInService, $job->refresh()->outcome);
        self::assertSame($day, $job->due_on?->toDateString());
        self::assertContains($job->id, array_column($this->props('/due')['jobs'], 'id'));
        $this->get("/jobs/$job->id/sheet/customer.pdf")->assertOk();
        $file = json_decode(
            (string) $this->get("/jobs/$job->id/file")
                ->assertOk()
                ->getContent(),
            true,
        );
        self::assertSame('not-in-service', $file['job']['outcome']);
    }

    public function testItIsHandedToALicensedPersonByName(): void
    {
        $job = $this->flueFanReplaced();
        $day = ['dueOn' => now()->addDays(2)->toDateString()];
        $this->close($job, 'handed-over', $day)->assertSessionHasErrors('who');
        $this->close($job, 'handed-over', $day + ['who' => 'Orla Finn, licensed'])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::HandedOver, $job->refresh()->outcome);
    }

    public function testMeasuredItCloses(): void
    {
        $job = $this->flueFanReplaced();
        $this->check($job, 'pressure', '160')->assertSessionHasErrors('pressure');
        self::assertStringContainsString('plate of the unit', session('errors')->first('pressure'));
        $this->put("/jobs/$job->id/circuit", ['values' => ['switchPressure' => '95']])->assertSessionHasNoErrors();
        $this->check($job, 'pressure', '160')->assertSessionHasNoErrors();
        $this->check($job, 'outlet-loose', 'same')->assertSessionHasNoErrors();
        $props = $this->props("/jobs/$job->id/proof");
        $answers = array_column($props['checks'], 'choices', 'test')['smoke-seal'];
        $right = array_column($props['checks'], 'expected', 'test')['smoke-seal'];
        $still = array_column($answers, 'value', 'label')[$right];
        $this->check($job, 'smoke-seal', $still)->assertSessionHasNoErrors();
        self::assertSame(JobStage::Proof, $job->refresh()->stage);
        $this->close($job, 'repaired', ['reason' => 'no clamp'])->assertSessionHasNoErrors();
    }

    private function slowedHeat(string $of = 'heat'): Job
    {
        $data = $this->newJob(['kind' => 'adjustment', 'family' => 'tapped-blower', 'parameters' => []], []);
        $this->actingAs($this->person())->post('/jobs', $data)->assertSessionHasNoErrors();
        $this->put("/jobs/{$data['id']}/circuit", ['values' => []])->assertSessionHasNoErrors();
        $job = $this->jobOf($data);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::HEAT_RIGHT]);
        $this->from('/')
            ->post("/jobs/$job->id/entries", [
                'id' => $this->ulid(),
                'kind' => 'adjusted',
                'data' => ['of' => $of, 'what' => 'Speed', 'before' => 'medium', 'after' => 'low'],
            ])
            ->assertSessionHasNoErrors();

        return $job;
    }

    public function testASlowedHeatSpeedClosesOnlyWithARiseInsideThePlate(): void
    {
        $job = $this->slowedHeat();
        $this->close($job, 'adjusted', ['reason' => 'no thermometer'])->assertSessionHasErrors('outcome');
        self::assertStringContainsString('put it back as it was', session('errors')->first('outcome'));
        $this->check($job, 'rise', '38')->assertSessionHasErrors('rise');
        self::assertStringContainsString('plate of the unit', session('errors')->first('rise'));
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['riseLeast' => '40', 'riseMost' => '25'],
        ])->assertSessionHasErrors('riseMost');
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['riseLeast' => '25', 'riseMost' => '40'],
        ])->assertSessionHasNoErrors();
        $this->check($job, 'rise', '43')->assertSessionHasNoErrors();
        self::assertSame(JobStage::Proof, $job->refresh()->stage, 'it is adjusted again, not diagnosed');
        $this->close($job, 'adjusted', ['reason' => 'nearly'])->assertSessionHasErrors('outcome');
        $this->check($job, 'rise', '39')->assertSessionHasNoErrors();
        $this->close($job, 'adjusted', ['reason' => 'no clamp'])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::Adjusted, $job->refresh()->outcome);
    }

    public function testACoolingSpeedNeedsNoRiseAndAnUnnamedOneDoes(): void
    {
        $this->close($this->slowedHeat('cool'), 'adjusted', ['reason' => 'no clamp'])->assertSessionHasNoErrors();
        $this->close($this->slowedHeat(''), 'adjusted', ['reason' => 'x'])->assertSessionHasErrors('outcome');
        $this->close($this->slowedHeat('other'), 'adjusted', ['reason' => 'x'])->assertSessionHasErrors('outcome');
    }
}
