<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Away\Desk;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Practice\Rung;
use Tests\TestCase;

/**
 * A job on a make-believe unit, from the button that makes it to the proof.
 */
final class PracticeTest extends TestCase
{
    /** Hides a coil of the pack. */
    private const ID = '01jy0000000000000000000007';

    private function practise(User $user, string $family, string $rung = 'map', string $id = self::ID): Job
    {
        $this->actingAs($user)
            ->post('/practice', [
                'id' => $id,
                'mapId' => $this->ulid(),
                'family' => $family,
                'rung' => $rung,
            ])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/$id/bench");

        return $this->jobOf(['id' => $id]);
    }

    public function testAWholeJobIsAnsweredByTheUnitAndProved(): void
    {
        $user = $this->person();
        $job = $this->practise($user, 'stepped-blower');
        self::assertNotSame('', $job->complaint);
        for ($n = 0; $n < 12; ++$n) {
            $bench = $this->props("/jobs/$job->id/bench");
            if ($bench['diagnosis']['verdict'] !== null) {
                break;
            }
            $card = $bench['diagnosis']['card'];
            $answer = $bench['practice']['answers'][$card['key']];
            $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => $card['key']] + $answer)
                ->assertSessionHasNoErrors()
                ->assertRedirect();
        }
        self::assertNotNull($bench['diagnosis']['verdict'], 'twelve tests were not enough');
        $remedy = $bench['diagnosis']['suspects'][0]['remedy'];
        self::assertStringContainsString(
            $bench['practice']['hidden'],
            json_encode($bench['diagnosis']['suspects'][0], \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR),
        );
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => explode('+', $remedy),
        ])->assertSessionHasNoErrors();
        $proof = $this->props("/jobs/$job->id/proof")['practice'];
        self::assertSame(['right'], array_values(array_unique($proof['states'])));
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => $proof['states']]);
        $page = $this->props("/jobs/$job->id/proof");
        foreach ($page['checks'] as $check) {
            $answer = $page['practice']['answers'][$check['test']];
            $this->post("/jobs/$job->id/checks", [
                'id' => $this->ulid(),
                'test' => $check['test'],
                'value' => $answer['choice'] . $answer['value'],
            ])->assertSessionHasNoErrors();
        }
        self::assertSame(JobStage::Proof, $job->refresh()->stage, 'no check of a cured unit sends it back');
        $this->post("/jobs/$job->id/close", ['id' => $this->ulid(), 'outcome' => 'repaired', 'reason' => 'practice']);
        self::assertSame(JobStage::Closed, $job->refresh()->stage);
        self::assertSame($proof['hidden'], $this->props("/jobs/$job->id/proof")['practice']['hidden']);
        // Closed, it is an exercise that is over: what was replaced is what was named.
        $score = $this->props("/jobs/$job->id/score")['score'];
        self::assertTrue($score['right']);
        self::assertNotSame([], $score['steps']);
        self::assertNull($score['steps'][0]['betterTest'], 'every proposal was followed');
        self::assertSame([$score['points']], array_column($this->props('/practice')['over'], 'points'));
    }

    public function testItCountsInNoListOfRealWork(): void
    {
        $user = $this->person();
        $job = $this->practise($user, 'flue-fan');
        $job->update(['still_open' => 2, 'due_on' => '2026-01-01']);
        self::assertSame(
            ['jobs' => [], 'open' => []],
            array_intersect_key($this->props('/due'), ['jobs' => 1, 'open' => 1]),
        );
        $new = $this->props('/jobs/new');
        self::assertSame([], $new['units']);
        self::assertNotSame('flue-fan', $new['start']['family']);
        self::assertSame([], $this->props('/?view=all')['groups'][0]['jobs'] ?? []);
        self::assertSame('P-0001', $this->props("/jobs/$job->id/bench")['job']['number']);
        // A real job beside it knows nothing of practice, and takes the first number.
        $real = $this->jobOnBench($user);
        self::assertSame(1, $real->refresh()->number);
        self::assertNull($this->props("/jobs/$real->id/bench")['practice']);
        self::assertFalse($this->props("/jobs/$real->id/bench")['job']['practice']);
    }

    public function testTakenAlongItAnswersTheSameOnTheDevice(): void
    {
        $job = $this->practise($this->person(), 'air-door');
        $kept = (string) $this->get("/jobs/$job->id/along")->getContent();
        self::assertSame(
            ['fault' => $job->practice_fault, 'seed' => $job->practice_seed, 'wide' => true],
            array_slice(json_decode($kept, true, 64, \JSON_THROW_ON_ERROR)['practice'], 0, 3),
        );
        $desk = new Desk(FamilyRegistry::shipped(), new PlannerRegistry(), new MemoryStore());
        foreach (['bench', 'proof'] as $page) {
            $answer = $desk->answer(
                json_encode(['kept' => $kept, 'today' => '2026-11-29', 'page' => $page], \JSON_THROW_ON_ERROR),
            );
            $here = $this->props("/jobs/$job->id/bench")['practice'];
            if ($page === 'bench') {
                self::assertSame(
                    $here,
                    json_decode((string) json_encode($answer['props']['practice']), true, 64, \JSON_THROW_ON_ERROR),
                );
            } else {
                self::assertSame($here['hidden'], $answer['props']['practice']->hidden);
            }
        }
    }

    public function testANewcomerIsOfferedFourMinutesAndTheUnitIsAlwaysTheSame(): void
    {
        $user = $this->person();
        $this->actingAs($user);
        self::assertTrue($this->props('/')['newcomer']);
        $id = strtolower($this->ulid());
        $this->post('/practice', ['id' => $id, 'mapId' => $this->ulid(), 'rung' => 'first'])->assertRedirect();
        $job = $this->jobOf(['id' => $id]);
        self::assertSame(['stepped-blower', 'plug-pack-open#0'], [$job->family, $job->practice_fault]);
        self::assertTrue($this->props("/jobs/$id/bench")['job']['tour']);
        self::assertFalse($this->props('/')['newcomer']);
    }

    public function testAProvenJobOfTheWorkshopIsReplayedWithoutANameOfIt(): void
    {
        $user = $this->person();
        $real = $this->jobOnBench($user);
        DB::table('proven_faults')->insert([
            'job_id' => $real->id,
            'workshop_id' => $user->workshop_id,
            'family' => 'stepped-blower',
            'remedy' => 'pack',
            'fault' => 'resistor-1-open',
            'share' => 1.0,
        ]);
        self::assertSame(['stepped-blower'], $this->props('/practice')['replayed']);
        $id = strtolower($this->ulid());
        $this->post('/practice', [
            'id' => $id,
            'mapId' => $this->ulid(),
            'family' => 'stepped-blower',
            'real' => true,
        ])->assertSessionHasNoErrors();
        $job = $this->jobOf(['id' => $id]);
        self::assertSame($real->parameters, $job->parameters);
        self::assertStringStartsWith('resistor-1-open#', (string) $job->practice_fault);
        self::assertStringNotContainsString($real->unit->name, (string) $this->get("/jobs/$id/bench")->getContent());
    }

    public function testTheSameSubmitMakesOneUnitAndAnotherWorkshopNeverSeesIt(): void
    {
        $user = $this->person();
        $once = $this->practise($user, 'wiper');
        $twice = $this->practise($user, 'wiper');
        self::assertSame($once->practice_fault, $twice->practice_fault);
        self::assertSame(1, $user->workshop->jobs()->count());
        $again = $this->practise($user, 'wiper', id: strtolower($this->ulid()));
        self::assertSame($once->unit_id, $again->unit_id, 'one name in the list of units');
        $this->actingAs($this->person())
            ->get("/jobs/$once->id/bench")
            ->assertNotFound();
    }

    public function testWhatCannotBeMadeIsRefusedInWords(): void
    {
        $this->actingAs($this->person());
        $ask = ['id' => $this->ulid(), 'mapId' => $this->ulid()];
        $this->post('/practice', $ask + ['family' => 'gremlins'])->assertSessionHasErrors([
            'family' => 'Choose the kind of circuit.',
        ]);
        foreach ($this->props('/practice')['ladders'] as $ladder) {
            $rungs = array_column($ladder['rungs'], 'key');
            foreach (Rung::cases() as $rung) {
                if ($rung !== Rung::First && !in_array($rung->value, $rungs, true)) {
                    $this->post(
                        '/practice',
                        $ask + ['family' => $ladder['family'], 'rung' => $rung->value],
                    )->assertSessionHasErrors(['rung' => 'This circuit has no fault of that kind.']);
                }
            }
        }
        $this->post('/practice', $ask + ['family' => 'wiper', 'real' => true])->assertSessionHasErrors('family');
        self::assertSame(0, Job::query()->whereNotNull('practice_fault')->count());
    }
}
