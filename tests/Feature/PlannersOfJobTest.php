<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Repair\JobSheet;
use Illuminate\Testing\TestResponse;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * Planners and worksheets that are opened from a job: they begin with what it knows, feed it, and stay with it.
 */
final class PlannersOfJobTest extends TestCase
{
    /** @return iterable<string, array{0: string}> */
    public static function planners(): iterable
    {
        foreach (array_keys((new PlannerRegistry())->all()) as $key) {
            yield $key => [$key];
        }
    }

    /**
     * @param array<array-key, mixed>  $values
     * @param list<array{0: int, 1: string}> $takes number of the value, and test
     *
     * @return TestResponse<Response>
     */
    private function record(Job $job, string $planner, array $values, array $takes): TestResponse
    {
        return $this->post("/jobs/$job->id/worked/$planner", [
            'values' => $values,
            'takes' => array_map(
                fn(array $one): array => ['id' => $this->ulid(), 'number' => $one[0], 'test' => $one[1]],
                $takes,
            ),
        ]);
    }

    #[DataProvider('planners')]
    public function testItBeginsEmptyWithoutAVerdictOnAnExample(string $key): void
    {
        $job = $this->jobOnBench($this->person());
        $props = $this->props("/planners/$key?job=$job->id");
        self::assertNull($props['plan']);
        self::assertSame([], $props['problems']);
        self::assertNotSame([], $props['cautions'], 'They come before anything is done.');
        self::assertContains('', $props['values'], 'An example of it is marked as one.');
        $example = $this->props("/planners/$key?job=$job->id&example=1");
        self::assertTrue($example['example']);
        self::assertNotNull($example['plan'], 'The example itself works.');
        $this->post("/jobs/$job->id/plans/$key", [
            'id' => $this->ulid(),
            'values' => ['x' => ''],
        ])->assertSessionHasErrors();
        self::assertSame(0, $job->entries()->count());
    }

    public function testItKnowsWhatTheJobKnows(): void
    {
        $blower = $this->jobOnBench($this->person(), parameters: ['positions' => '4', 'motorAmps' => '17.5']);
        self::assertSame('17.5', $this->props("/planners/pack-rebuild?job=$blower->id")['values']['amps']);
        self::assertSame('4', $this->props("/planners/pack-rebuild?job=$blower->id")['values']['positions']);
        self::assertSame('17.5', $this->props("/planners/wire-and-splice?job=$blower->id")['values']['amps']);
        $map = ['off' => 'right', 'heat' => 'slow', 'cool' => 'right'];
        $furnace = $this->jobOnBench(
            $this->person(),
            'tapped-blower',
            ['riseLeast' => '22', 'riseMost' => '40', 'capacitor' => '10'],
            $map,
        );
        $rise = $this->props("/planners/temperature-rise?job=$furnace->id")['values'];
        self::assertSame(['22', '40', ''], [$rise['from'], $rise['to'], $rise['supply']]);
        self::assertSame('10', $this->props("/planners/capacitor?job=$furnace->id")['values']['printed']);
    }

    public function testAWorkedValueIsTakenDownAsAReading(): void
    {
        $job = $this->jobOnBench($this->person());
        $values = ['order' => '1 2 3', 'pairs' => "1 2 1.4\n2 3 0.8\n1 3 2.2"];
        $page = $this->props(
            "/planners/pin-matrix?job=$job->id&test=pack-ohms-1&" . http_build_query(['values' => $values]),
        );
        self::assertContains('pack-ohms-1', array_column($page['tests'][1], 'key'));
        $this->record($job, 'pin-matrix', $values, [[1, 'pack-ohms-1']])->assertRedirect("/jobs/$job->id/bench");
        $reading = $job->readings()->where('test', 'pack-ohms-1')->firstOrFail();
        self::assertEqualsWithDelta(0.8, $reading->number, 1e-9);
        self::assertSame('Resistors from pin to pin', $reading->instrument);
        $this->record($job, 'pin-matrix', $values, [[1, 'motor-volts@2']])->assertSessionHasErrors('test');
        $this->record($job, 'pin-matrix', $values, [])->assertSessionHasErrors('takes');
        $this->record($job, 'pin-matrix', [], [[0, 'pack-ohms-1']])->assertSessionHasErrors('values');
        $this->record($job, 'nonsense', $values, [[0, 'pack-ohms-1']])->assertNotFound();
        $this->record($job, 'temperature-rise', ['from' => '20'], [[0, 'pack-ohms-1']])->assertSessionHasErrors([
            'return' => 'Fill this in.',
            'supply' => 'Fill this in.',
        ]);
    }

