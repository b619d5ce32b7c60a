<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;
use Tests\TestCase;

final class JobCareTest extends TestCase
{
    public function testAJobIsHandedOverWithASentence(): void
    {
        $iska = $this->person();
        $dav = $this->person('trainee', $iska->workshop);
        $dav->update(['name' => 'Dav']);
        $job = $this->jobOnBench($iska);
        self::assertSame($iska->id, $job->owner_id);
        $hand = ['id' => $this->ulid(), 'to' => (string) $dav->id, 'note' => 'Pack measured, motor not yet.'];
        $this->post("/jobs/$job->id/handover", ['note' => ''] + $hand)->assertSessionHasErrors('note');
        $this->post("/jobs/$job->id/handover", ['to' => (string) $this->person()->id] + $hand)->assertSessionHasErrors(
            'to',
        );
        $this->post("/jobs/$job->id/handover", $hand)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/handover", $hand)->assertSessionHasNoErrors();
        self::assertSame($dav->id, $job->refresh()->owner_id);
        $page = $this->props("/jobs/$job->id/complaint");
        self::assertSame('Dav', $page['job']['owner']);
        self::assertCount(1, $page['handedOver']);
        self::assertSame(
            ['Tess', 'Dav', 'Pack measured, motor not yet.', 'Tess'],
            array_map(static fn(string $key) => $page['handedOver'][0][$key], ['from', 'to', 'note', 'by']),
        );
        $this->post("/jobs/$job->id/handover", ['id' => $this->ulid()] + $hand)->assertSessionHasErrors('to');
    }

    public function testTheIntakeIsCorrectedAndTheOldIsKept(): void
    {
        $job = $this->jobOnBench($this->person());
        $unit = $job->unit_id;
        $right = [
            'id' => $this->ulid(),
            'unit' => 'Van 7',
            'place' => '',
            'model' => '',
            'complaint' => 'Only the top speed blows, since it rained',
            'since' => 'last week',
            'intermittent' => true,
            'replacedBefore' => '',
        ];
        $this->post("/jobs/$job->id/correct", ['complaint' => ''] + $right)->assertSessionHasErrors('complaint');
        $this->post("/jobs/$job->id/correct", $right)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/correct", $right)->assertSessionHasNoErrors();
        $job->refresh();
        self::assertSame([$unit, 'last week', true], [$job->unit_id, $job->since, $job->intermittent]);
        $kept = $this->props("/jobs/$job->id/complaint")['corrected'];
        self::assertCount(1, $kept);
        self::assertSame(
            [
                'complaint' => 'Only the top speed blows',
                'since' => 'not said',
                'intermittent' => 'always',
            ],
            $kept[0]['old'],
        );
        $this->post("/jobs/$job->id/correct", ['id' => $this->ulid(), 'unit' => 'Van 8', 'place' => 'Quay'] + $right);
        self::assertSame(['Van 8', 'Quay'], [$job->refresh()->unit->name, $job->unit->place]);
        self::assertNotSame($unit, $job->unit_id);
        $this->post("/jobs/$job->id/correct", ['id' => $this->ulid(), 'unit' => 'Van 8', 'place' => 'Quay'] + $right);
        self::assertCount(2, $job->ledger()->all(EntryKind::Corrected));
    }

