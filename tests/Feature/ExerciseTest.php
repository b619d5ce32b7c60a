<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Exercise;
use App\Models\ExerciseAct;
use App\Models\Job;
use App\Models\User;
use Ispira\Core\Away\Desk;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Practice\HiddenMachine;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * Exercises over HTTP: what is hidden stays hidden, what is measured is what the leads would read, and what came of it.
 */
final class ExerciseTest extends TestCase
{
    private int $made = 0;

    private function exercise(User $user, string $family, string $rung = 'own-way'): Job
    {
        // Units are made of their ids: these are the same in every run.
        $id = sprintf('01jy%022d', ++$this->made);
        $this->actingAs($user)
            ->post('/practice', ['id' => $id, 'mapId' => $this->ulid(), 'family' => $family, 'rung' => $rung])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/$id/bench");

        return $this->jobOf(['id' => $id]);
    }

    /** @param array<string, mixed> $given */
    private function act(Job $job, string $kind, array $given = []): void
    {
        $this->post("/jobs/$job->id/practice-acts", ['id' => $this->ulid(), 'kind' => $kind] + $given)
            ->assertSessionHasNoErrors()
            ->assertRedirect();
    }

    /**
     * @param array<string, mixed> $given
     *
     * @return array<string, mixed> fields of what the unit showed
     */
    private function measured(Job $job, string $test, array $given = []): array
    {
        $this->act($job, 'measured', ['test' => $test] + $given);

        return $this->props("/jobs/$job->id/bench?test=$test")['practice']['answers'][$test] ?? [];
    }

    private function right(Job $job): string
    {
        $practice = $job->practice();
        self::assertNotNull($practice);

        return HiddenMachine::of($job->circuit(), $practice, $job->intermittent)?->right[0] ?? '';
    }

    #[TestWith(['stepped-blower'])]
    #[TestWith(['tapped-blower'])]
    #[TestWith(['air-door'])]
    public function testInOnesOwnWayNothingIsToldBeforeItIsNamed(string $family): void
    {
        $job = $this->exercise($this->person(), $family);
        $bench = $this->props("/jobs/$job->id/bench");
        self::assertSame([], $bench['diagnosis']['suspects']);
        self::assertNull($bench['diagnosis']['card']);
        self::assertNull($bench['diagnosis']['verdict']);
        self::assertSame('', $bench['practice']['hidden']);
        self::assertSame(
            [0.0],
            array_values(
                array_unique(array_map(floatval(...), array_column($bench['diagnosis']['tests'], 'information'))),
            ),
        );
        self::assertSame([], $bench['leadsOn']);
        foreach (['verdict', 'remedy', 'swap', 'proof', 'file', 'order'] as $page) {
            $this->get("/jobs/$job->id/$page")->assertRedirect("/jobs/$job->id/bench");
        }
        $this->get("/jobs/$job->id/score")->assertRedirect();
        // Nothing is answered before it is measured.
        $tests = array_values(
            array_filter(
                $job->circuit()->tests,
                static fn($one): bool => $one->offered && $one->possible && $one->probe->quantity->isNumber(),
            ),
        );
        $test = $tests[0];
        $page = $this->props("/jobs/$job->id/bench?test=$test->key");
        self::assertSame([], $page['practice']['answers']);
        self::assertSame([], $page['diagnosis']['card']['outcomes']);
        self::assertSame('', $page['diagnosis']['card']['why']);
        $isolated = $job->circuit()->setUps[$test->setUp]->isolated;
        $answer = $this->measured($job, $test->key, ['isolated' => $isolated, 'discharged' => true]);
        self::assertNotSame([], $answer);
        $this->post(
            "/jobs/$job->id/readings",
            ['id' => $this->ulid(), 'test' => $test->key] + $answer,
        )->assertSessionHasNoErrors();
        self::assertSame([], $this->props("/jobs/$job->id/bench?test=$test->key")['practice']['answers']);

        $this->act($job, 'named', ['remedy' => $this->right($job)]);
        $score = $this->props("/jobs/$job->id/score")['score'];
        self::assertTrue($score['right']);
        self::assertGreaterThan(0, $score['points']);
        self::assertCount(1, $score['steps']);
        self::assertNotSame('', $score['steps'][0]['told']);
        self::assertSame(
            ['You', 'Following every proposal', 'The best for this unit'],
            array_column($score['courses'], 'whose'),
        );
        self::assertSame(0, $score['unwritten']);
        self::assertNotNull($score['hidden']);
        // Now everything is open, and nothing more can be done in it.
        self::assertNotSame([], $this->props("/jobs/$job->id/bench")['diagnosis']['suspects']);
        $this->post("/jobs/$job->id/practice-acts", ['id' => $this->ulid(), 'kind' => 'hint'])->assertSessionHasErrors([
            'kind' => 'This exercise is over. Make another unit to go on.',
        ]);
    }

