<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Work\JobOutcome;
use Sabre\VObject\Reader;
use Tests\TestCase;

/**
 * The other kinds of job, the ways in which a job ends, what is due, and the printed sheets.
 */
final class ClosingTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private function open(string $kind, array $with = [], ?string $expects = null): Job
    {
        $data = $this->newJob(['kind' => $kind] + $with, []);
        $this->post('/jobs', $data)
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/{$data['id']}/" . ($expects ?? 'circuit'));
        if ($expects === null) {
            $this->put("/jobs/{$data['id']}/circuit", ['values' => ['positions' => '4']])->assertSessionHasNoErrors();
        }

        return $this->jobOf($data);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function close(Job $job, string $outcome, array $with = []): \Illuminate\Testing\TestResponse
    {
        return $this->post("/jobs/$job->id/close", $with + ['id' => $this->ulid(), 'outcome' => $outcome]);
    }

    public function testALoosePartIsJudgedAloneAndGoesBackOnTheShelf(): void
    {
        $this->actingAs($this->person());
        $this->post('/jobs', $this->newJob(['kind' => 'loose-part'], []))->assertSessionHasErrors('part');
        $this->post('/jobs', $this->newJob(['kind' => 'loose-part', 'part' => 'wing'], []))->assertSessionHasErrors(
            'part',
        );
        $job = $this->open('loose-part', ['part' => 'motor']);
        self::assertSame(JobStage::Bench, $job->stage);
        $bench = $this->props("/jobs/$job->id/bench");
        foreach ($bench['diagnosis']['suspects'] as $suspect) {
            self::assertContains($suspect['remedy'], ['motor', 'none', 'something-else']);
        }
        $offered = [...array_column($bench['diagnosis']['tests'], 'key'), $bench['diagnosis']['next']['key']];
        self::assertContains('current@direct', $offered);
        self::assertSame(
            [],
            array_filter(
                $offered,
                static fn(string $key): bool => str_contains($key, '@4') && !str_starts_with($key, 'pack'),
            ),
        );
        $this->close($job, 'repaired')->assertSessionHasErrors('outcome');
        $this->close($job, 'not-repaired')->assertSessionHasErrors('reason');
        $this->close($job, 'proven-good', ['reason' => 'back on the shelf'])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::ProvenGood, $job->refresh()->outcome);
    }

    public function testAnAdjustmentSaysFromWhatToWhatAndIsUndoneOnADay(): void
    {
        $this->actingAs($this->person());
        $job = $this->open('adjustment');
        self::assertSame(JobStage::Proof, $job->stage);
        $this->close($job, 'adjusted')->assertSessionHasErrors('outcome');
        $this->post("/jobs/$job->id/proof", [
            'id' => $this->ulid(),
            'states' => self::ALL_RIGHT,
        ])->assertSessionHasNoErrors();
        $this->close($job, 'adjusted', ['reason' => 'no clamp'])->assertSessionHasErrors('outcome');
        $undo = now()->addDays(9)->toDateString();
        $this->from('/')
            ->post("/jobs/$job->id/entries", [
                'id' => $this->ulid(),
                'kind' => 'adjusted',
                'data' => ['what' => 'tap', 'before' => 'high', 'after' => 'low', 'undoOn' => $undo],
            ])
            ->assertSessionHasNoErrors();
        $this->close($job, 'adjusted', ['reason' => 'no clamp'])->assertSessionHasNoErrors();
        self::assertSame($undo, $job->refresh()->due_on?->toDateString());
    }

    public function testAFollowUpProvesOrGoesToTheBench(): void
    {
        $this->actingAs($this->person());
        $good = $this->open('follow-up', [], 'proof');
        $this->post("/jobs/$good->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        $this->close($good, 'proven-good', ['reason' => 'no clamp'])->assertSessionHasNoErrors();
        $bad = $this->open('follow-up', [], 'proof');
        $this->post("/jobs/$bad->id/proof", ['id' => $this->ulid(), 'states' => self::ONLY_HIGH])->assertRedirect(
            "/jobs/$bad->id/bench",
        );
        self::assertSame('pack', $this->props("/jobs/$bad->id/bench")['diagnosis']['suspects'][0]['remedy']);
        $this->post("/jobs/$bad->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']])->assertRedirect(
            "/jobs/$bad->id/proof",
        );
        $this->proveAndClose($bad);
    }

    public function testARemoteRequestEndsInAdvice(): void
    {
        $this->actingAs($this->person());
        $job = $this->open('remote');
        $this->get("/jobs/$job->id/proof")->assertOk();
        $this->close($job, 'advised')->assertSessionHasErrors('reason');
        $this->close($job, 'advised', ['reason' => 'the module with five pins'])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::Advised, $job->refresh()->outcome);
    }

    public function testAFaultThatIsGoneIsProvenGoodAndOneThatStaysSaysWhy(): void
    {
        $user = $this->person();
        $gone = $this->jobOnBench($user);
        $this->close($gone, 'proven-good', ['reason' => 'x'])->assertSessionHasErrors('outcome');
        $this->post("/jobs/$gone->id/to-proof")->assertRedirect("/jobs/$gone->id/proof");
        $this->proveAndClose($gone, self::ALL_RIGHT, ['outcome' => 'proven-good']);
        $stays = $this->jobOnBench($user);
        $this->close($stays, 'not-repaired')->assertSessionHasErrors('reason');
        $this->close($stays, 'not-repaired', ['reason' => 'too dear'])->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::NotRepaired, $stays->refresh()->outcome);
    }

    public function testWhatIsDueIsAPageAndACalendar(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $due = now()->addDays(5);
        $this->proveAndClose($job, self::ALL_RIGHT, ['outcome' => 'temporary', 'dueOn' => $due->toDateString()]);
        $loan = strtolower($this->ulid());
        $this->from('/due')
            ->post("/jobs/$job->id/entries", [
                'id' => $loan,
                'kind' => 'loan',
                'data' => [
                    'what' => 'Fan heater, small',
                    'to' => 'the school',
                    'dueOn' => now()->addDays(2)->toDateString(),
                ],
            ])
            ->assertSessionHasNoErrors();
        $props = $this->props('/due');
        self::assertSame([$job->id], array_column($props['jobs'], 'id'));
        self::assertSame(['Fan heater, small'], array_column($props['loans'], 'what'));
        $calendar = Reader::read(
            (string) $this->get('/due.ics')
                ->assertOk()
                ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
                ->getContent(),
        );
        self::assertSame([], $calendar->validate());
        $events = $calendar->select('VEVENT');
        self::assertCount(2, $events);
        self::assertSame($due->format('Ymd'), (string) reset($events)->DTSTART);
        $this->from('/due')
            ->post("/jobs/$job->id/entries", ['id' => $this->ulid(), 'kind' => 'returned', 'data' => ['of' => $loan]])
            ->assertSessionHasNoErrors();
        self::assertSame([], $this->props('/due')['loans']);
        $this->actingAs($this->person());
        self::assertSame([], $this->props('/due')['jobs']);
    }

    public function testTheSheetsSayWhatWasFoundAndDone(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-ohms', 'overRange' => true]);
        $this->from('/')->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'found',
            'data' => ['what' => 'Screw of the box', 'condition' => 'missing', 'count' => 1],
        ]);
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'partNumber' => 'TN-4410',
            'note' => 'Thermal fuse open.',
        ]);
        $this->proveAndClose($job, self::ALL_RIGHT, [
            'outcome' => 'temporary',
            'dueOn' => now()->addDays(5)->toDateString(),
        ]);
        $customer = $this->printed("/jobs/$job->id/sheet/customer.pdf");
        foreach (
            [
                'What we found and did',
                'Van 7',
                'Only the top speed blows',
                'Resistor pack: thermal fuse of the pack open',
                'TN-4410',
                'Thermal fuse open.',
                'Temporary: it runs for now',
                'Screw of the box: missing, 1',
                'each of them was right',
            ]
            as $said
        ) {
            self::assertStringContainsString($said, $customer);
        }
        self::assertStringNotContainsString('%', $customer, 'Odds are not for the customer.');
        self::assertStringContainsString('Not measured: ', $customer);
        self::assertStringNotContainsString('no clamp at hand', $customer, 'A note of the workshop.');
        $file = $this->printed("/jobs/$job->id/sheet/file.pdf");
        foreach (
            [
                'Job sheet for the file',
                'Ohms through the thermal fuse of the pack',
                'over range',
                'The odds then',
                '%',
                'Checks after the repair',
                'no clamp at hand',
                'page 1 of',
            ]
            as $said
        ) {
            self::assertStringContainsString($said, $file);
        }
        $this->get("/jobs/$job->id/sheet/other.pdf")->assertNotFound();
        $this->actingAs($this->person())
            ->get("/jobs/$job->id/sheet/file.pdf")
            ->assertNotFound();
    }

    /** The text of a PDF, as pdftotext reads it, on one line. */
    private function printed(string $path): string
    {
        $pdf = (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();
        $file = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
        unlink($file);

        return (string) preg_replace('/\s+/', ' ', $text);
    }
}
