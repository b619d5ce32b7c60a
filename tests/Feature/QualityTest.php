<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Reading\Reading as CoreReading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Tests\Core\Quality\QualityCheckTest;
use Tests\TestCase;

/**
 * Doubts about readings, leads, and the units of a user.
 */
final class QualityTest extends TestCase
{
    public function testADoubtIsKeptWithTheReadingAndAnsweredOnce(): void
    {
        $job = $this->jobOnBench($this->person());
        $reading = $this->record($job, 'battery-volts@4', '1.26');
        self::assertSame(['decimal-place'], array_column($reading->doubts ?? [], 'rule'));
        self::assertSame(['decimal-place'], $reading->toCore()->doubts);
        $shown = $this->props("/jobs/$job->id/bench")['readings'][0];
        self::assertStringContainsString('12.6 V', $shown['doubts'][0]);
        $this->post("/jobs/$job->id/readings/$reading->id/keep")->assertRedirect("/jobs/$job->id/bench");
        $this->post("/jobs/$job->id/readings/$reading->id/keep")->assertRedirect("/jobs/$job->id/bench");
        self::assertTrue($this->props("/jobs/$job->id/bench")['readings'][0]['kept']);
        self::assertSame([], Reading::query()->findOrFail($reading->sequence)->toCore()->doubts);
    }

    /** @param list<CoreReading> $before */
    #[DataProviderExternal(QualityCheckTest::class, 'cases')]
    public function testEveryRuleIsShownOnTheBench(string $rule, array $before, CoreReading $doubted): void
    {
        $job = $this->jobOnBench($this->person());
        $send = function (CoreReading $reading) use ($job): Reading {
            if ($reading->leadOhms > 0.0) {
                $this->post('/leads', ['ohms' => (string) $reading->leadOhms]);
            }
            $value = $reading->value === null ? '' : (string) ((float) $reading->value + $reading->leadOhms);

            return $this->record($job, $reading->test, $value, [
                'overRange' => $reading->value === null,
                'steady' => $reading->steady,
                'supplyVolts' => $reading->supplyVolts,
            ]);
        };
        foreach ($before as $reading) {
            $send($reading);
        }
        $stored = $send($doubted);
        $doubts = array_column($stored->doubts ?? [], 'sentence', 'rule');
        self::assertArrayHasKey($rule, $doubts);
        self::assertContains($doubts[$rule], $this->props("/jobs/$job->id/bench")['readings'][0]['doubts']);
    }

    public function testTakingItAgainStrikesItOutAndOpensTheSameTest(): void
    {
        $job = $this->jobOnBench($this->person());
        $reading = $this->record($job, 'battery-volts@4', '1.26');
        $this->post("/jobs/$job->id/readings/$reading->id/strike", [
            'reason' => 'taken again',
            'again' => true,
        ])->assertRedirect("/jobs/$job->id/bench?test=battery-volts@4");
        self::assertSame('taken again', Reading::query()->findOrFail($reading->sequence)->strike?->reason);
    }

    public function testAGoodReadingIsNotDoubted(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertNull($this->record($job, 'battery-volts@4', '12.6')->doubts);
    }

    public function testTheNotedSupplyIsLookedAt(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertSame(
            ['rail-outside'],
            array_column($this->record($job, 'motor-volts@4', '9.6', ['supplyVolts' => '10,1'])->doubts ?? [], 'rule'),
        );
    }

    public function testAnotherWorkshopsReadingCannotBeKept(): void
    {
        $theirs = $this->jobOnBench($this->person());
        $reading = $this->record($theirs, 'battery-volts@4', '1.26');
        $mine = $this->jobOnBench($this->person());
        $this->post("/jobs/$mine->id/readings/$reading->id/keep")->assertNotFound();
        $this->post("/jobs/$theirs->id/readings/$reading->id/keep")->assertNotFound();
    }