    public function testAWrongPinReadsWhatItWouldReadAndIsToldInTheEnd(): void
    {
        $job = $this->exercise($this->person(), 'stepped-blower');
        $words = $this->measured($job, 'motor-volts@4')['value'];
        $wrong = $this->measured($job, 'motor-volts@4', ['red' => 'battery', 'black' => '0'])['value'];
        $reversed = $this->measured($job, 'battery-volts@4', ['red' => '0', 'black' => 'battery'])['value'];
        self::assertGreaterThan(9.0, (float) $wrong, 'the battery, wherever the motor stands');
        self::assertNotSame($words, $wrong);
        self::assertLessThan(-9.0, (float) $reversed);
        $this->post("/jobs/$job->id/practice-acts", [
            'id' => $this->ulid(),
            'kind' => 'measured',
            'test' => 'motor-volts@4',
            'red' => 'the moon',
        ])->assertSessionHasErrors(['red' => 'Choose where the lead goes.']);
        self::assertSame('0.00', $this->measured($job, 'motor-volts@4', ['isolated' => true])['value']);
        $this->act($job, 'measured', ['test' => 'motor-volts@4', 'red' => 'battery', 'black' => '0']);
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'motor-volts@4', 'value' => $wrong]);
        $this->act($job, 'named', ['remedy' => $this->right($job)]);
        $score = $this->props("/jobs/$job->id/score")['score'];
        $slips = array_values(array_filter(array_column($score['steps'], 'slip')));
        self::assertContains('Red and black were the wrong way round.', $slips);
        self::assertMatchesRegularExpression('/The test asks for .*; the leads were at .*/', implode(' ', $slips));
        self::assertGreaterThan(0, $score['unwritten']);
        self::assertContains('leads', $score['weak']);
    }

    public function testWhatWouldHurtSomebodyStopsIt(): void
    {
        $user = $this->person();
        $cases = [
            ['tapped-blower', 'measured', ['test' => 'capacitor@off'], 'An ohmmeter was put on a circuit'],
            ['stepped-blower', 'shortcut', ['shortcut' => 'bridge'], 'A bridged fuse protects nothing'],
            ['ecm-blower', 'shortcut', ['shortcut' => 'spin'], 'Fingers were put to a fan'],
        ];
        foreach ($cases as [$family, $kind, $given, $reason]) {
            $job = $this->exercise($user, $family);
            if (isset($given['test'])) {
                foreach ($job->circuit()->tests as $test) {
                    if ($test->probe->quantity->value === 'capacitance') {
                        $given['test'] = $test->key;
                        break;
                    }
                }
            }
            $this->act($job, $kind, $given);
            $score = $this->props("/jobs/$job->id/score")['score'];
            self::assertStringContainsString($reason, (string) $score['danger']);
            self::assertSame([0, false, false], [$score['points'], $score['passed'], $score['right']]);
        }
        // Switched off and not let out is not enough where something is stored.
        $job = $this->exercise($user, 'tapped-blower');
        foreach ($job->circuit()->tests as $test) {
            if ($test->probe->quantity->value === 'capacitance') {
                $this->act($job, 'measured', ['test' => $test->key, 'isolated' => true, 'discharged' => false]);
                break;
            }
        }
        self::assertStringContainsString(
            'Discharge through a resistor',
            (string) $this->props("/jobs/$job->id/score")['score']['danger'],
        );
    }

    public function testWhatIsBelievedIsSetDownBeforeTheOddsAreShown(): void
    {
        $job = $this->exercise($this->person(), 'stepped-blower', 'guess');
        $bench = $this->props("/jobs/$job->id/bench");
        self::assertTrue($bench['practice']['exercise']['guessNow']);
        self::assertSame([], $bench['diagnosis']['suspects']);
        $this->post("/jobs/$job->id/practice-acts", [
            'id' => $this->ulid(),
            'kind' => 'guess',
            'shares' => ['moon' => 3],
        ])->assertSessionHasErrors('shares');
        $this->act($job, 'guess', ['shares' => ['motor' => 5, 'pack' => 15]]);
        $bench = $this->props("/jobs/$job->id/bench");
        self::assertSame(['motor' => 25, 'pack' => 75], $bench['practice']['exercise']['believed']);
        self::assertNotSame([], $bench['diagnosis']['suspects']);
        $card = $bench['diagnosis']['card']['key'];
        $this->post(
            "/jobs/$job->id/readings",
            ['id' => $this->ulid(), 'test' => $card] + $bench['practice']['answers'][$card],
        )->assertSessionHasNoErrors();
        self::assertTrue($this->props("/jobs/$job->id/bench")['practice']['exercise']['guessNow']);
        $this->act($job, 'guess', ['shares' => [$this->right($job) => 20]]);
        $this->act($job, 'named', ['remedy' => $this->right($job)]);
        $score = $this->props("/jobs/$job->id/score")['score'];
        self::assertStringContainsString('off by', (string) $score['believed']);
        self::assertStringContainsString('You gave what was hidden', (string) $score['steps'][0]['guess']);
    }

    public function testAnExaminationIsSetByALeadAndItsResultIsSeenFirstByWhoDidIt(): void
    {
        $lead = $this->person('lead');
        $trainee = $this->person('trainee', $lead->workshop);
        $this->actingAs($trainee)->get('/practice/teach')->assertForbidden();
        $set = strtolower($this->ulid());
        $asked = [
            'id' => $set,
            'title' => 'Before the season',
            'way' => 'examination',
            'units' => [['family' => 'wiper', 'kind' => 'single'], ['family' => 'flue-fan', 'kind' => 'none']],
        ];
        $this->actingAs($lead)
            ->post('/practice/teach', ['title' => ''] + $asked)
            ->assertSessionHasErrors('title');
        $this->post('/practice/teach', ['units' => []] + $asked)->assertSessionHasErrors('units');
        $this->post('/practice/teach', $asked)->assertSessionHasNoErrors();
        $this->post('/practice/teach', $asked)->assertSessionHasNoErrors();
        self::assertSame(1, $lead->workshop->exerciseSets()->count());

        $this->actingAs($trainee);
        $id = strtolower($this->ulid());
        $this->post('/practice', ['id' => $id, 'mapId' => $this->ulid(), 'set' => $set, 'unit' => 0])->assertRedirect(
            "/jobs/$id/bench",
        );
        // The same unit once more is the same exercise, and each person has the same machine.
        $this->post('/practice', [
            'id' => $this->ulid(),
            'mapId' => $this->ulid(),
            'set' => $set,
            'unit' => 0,
        ])->assertRedirect("/jobs/$id/bench");
        $job = $this->jobOf(['id' => $id]);
        $this->post("/jobs/$job->id/practice-acts", ['id' => $this->ulid(), 'kind' => 'hint'])->assertSessionHasErrors([
            'kind' => 'An examination has no hints.',
        ]);
        $this->actingAs($lead)
            ->post("/jobs/$job->id/practice-acts", ['id' => $this->ulid(), 'kind' => 'named', 'remedy' => 'none'])
            ->assertForbidden();
        $this->actingAs($trainee);
        $this->act($job, 'named', ['remedy' => $this->right($job)]);

        $teach = $this->actingAs($lead)->props('/practice/teach');
        self::assertSame([], $teach['results']);
        self::assertSame(1, $teach['unseen']);
        $this->props("/jobs/$job->id/score");
        self::assertNull(
            Exercise::query()->findOrFail($job->id)->seen_at,
            'a look of the lead is not that of the person',
        );
        $this->actingAs($trainee)->props("/jobs/$job->id/score");
        $result = $this->actingAs($lead)->props('/practice/teach')['results'][0];
        self::assertSame(
            [$trainee->name, 'Before the season', 'Examination'],
            [$result['who'], $result['set'], $result['way']],
        );
        $other = $this->exercise($lead, 'wiper');
        self::assertNotSame($other->practice_seed, $job->practice_seed);

        $this->actingAs($this->person('lead'))
            ->delete("/practice/teach/$set")
            ->assertNotFound();
        $this->actingAs($lead)
            ->delete("/practice/teach/$set")
            ->assertRedirect();
        self::assertNotNull(Exercise::query()->find($job->id), 'what was done of it stays');
    }

    public function testTakenAlongItGoesOnAndIsScoredOnTheDevice(): void
    {
        $job = $this->exercise($this->person(), 'wiper');
        $kept = (string) $this->get("/jobs/$job->id/along")->getContent();
        $desk = new Desk(FamilyRegistry::shipped(), new PlannerRegistry(), new MemoryStore());
        $test = 'motor-volts@low';
        $keys = array_keys($job->circuit()->tests);
        $test = in_array($test, $keys, true)
            ? $test
            : $this->props("/jobs/$job->id/bench")['diagnosis']['tests'][0]['key'];
        $isolated = $job->circuit()->setUps[$job->circuit()->tests[$test]->setUp]->isolated;
        $done = [
            [
                'key' => $this->ulid(),
                'act' => 'practice-acts',
                'at' => '2026-11-30T10:00:00+00:00',
                'given' => [
                    'id' => $this->ulid(),
                    'kind' => 'measured',
                    'test' => $test,
                    'isolated' => $isolated,
                ],
            ],
        ];
        $ask = static function (string $page) use ($desk, $kept, &$done): array {
            $asked = ['kept' => $kept, 'today' => '2026-11-30', 'done' => $done, 'page' => $page];

            return (array) json_decode((string) json_encode($desk->answer((string) json_encode($asked))), true);
        };
        $bench = $ask("bench?test=$test");
        self::assertSame([], $bench['props']['diagnosis']['suspects']);
        $answer = $bench['props']['practice']['answers'][$test];
        self::assertSame('bench', $ask('verdict')['page']);
        $done[] = [
            'key' => $this->ulid(),
            'act' => 'readings',
            'at' => '2026-11-30T10:01:00+00:00',
            'given' => ['id' => $this->ulid(), 'test' => $test] + $answer,
        ];
        $done[] = [
            'key' => $this->ulid(),
            'act' => 'practice-acts',
            'at' => '2026-11-30T10:02:00+00:00',
            'given' => [
                'id' => $this->ulid(),
                'kind' => 'named',
                'remedy' => $this->right($job),
            ],
        ];
        $away = $ask('score');
        self::assertSame('Score', $away['component']);
        // Sent later, it is the same result.
        foreach ($done as $one) {
            $this->post("/jobs/$job->id/$one[act]", $one['given'])->assertSessionHasNoErrors();
        }
        $here = $this->props("/jobs/$job->id/score");
        self::assertSame($here['score']['points'], $away['props']['score']['points']);
        self::assertSame($here['score']['steps'], $away['props']['score']['steps']);
    }

    public function testTheSameActTwiceIsOne(): void
    {
        $job = $this->exercise($this->person(), 'stepped-blower');
        $act = ['id' => $this->ulid(), 'kind' => 'hint'];
        $this->post("/jobs/$job->id/practice-acts", $act)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/practice-acts", $act)->assertSessionHasNoErrors();
        self::assertSame(1, ExerciseAct::query()->where('job_id', $job->id)->count());
        $exercise = $this->props("/jobs/$job->id/bench")['practice']['exercise'];
        self::assertSame([1, 6.0], [$exercise['hints'], (float) $exercise['minutes']]);
        self::assertNotNull($exercise['hint']);
        $real = $this->jobOnBench($this->person());
        $this->post("/jobs/$real->id/practice-acts", ['id' => $this->ulid(), 'kind' => 'hint'])->assertNotFound();
    }
}
