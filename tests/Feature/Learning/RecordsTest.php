<?php

declare(strict_types=1);

namespace Tests\Feature\Learning;

use App\Models\AuditEntry;
use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class RecordsTest extends TestCase
{
    public function testAVerdictThatDidNotHoldIsGoneThroughAndKeptAsALesson(): void
    {
        $user = $this->person();
        $job = $this->closed($user, 'pack');
        $this->get("/jobs/$job->id/replay")->assertRedirect("/jobs/$job->id/proof");
        $this->post("/jobs/$job->id/reopen", ['id' => $this->ulid(), 'cameBack' => true, 'reason' => 'Back.']);
        $page = $this->props("/jobs/$job->id/replay");
        self::assertSame('Resistor pack', $page['replays'][0]['chosen']);
        self::assertTrue($page['replays'][0]['supposed']);
        self::assertCount(1, $page['replays'][0]['steps']);
        $vain = $this->props('/lessons')['vain'];
        self::assertSame([$job->id, null], [$vain[0]['listed']['job']['id'], $vain[0]['lesson']]);

        $lesson = [
            'id' => $this->ulid(),
            'replacement' => $page['replays'][0]['replacement'],
            'lesson' => 'Measure the pack before it is bought.',
        ];
        $this->post("/jobs/$job->id/lesson", ['lesson' => ''] + $lesson)->assertSessionHasErrors('lesson');
        $this->post("/jobs/$job->id/lesson", ['replacement' => $this->ulid()] + $lesson)->assertSessionHasErrors(
            'lesson',
        );
        $this->post("/jobs/$job->id/lesson", $lesson)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/lesson", $lesson)->assertSessionHasNoErrors();
        self::assertSame($lesson['lesson'], $this->props('/lessons')['vain'][0]['lesson']);
        self::assertSame($lesson['lesson'], $this->props('/models?name=Ovel')['lessons'][0]['lesson']);
        self::assertSame([$lesson['lesson']], $this->props("/jobs/$job->id/verdict")['lessons']);
        self::assertStringContainsString($lesson['lesson'], (string) $this->get("/jobs/$job->id/file")->getContent());
        // On another workshop's verdicts it does not stand.
        $other = $this->jobOnBench($this->person());
        $other->unit->update(['model' => 'Ovel']);
        self::assertSame([], $this->props("/jobs/$other->id/verdict")['lessons']);
        $this->get("/jobs/$job->id/replay")->assertNotFound();
    }

    public function testResultsAreCountedWithTheJobsBehindEveryNumber(): void
    {
        $lead = $this->person('lead');
        $this->closed($lead, 'pack');
        $this->closed($lead, 'motor');
        $back = $this->closed($lead, 'fuse');
        $this->post("/jobs/$back->id/reopen", ['id' => $this->ulid(), 'cameBack' => true, 'reason' => 'Back.']);
        $this->post("/jobs/$back->id/replacements", ['id' => $this->ulid(), 'parts' => ['feed-wire']]);
        $this->proveAndClose($back->refresh());
        foreach (['month', 'family', 'model', 'person'] as $by) {
            $page = $this->props("/results?by=$by");
            self::assertCount(1, $page['rows'], $by);
            $row = $page['rows'][0];
            self::assertSame([3, 3, 2, 1], [$row['jobs'], $row['right']['all'], $row['right']['of'], $row['cameBack']]);
            $behind = '/results/jobs?' . http_build_query(['by' => $by, 'of' => $row['of'], 'which' => 'came-back']);
            $jobs = $this->props($behind);
            self::assertSame([$back->id], array_column(array_column($jobs['jobs'], 'job'), 'id'), $by);
            self::assertCount(2, $this->props(str_replace('came-back', 'right', $behind))['jobs']);
        }
        $csv = $this->get('/results.csv?by=model')->assertOk()->streamedContent();
        self::assertStringContainsString('Ovel,3,3,2,1', $csv);
        self::assertSame(0, $this->props('/results?from=2001-01&until=2001-03')['all']['jobs']);
        $this->get('/results?by=moon&from=yesterday&until[]=x')->assertOk();
        $this->actingAs($this->person('technician', $lead->workshop))->get('/results')->assertForbidden();
    }

    public function testATermIsPinnedAndReleasedByALead(): void
    {
        $lead = $this->person('lead');
        $job = $this->jobOnBench($lead);
        $pin = ['family' => 'stepped-blower', 'kind' => 'price', 'key' => 'pack', 'value' => '1234,50'];
        $price = fn(): float => (float) array_column(
            $this->props("/jobs/$job->id/remedy")['outlook']['options'],
            'price',
            'key',
        )['pack'];
        $shipped = $price();
        $this->put('/terms', ['value' => 'much'] + $pin)->assertSessionHasErrors('value');
        $this->put('/terms', ['value' => '-1'] + $pin)->assertSessionHasErrors('value');
        $this->put('/terms', ['key' => 'sail'] + $pin)->assertSessionHasErrors('value');
        $this->put('/terms', ['family' => 'lift'] + $pin)->assertSessionHasErrors('family');
        $this->put('/terms', $pin)->assertRedirect('/terms?family=stepped-blower');
        self::assertEqualsWithDelta(1234.5, $price(), 1e-6);
        $page = $this->props('/terms?family=stepped-blower');
        $own = array_values(
            array_filter(
                $page['terms'],
                static fn(array $one): bool => [$one['kind'], $one['key']] === ['price', 'pack'],
            ),
        )[0];
        self::assertSame(1234.5, $own['pinned']);
        $this->put('/terms', ['value' => ''] + $pin)->assertSessionHasNoErrors();
        self::assertEqualsWithDelta($shipped, $price(), 1e-6);
        self::assertSame(
            ['term-pinned', 'term-released'],
            AuditEntry::query()
                ->where('workshop_id', $lead->workshop_id)
                ->orderBy('sequence')
                ->pluck('act')
                ->map(static fn($act) => $act->value)
                ->all(),
        );
        $this->actingAs($this->person('technician', $lead->workshop))->put('/terms', $pin)->assertForbidden();
    }

    public function testWhatWasReplacedNotLongAgoIsSaidAtIntakeAndRaisesWhatLiesUpstream(): void
    {
        $user = $this->person();
        $first = $this->closed($user, 'pack', 'Van 7');
        $page = $this->props('/jobs/new?unit=Van+7');
        self::assertSame(
            ['Resistor pack', true, 1],
            [
                $page['unit']['again'][0]['part'],
                $page['unit']['again'][0]['ofUnit'],
                $page['unit']['again'][0]['times'],
            ],
        );
        $again = $this->jobOnBench($user);
        self::assertSame($first->unit_id, $again->unit_id);
        self::assertCount(1, $this->props("/jobs/$again->id/complaint")['job']['again']);
        $fresh = $this->jobOnBench($this->person());
        $upstream = function (Job $job): float {
            $suspects = $this->actingAs($job->workshop->users()->firstOrFail())->props("/jobs/$job->id/bench");

            return (float) (array_column($suspects['diagnosis']['suspects'], 'probability', 'remedy')['wheel'] ?? 0.0);
        };
        self::assertSame([], $fresh->again());
        self::assertGreaterThan($upstream($fresh), $upstream($again) + 1e-12);
        self::assertStringContainsString('Resistor pack', (string) $this->get("/jobs/$again->id/file")->getContent());
        $user->workshop->update(['again_months' => 0]);
        $this->actingAs($user);
        self::assertSame([], $this->props('/jobs/new?unit=Van+7')['unit']['again']);
    }

    public function testALeadDeletesAJobAndTheBooksKeepWhatTheyNeed(): void
    {
        $lead = $this->person('lead');
        $job = $this->closed($lead, 'pack', 'Customer Smith, van');
        $unit = $job->unit_id;
        $asked = ['number' => 'J-0099', 'reason' => 'Asked for by the customer.'];
        $this->delete("/jobs/$job->id", $asked)->assertSessionHasErrors('number');
        $this->delete("/jobs/$job->id", ['number' => 'j-0001', 'reason' => ''])->assertSessionHasErrors('reason');
        $this->actingAs($this->person('technician', $lead->workshop))
            ->delete("/jobs/$job->id", ['number' => 'J-0001'] + $asked)
            ->assertForbidden();
        $this->actingAs($this->person('lead'))
            ->delete("/jobs/$job->id", ['number' => 'J-0001'] + $asked)
            ->assertNotFound();
        $this->actingAs($lead)
            ->delete("/jobs/$job->id", ['number' => 'J-0001'] + $asked)
            ->assertRedirect('/');
        foreach (
            ['jobs' => 'id', 'readings' => 'job_id', 'job_results' => 'job_id', 'proven_faults' => 'job_id']
            as $table => $key
        ) {
            self::assertSame(0, DB::table($table)->where($key, $job->id)->count(), $table);
        }
        self::assertFalse($lead->workshop->units()->whereKey($unit)->exists());
        $said = (string) $lead->workshop->audit()->latest('sequence')->firstOrFail()->detail;
        self::assertStringContainsString('replaced Resistor pack', $said);
        self::assertStringNotContainsString('Smith', $said);
        $next = $this->jobOnBench($lead);
        self::assertSame(2, $next->number, 'its number stays taken');
    }

    public function testTheNameOfSomebodyWhoLeftIsErasedEverywhere(): void
    {
        $lead = $this->person('lead');
        $lead->update(['name' => 'Lea']);
        $gone = $this->person('technician', $lead->workshop);
        $gone->update(['name' => 'Björn "B." Strand']);
        $job = $this->jobOnBench($gone);
        $this->post("/jobs/$job->id/handover", [
            'id' => $this->ulid(),
            'to' => (string) $lead->id,
            'note' => 'Nothing measured yet.',
        ])->assertSessionHasNoErrors();
        $this->actingAs($lead)
            ->post("/people/$gone->id/erase")
            ->assertSessionHasErrors('person');
        $this->post("/people/$gone->id/disable");
        $this->post("/people/$gone->id/erase")->assertSessionHasNoErrors();
        $this->post("/people/$gone->id/erase")->assertSessionHasNoErrors();
        $new = "Former person $gone->id";
        self::assertSame($new, $gone->refresh()->name);
        foreach (
            ["/jobs/$job->id/complaint", "/jobs/$job->id/log", '/people', '/audit', "/jobs/$job->id/file"]
            as $page
        ) {
            $shown = (string) $this->get($page)->assertOk()->getContent();
            self::assertStringNotContainsString('Strand', $shown, $page);
        }
        self::assertSame($new, $this->props("/jobs/$job->id/complaint")['handedOver'][0]['from']);
        self::assertSame([], $this->props('/?q=strand')['groups']);
        $this->actingAs($this->person('lead'))
            ->post("/people/$gone->id/erase")
            ->assertNotFound();
    }

    private function closed(User $user, string $part, string $unit = 'Van of one'): Job
    {
        $job = $this->jobOnBench($user);
        $job->unit->update(['name' => $unit, 'model' => 'Ovel']);
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => [$part],
        ])->assertSessionHasNoErrors();
        $this->proveAndClose($job);

        return $job;
    }
}
