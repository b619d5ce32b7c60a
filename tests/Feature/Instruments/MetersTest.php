<?php

declare(strict_types=1);

namespace Tests\Feature\Instruments;

use App\Models\Job;
use App\Models\MeterAddress;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/**
 * Meters over real TCP connections.
 */
final class MetersTest extends TestCase
{
    /** @var list<Process> */
    private array $meters = [];

    protected function tearDown(): void
    {
        foreach ($this->meters as $meter) {
            $meter->stop(0);
        }
        parent::tearDown();
    }

    public function testAMeterIsAddedAndSaysWhatItIs(): void
    {
        $user = $this->person('lead');
        $port = $this->meter('12.3');
        $this->actingAs($user)
            ->post('/instruments', ['name' => 'Bench A', 'host' => '127.0.0.1', 'port' => $port])
            ->assertRedirect('/instruments');
        $this->get('/instruments')->assertInertia(
            fn(Page $page) => $page
                ->component('Instruments')
                ->where('meters.0.name', 'Bench A')
                ->where('tried.works', true)
                ->where('meters.0.identity', 'ISPIRA SIMULATED BENCH METER 1'),
        );
        $this->post('/instruments', [
            'name' => 'Bench A',
            'host' => '127.0.0.1',
            'port' => $port,
        ])->assertSessionHasErrors('name');
        $this->delete("/instruments/{$user->workshop->meters()->firstOrFail()->id}")->assertRedirect('/instruments');
        self::assertSame(0, $user->workshop->meters()->count());
    }

    public function testMetersAreOnlyAskedInTheWorkshopsOwnNetwork(): void
    {
        $this->actingAs($this->person('lead'));
        foreach (['8.8.8.8', 'nowhere.invalid', 'http://127.0.0.1'] as $host) {
            $this->post('/instruments', ['name' => 'Far', 'host' => $host, 'port' => 5025])->assertSessionHasErrors(
                'host',
            );
        }
        $this->post('/instruments', ['name' => 'Low', 'host' => '127.0.0.1', 'port' => 80])->assertSessionHasErrors(
            'port',
        );
    }

    public function testAnotherWorkshopsMeterIsNotFound(): void
    {
        $other = $this->person('lead');
        $meter = $other->workshop->meters()->create(['name' => 'Theirs', 'host' => '127.0.0.1', 'port' => 5025]);
        $job = $this->jobOnBench($this->person('lead'));
        $this->get("/jobs/$job->id/live/$meter->id?test=motor-volts@4")->assertNotFound();
        $this->post("/instruments/$meter->id/try")->assertNotFound();
        $this->delete("/instruments/$meter->id")->assertNotFound();
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'meter' => $meter->id,
        ])->assertSessionHasErrors('value');
    }

    public function testAHeldValueIsRecordedWithoutANumberFromThePage(): void
    {
        $job = $this->jobOnBench($this->person('lead'));
        $meter = $this->onList($job, $this->meter('12.07'));
        $live = "/jobs/$job->id/live/$meter->id?test=motor-volts@4";
        $this->getJson($live)
            ->assertOk()
            ->assertJson(['trouble' => null, 'state' => 'settling', 'value' => '12.1 V']);
        $this->getJson($live)->assertJson(['state' => 'held', 'value' => '12.1 V']);
        self::assertSame('motor-volts@4', $job->refresh()->test_on_bench);
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'meter' => $meter->id,
            'value' => '99',
        ])->assertSessionHasNoErrors();
        $reading = $job->readings()->where('test', 'motor-volts@4')->firstOrFail();
        self::assertEqualsWithDelta(12.07, $reading->number, 1e-6);
        self::assertSame('Bench A', $reading->instrument);
        self::assertTrue($reading->steady);
        // What was recorded is let go: the next reading starts anew.
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'meter' => $meter->id,
        ])->assertSessionHasErrors('value');
    }

    public function testOverRangeAndLeadsAreTakenOverFromTheMeter(): void
    {
        $job = $this->jobOnBench($this->person('lead'));
        $this->post('/leads', ['ohms' => '0.3'])->assertSessionHasNoErrors();
        $open = $this->onList($job, $this->meter('OL'));
        $this->read($job, $open, 'common-ohms');
        $reading = $job->readings()->where('test', 'common-ohms')->firstOrFail();
        self::assertTrue($reading->over_range);
        self::assertSame(0.0, $reading->lead_ohms);
        $closed = $this->onList($job, $this->meter('1.9'), 'Bench B');
        $this->read($job, $closed, 'pack-ohms-1');
        $reading = $job->readings()->where('test', 'pack-ohms-1')->firstOrFail();
        self::assertEqualsWithDelta(1.6, $reading->number, 1e-9);
        self::assertSame(0.3, $reading->lead_ohms);
    }

    public function testWhatKeepsAMeterFromBeingReadIsSaidInWords(): void
    {
        $job = $this->jobOnBench($this->person('lead'));
        $stuck = $this->onList($job, $this->meter('12', 'VOLT:AC'), 'Stuck');
        self::assertStringContainsString(
            'stands on AC volts and this test needs DC volts',
            $this->trouble($job, $stuck),
        );
        $silent = $this->onList($job, $this->meter('12', '', '2'), 'Silent');
        self::assertStringContainsString('does not answer', $this->trouble($job, $silent));
        $gone = $this->onList($job, $this->meter('12'), 'Gone');
        $this->meters[2]->stop(0);
        self::assertStringContainsString('cannot be reached', $this->trouble($job, $gone));
        $this->post("/instruments/$gone->id/try")->assertRedirect('/instruments');
        $this->get('/instruments')->assertInertia(fn(Page $page) => $page->where('tried.works', false));
        self::assertSame(0, $job->readings()->whereNotNull('instrument')->count());
    }

    public function testWhatABenchMeterCannotMeasureIsTyped(): void
    {
        $job = $this->jobOnBench($this->person('lead'));
        $meter = $this->onList($job, $this->meter('12'));
        self::assertStringContainsString(
            'type it',
            $this->getJson("/jobs/$job->id/live/$meter->id?test=spin")->json('trouble'),
        );
        $this->getJson("/jobs/$job->id/live/$meter->id?test=no-such-test")->assertNotFound();
    }

    private function trouble(Job $job, MeterAddress $meter): string
    {
        return $this->getJson("/jobs/$job->id/live/$meter->id?test=motor-volts@4")
            ->assertOk()
            ->json('trouble') ?? '';
    }

    private function read(Job $job, MeterAddress $meter, string $test): void
    {
        foreach ([1, 2] as $look) {
            $this->getJson("/jobs/$job->id/live/$meter->id?test=$test")->assertJson(['trouble' => null]);
        }
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => $test,
            'meter' => $meter->id,
        ])->assertSessionHasNoErrors();
    }

    private function onList(Job $job, int $port, string $name = 'Bench A'): MeterAddress
    {
        return $job->workshop->meters()->create(['name' => $name, 'host' => '127.0.0.1', 'port' => $port]);
    }

    private function meter(string $value, string ...$options): int
    {
        $this->meters[] = $process = new Process([\PHP_BINARY, __DIR__ . '/constant-meter.php', $value, ...$options]);
        $process->start();
        $process->waitUntil(static fn(string $type, string $output): bool => str_contains($output, "\n"));

        return (int) substr((string) strrchr(trim($process->getOutput()), ':'), 1);
    }
}