    public function testThreePhasesAreTakenDownAtOnceAndCondemnTheMotor(): void
    {
        $map = ['off' => 'right', 'heat' => 'dead', 'cool' => 'dead', 'fan' => 'dead'];
        $job = $this->jobOnBench($this->person(), 'ecm-blower', [], $map);
        $bench = $this->props("/jobs/$job->id/bench");
        $sheets = array_column($bench['worksheets']['ohms'], 'tests', 'key');
        self::assertSame(['phase-ab', 'phase-bc', 'phase-ca'], $sheets['phase-balance']);
        $values = ['ab' => '2.4', 'bc' => '4.9', 'ca' => '4.8', 'case' => 'OL'];
        $takes = [[0, 'phase-ab'], [1, 'phase-bc'], [2, 'phase-ca']];
        $this->record($job, 'phase-balance', $values, [[0, 'phase-bc'], ...$takes])->assertSessionHasErrors('test');
        self::assertSame(0, $job->readings()->where('test', 'like', 'phase-%')->count(), 'All of them or none.');
        $this->record($job, 'phase-balance', $values, $takes)->assertSessionHasNoErrors();
        self::assertSame(3, $job->readings()->where('test', 'like', 'phase-%')->count());
        $suspects = $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'];
        self::assertStringContainsString('motor', $suspects[0]['remedy']);
        self::assertSame('2.4', $this->props("/planners/phase-balance?job=$job->id")['values']['ab']);
    }

    public function testAnAnswerIsKeptOnTheProofAndTheSheetOfTheFile(): void
    {
        $job = $this->jobOnBench($this->person());
        $values = ['amps' => '17', 'fuse' => '25', 'metres' => '2', 'wire' => '1.5', 'splice' => '1.5'];
        $keep = fn(string $id): TestResponse => $this->from('/')->post("/jobs/$job->id/plans/wire-and-splice", [
            'id' => $id,
            'values' => $values,
        ]);
        $id = $this->ulid();
        $keep($id)->assertSessionHasNoErrors();
        $keep($id)->assertSessionHasNoErrors();
        self::assertSame(1, $job->entries()->count(), 'Sent twice, kept once.');
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $plans = $this->props("/jobs/$job->id/proof")['plans'];
        self::assertSame('Wire, splice and fuse', $plans[0]['name']);
        self::assertStringContainsString('Refused: ', $plans[0]['said'][0]);
        $again = $this->props($plans[0]['href']);
        self::assertSame($values, array_intersect_key($again['values'], $values));
        self::assertNotNull($again['plan']);
        $used = $this->props('/planners')['used'];
        self::assertSame(['wire-and-splice'], array_keys($used), 'the list says what each was used for last');
        self::assertSame(
            [1, $plans[0]['href']],
            [$used['wire-and-splice']['jobs'], $used['wire-and-splice']['last']['href']],
        );
        self::assertStringEndsWith('Van 7', $used['wire-and-splice']['job']);
        self::assertSame($plans[0]['said'], app(JobSheet::class)->of($job->refresh(), true)['plans'][0]->said);
        self::assertContains('battery-drain', array_column($this->props("/jobs/$job->id/proof")['planners'], 'key'));
        $this->proveAndClose($job);
        $keep($this->ulid())->assertSessionHasErrors();
        $this->actingAs($this->person());
        $keep($this->ulid())->assertNotFound();
        self::assertSame([], $this->props('/planners')['used']);
    }

    public function testSeveralNumbersOfOneFieldSurviveBeingKept(): void
    {
        $job = $this->jobOnBench($this->person());
        $values = ['volts' => '13.2', 'amps' => '17', 'positions' => '4', 'survived' => ['1.4', '0', '0.5']];
        $this->from('/')
            ->post("/jobs/$job->id/plans/pack-rebuild", ['id' => $this->ulid(), 'values' => $values])
            ->assertSessionHasNoErrors();
        $kept = $this->props("/planners/pack-rebuild?job=$job->id")['kept'];
        self::assertSame(['1.4', '0', '0.5'], $this->props($kept[0]['href'])['values']['survived']);
    }
}