    public function testAJobIsCancelledOnlyWhileTheMachineIsUntouched(): void
    {
        $data = $this->newJob();
        $this->actingAs($this->person())->post('/jobs', $data);
        $job = $this->jobOf($data);
        $cancel = ['id' => $this->ulid(), 'outcome' => 'cancelled', 'reason' => ''];
        $this->post("/jobs/$job->id/close", $cancel)->assertSessionHasErrors('reason');
        $this->post("/jobs/$job->id/close", ['reason' => 'The van was sold.'] + $cancel)->assertSessionHasNoErrors();
        self::assertSame([JobStage::Closed, JobOutcome::Cancelled], [$job->refresh()->stage, $job->outcome]);

        $other = $this->jobOnBench($this->person());
        $this->post("/jobs/$other->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->post("/jobs/$other->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'cancelled',
            'reason' => 'no time',
        ])->assertSessionHasErrors('outcome');
    }

    public function testAClosedJobIsChangedOnlyByOpeningItAgain(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->proveAndClose($job);
        $this->post("/jobs/$job->id/handover", [
            'id' => $this->ulid(),
            'to' => (string) $this->person('lead', $user->workshop)->id,
            'note' => 'take it',
        ])->assertSessionHasErrors('stage');
        $open = ['id' => $this->ulid(), 'cameBack' => true, 'reason' => 'It blows only on 4 again.'];
        $this->actingAs($this->person('trainee', $user->workshop))
            ->post("/jobs/$job->id/reopen", $open)
            ->assertForbidden();
        $this->actingAs($user)
            ->post("/jobs/$job->id/reopen", $open)
            ->assertRedirect("/jobs/$job->id/bench");
        $this->post("/jobs/$job->id/reopen", $open)->assertSessionHasNoErrors();
        $job->refresh();
        self::assertSame([JobStage::Bench, null, null], [$job->stage, $job->outcome, $job->closed_at]);
        $held = $job->ledger()->all(EntryKind::Held);
        self::assertFalse($held[count($held) - 1]->flag('held'));
        self::assertSame(0, $job->still_open);
        $this->post("/jobs/$job->id/reopen", ['id' => $this->ulid()] + $open)->assertSessionHasErrors('stage');
    }

    public function testWhatATraineeClosesIsCountersigned(): void
    {
        $dav = $this->person('trainee');
        $job = $this->jobOnBench($dav);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->proveAndClose($job);
        self::assertTrue($job->refresh()->countersign_due);
        $item = array_values(
            array_filter(
                $this->props('/due')['open'][0]['items'],
                static fn(array $one): bool => $one['aspect'] === 'countersign',
            ),
        )[0];
        $sign = [
            'id' => $this->ulid(),
            'kind' => 'settled',
            'data' => ['of' => $item['of'], 'aspect' => 'countersign', 'who' => 'me', 'how' => 'looked at it'],
        ];
        $this->post("/jobs/$job->id/entries", $sign)->assertSessionHasErrors('who');
        $iska = $this->person('technician', $dav->workshop);
        $iska->update(['name' => 'Iska']);
        $this->actingAs($iska)
            ->post("/jobs/$job->id/entries", $sign)
            ->assertSessionHasNoErrors();
        self::assertFalse($job->refresh()->countersign_due);
        self::assertSame('Iska', $job->ledger()->latest(EntryKind::Settled)?->text('who'));
    }

    public function testATechniciansOwnClosingNeedsNoSignature(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->proveAndClose($job);
        self::assertFalse($job->refresh()->countersign_due);
    }

    public function testAPartIsOrderedExpectedAndArrives(): void
    {
        $job = $this->jobOnBench($this->person());
        $id = strtolower($this->ulid());
        $order = static fn(array $with): array => [
            'id' => $id,
            'kind' => 'ordered',
            'data' => $with + ['what' => 'Resistor pack', 'expectedOn' => now()->addDays(2)->toDateString()],
        ];
        $this->post("/jobs/$job->id/entries", $order(['expectedOn' => 'soon']))->assertSessionHasErrors('expectedOn');
        $this->post("/jobs/$job->id/entries", $order([]))->assertSessionHasNoErrors();
        $page = $this->props("/jobs/$job->id/order");
        self::assertSame('Resistor pack', $page['onOrder'][0]['what']);
        self::assertSame(now()->addDays(2)->toDateString(), $page['job']['partExpectedOn']);
        self::assertSame('Resistor pack', $this->props('/due')['parts'][0]['what']);
        self::assertStringContainsString('Expected: Resistor pack', (string) $this->get('/due.ics')->getContent());
        $this->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'arrived',
            'data' => ['of' => $id],
        ])->assertSessionHasNoErrors();
        self::assertNull($job->refresh()->part_expected_on);
        self::assertSame([], $this->props('/due')['parts']);
        $this->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'arrived',
            'data' => ['of' => $this->ulid()],
        ])->assertSessionHasErrors('of');
    }

    public function testATraineeStrikesOnlyTheOwnReading(): void
    {
        $iska = $this->person();
        $job = $this->jobOnBench($iska);
        $read = fn(): array => ['id' => strtolower($this->ulid()), 'test' => 'motor-volts@4', 'value' => '12.1'];
        $theirs = $read();
        $this->post("/jobs/$job->id/readings", $theirs)->assertSessionHasNoErrors();
        $dav = $this->person('trainee', $iska->workshop);
        $this->actingAs($dav)->post("/jobs/$job->id/readings/{$theirs['id']}/strike");
        self::assertNull($job->refresh()->readings->firstWhere('id', $theirs['id'])?->strike);
        $own = $read();
        $this->post("/jobs/$job->id/readings", $own);
        $this->post("/jobs/$job->id/readings/{$own['id']}/strike");
        self::assertNotNull($job->refresh()->readings->firstWhere('id', $own['id'])?->strike);
    }

    public function testWhoDidWhatGoesWithTheJobFileAndComesBack(): void
    {
        $user = $this->person();
        $user->update(['name' => 'Iska Rodvar']);
        $job = $this->jobOnBench($user->refresh());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'motor-volts@4', 'value' => '12.1']);
        $this->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'found',
            'data' => ['what' => 'clip', 'condition' => 'missing'],
        ]);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $file = (string) $this->get("/jobs/$job->id/file")->getContent();
        self::assertStringContainsString(
            'Iska Rodvar',
            (string) $this->get("/jobs/$job->id/log.csv")->streamedContent(),
        );
        $elsewhere = $this->person();
        $this->actingAs($elsewhere)
            ->post('/jobs/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertSessionHasNoErrors();
        $there = $elsewhere->workshop->jobs()->firstOrFail();
        $back = json_decode((string) $this->get("/jobs/$there->id/file")->getContent(), true);
        foreach (['readings', 'repair', 'replacements'] as $kind) {
            self::assertSame(['Iska Rodvar'], array_values(array_unique(array_column($back[$kind], 'by'))), $kind);
        }
    }
}
