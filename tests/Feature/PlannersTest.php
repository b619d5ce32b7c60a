<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\BenchRun;
use Inertia\Testing\AssertableInertia as Page;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Planners and bench runs over HTTP.
 */
final class PlannersTest extends TestCase
{
    /** @return iterable<string, array{0: string}> */
    public static function planners(): iterable
    {
        foreach (array_keys((new PlannerRegistry())->all()) as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('planners')]
    public function testAPlannerStandsOnItsOwnWithItsCautionsAndItsPicture(string $key): void
    {
        $this->get("/planners/$key")->assertRedirect('/sign-in');
        $this->actingAs($this->person())
            ->get('/planners')
            ->assertInertia(static fn(Page $page) => $page->component('Planners')->has('planners', 13));
        $props = $this->props("/planners/$key");
        self::assertNotSame([], $props['plan']['cautions']);
        if (!$props['planner']['measures']) {
            self::assertNotSame([], $props['plan']['charts']);
        }
        self::assertSame([], $props['problems']);
        foreach ($props['fields'] as $field) {
            self::assertNotSame('', $field['label']);
            self::assertTrue(
                $field['default'] !== null || $field['key'] === 'case' || $field['kind'] === 'numbers',
                'every field stands at something until somebody knows better',
            );
        }
    }

    public function testABadValueIsToldAtItsFieldAndTheOthersStay(): void
    {
        $this->actingAs($this->person());
        $props = $this->props(
            '/planners/airflow?' . http_build_query(['values' => ['altitude-metric' => 'high', 'efficiency' => '85']]),
        );
        self::assertStringContainsString('not a value in m', $props['problems']['altitude-metric']);
        self::assertSame('85', $props['values']['efficiency']);
        self::assertNull($props['plan']);
        self::assertArrayHasKey(
            'measuredOn',
            $this->props('/planners/airflow?' . http_build_query(['values' => ['measuredOn' => 'turbo']]))['problems'],
        );
        self::assertArrayHasKey(
            'nonsense',
            $this->props('/planners/airflow?' . http_build_query(['values' => ['nonsense' => '1']]))['problems'],
        );
        $this->get('/planners/airflow?values=1')->assertOk();
        $this->get('/planners/no-such')->assertNotFound();
    }

    public function testAFieldThatWasEmptiedIsEmpty(): void
    {
        $this->actingAs($this->person());
        $props = $this->props(
            '/planners/airflow?' . http_build_query(['values' => ['coolNow' => '', 'cooling-metric' => '0']]),
        );
        self::assertSame([], $props['problems']);
        self::assertStringNotContainsString('cool', $props['plan']['findings'][0]);
    }

    public function testAPlannerOpenedFromAJobLeadsBackButNotIntoAnothersJob(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertSame($job->id, $this->props("/planners/airflow?job=$job->id")['job']['id']);
        $this->actingAs($this->person());
        self::assertNull($this->props("/planners/airflow?job=$job->id")['job']);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private function benchRun(array $with = []): array
    {
        return $with + [
            'id' => $this->ulid(),
            'model' => 'SD-F8',
            'pulses' => '8',
            'turned' => '1',
            'startsAt' => '2,1',
            'steady' => '1',
            'smooth' => '1',
            'loaded' => '0',
            'amps' => '0.06',
            'note' => '',
            'points' => [
                ['volts' => '5', 'hertz' => '112'],
                ['volts' => '3', 'hertz' => '45.3'],
                ['volts' => '4', 'hertz' => '80'],
                ['volts' => '', 'hertz' => ''],
            ],
        ];
    }

    public function testTheFirstGoodRunBecomesTheReferenceAndTheNextIsComparedWithIt(): void
    {
        $this->actingAs($this->person());
        $this->post('/bench-runs', $first = $this->benchRun())
            ->assertRedirect('/bench-runs')
            ->assertSessionHasNoErrors();
        $this->post('/bench-runs', $first)->assertRedirect('/bench-runs');
        self::assertSame(1, BenchRun::query()->where('id', $first['id'])->count(), 'sent twice, kept once');
        $this->post(
            '/bench-runs',
            $this->benchRun([
                'points' => [
                    ['volts' => '3', 'hertz' => '35'],
                    ['volts' => '4', 'hertz' => '70'],
                    ['volts' => '5', 'hertz' => '100'],
                ],
            ]),
        );
        $runs = $this->props('/bench-runs')['runs'];
        self::assertCount(2, $runs);
        self::assertFalse($runs[0]['good']);
        self::assertTrue($runs[0]['compared']);
        self::assertStringContainsString('slower', $runs[0]['against'][0]);
        self::assertTrue($runs[1]['good']);
        self::assertSame(
            [3, 4, 5],
            array_map(static fn(array $point): int => (int) $point[0], $runs[1]['points']),
            'by rising command',
        );
        self::assertEqualsWithDelta(840.0, $runs[1]['points'][2][1], 1e-6);
        $this->actingAs($this->person());
        self::assertSame([], $this->props('/bench-runs')['runs'], 'not another workshop\'s');
    }

    public function testWhatIsMissingInARunIsToldAtItsField(): void
    {
        $this->actingAs($this->person());
        $this->post('/bench-runs', $this->benchRun(['model' => '']))->assertSessionHasErrors('model');
        $this->post('/bench-runs', $this->benchRun(['startsAt' => '']))->assertSessionHasErrors('startsAt');
        $this->post('/bench-runs', $this->benchRun(['pulses' => 'many']))->assertSessionHasErrors('pulses');
        $this->post(
            '/bench-runs',
            $this->benchRun(['points' => [['volts' => '3', 'hertz' => 'fast']]]),
        )->assertSessionHasErrors('points.0');
        $this->post('/bench-runs', $this->benchRun(['turned' => '0', 'startsAt' => '']))->assertSessionHasNoErrors();
        self::assertSame('stands', BenchRun::query()->latest('ran_at')->first()?->against[0]);
    }
}