    public function testLeadsAreTakenOffOfTypedResistances(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post('/leads', ['ohms' => '5'])->assertSessionHasErrors('ohms');
        $this->post('/leads', ['ohms' => 'two'])->assertSessionHasErrors('ohms');
        $this->post('/leads', ['ohms' => '0.3'])->assertSessionHasNoErrors();
        $reading = $this->record($job, 'pack-ohms-1', '0.7');
        self::assertEqualsWithDelta(0.4, $reading->number, 1e-12);
        self::assertSame(
            ['weak-low-ohms'],
            array_values(array_intersect(array_column($reading->doubts ?? [], 'rule'), ['weak-low-ohms'])),
        );
        self::assertSame('0.30 Ω', $this->props("/jobs/$job->id/bench")['readings'][0]['leads']);
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'pack-ohms-2',
            'value' => '0.1',
        ])->assertSessionHasErrors([
            'value' => 'That is less than the leads alone: measure the leads again, or take their value off the list.',
        ]);
        $this->post('/leads', ['ohms' => '']);
        self::assertEqualsWithDelta(0.8, $this->record($job, 'pack-ohms-2', '0.8')->number, 1e-12);
    }

    public function testOverRangeCanBeTyped(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertTrue($this->record($job, 'common-ohms', 'OL')->over_range);
    }

    public function testABareNumberIsInTheUsersUnit(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user, 'flue-fan', [], ['full' => 'slow', 'off' => 'right']);
        $test = collect($job->circuit()->tests)->first(
            static fn($one): bool => $one->probe->quantity->value === 'pressure',
        );
        self::assertNotNull($test);
        self::assertSame('Pa', $this->props("/jobs/$job->id/bench?test=$test->key")['diagnosis']['card']['unit']);
        $this->post('/units', ['system' => 'us'])->assertSessionHasNoErrors();
        $card = $this->props("/jobs/$job->id/bench?test=$test->key")['diagnosis']['card'];
        self::assertSame('in w.c.', $card['unit']);
        self::assertLessThan(5.0, $card['marks'][0]['to']);
        self::assertEqualsWithDelta(0.5 * 249.089, $this->record($job, $test->key, '0.5')->number, 1e-9);
        self::assertStringContainsString('in w.c.', $this->props("/jobs/$job->id/bench")['readings'][0]['value']);
        $this->post('/units', ['base' => 'Pa', 'unit' => 'mbar'])->assertSessionHasNoErrors();
        self::assertSame('mbar', $this->props("/jobs/$job->id/bench?test=$test->key")['diagnosis']['card']['unit']);
        $this->post('/units', ['base' => 'Pa', 'unit' => 'torr'])->assertSessionHasErrors('unit');
        $this->post('/units', ['base' => 'V', 'unit' => 'mV'])->assertSessionHasErrors('base');
        $this->post('/units', ['system' => 'imperial'])->assertSessionHasErrors('system');
    }

    public function testDoubtsAndInstrumentsSurviveTheJobFile(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post('/leads', ['ohms' => '0.2']);
        $odd = $this->record($job, 'battery-volts@4', '1.26');
        $this->record($job, 'pack-ohms-1', '0.9');
        $this->post("/jobs/$job->id/readings/$odd->id/keep");
        $file = (string) $this->get("/jobs/$job->id/file")->getContent();
        $format = new JobFileFormat(app(FamilyRegistry::class));
        $read = $format->read($file);
        self::assertEquals(
            json_decode($file, true)['readings'],
            json_decode((string) json_encode($format->toArray($read)), true)['readings'],
        );
        $kept = array_values(array_filter($read->readings, static fn($filed): bool => $filed->keptAt !== null));
        self::assertCount(1, $kept);
        self::assertSame([], $kept[0]->reading->doubts);
        self::assertSame('decimal-place', $kept[0]->doubts[0]->rule);
    }

    /** @param array<string, mixed> $with */
    private function record(Job $job, string $test, string $value, array $with = []): Reading
    {
        $id = $this->ulid();
        $this->post(
            "/jobs/$job->id/readings",
            ['id' => $id, 'test' => $test, 'value' => $value] + $with,
        )->assertSessionHasNoErrors();

        return Reading::query()->where('id', $id)->firstOrFail();
    }
}
