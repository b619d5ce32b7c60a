<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Reading;
use Tests\TestCase;

/**
 * What a bench owes to the people at it: nothing is lost by a slip of the hand, nobody works past another.
 */
final class BenchMannersTest extends TestCase
{
    public function testAReadingIsTakenBackAtOnceAndStaysOnRecord(): void
    {
        $job = $this->jobOnBench($this->person());
        $id = $this->read($job->id, 'common-volts@3', '12.6');
        $before = $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'][0];
        self::assertSame('pack-plug', $before['remedy']);
        $this->post("/jobs/$job->id/readings/$id/undo")->assertRedirect("/jobs/$job->id/bench");
        $shown = $this->props("/jobs/$job->id/bench");
        self::assertTrue($shown['readings'][0]['struck']);
        self::assertSame('taken back at once', $shown['readings'][0]['struckBecause']);
        self::assertSame('pack', $shown['diagnosis']['suspects'][0]['remedy']);
        self::assertSame(1, Reading::query()->where('id', $id)->count());
    }

    public function testAStrikeIsTakenBackAndCanBeMadeAgain(): void
    {
        $job = $this->jobOnBench($this->person());
        $id = $this->read($job->id, 'common-volts@3', '12.6');
        $strike = fn(string $why) => $this->post("/jobs/$job->id/readings/$id/strike", ['reason' => $why]);
        $strike('wrong pin');
        self::assertSame('wrong pin', $this->props("/jobs/$job->id/bench")['readings'][0]['struckBecause']);
        $this->post("/jobs/$job->id/readings/$id/undo");
        self::assertFalse($this->props("/jobs/$job->id/bench")['readings'][0]['struck']);
        $strike('the lead was off');
        self::assertSame('the lead was off', $this->props("/jobs/$job->id/bench")['readings'][0]['struckBecause']);
    }

    public function testOnlyTheNewestOfOnesOwnIsTakenBack(): void
    {
        $own = $this->person();
        $job = $this->jobOnBench($own);
        $first = $this->read($job->id, 'common-volts@3', '0.02');
        $second = $this->read($job->id, 'motor-volts@4', '12.1');
        $this->post("/jobs/$job->id/readings/$first/undo")->assertSessionHas('notice');
        $this->actingAs($this->person('technician', $own->workshop));
        $this->post("/jobs/$job->id/readings/$second/undo")->assertSessionHas('notice');
        $readings = $this->props("/jobs/$job->id/bench")['readings'];
        self::assertSame([false, false], [$readings[0]['struck'], $readings[1]['struck']]);
        self::assertSame('Tess', $readings[0]['by']);
        $this->actingAs($this->person());
        $this->post("/jobs/$job->id/readings/$second/undo")->assertNotFound();
        $this->get("/jobs/$job->id/pulse")->assertNotFound();
    }

    public function testThePulseTellsThatSomebodyElseWasAtIt(): void
    {
        $job = $this->jobOnBench($this->person());
        $pulse = fn(): string => $this->get("/jobs/$job->id/pulse")
            ->assertOk()
            ->json('pulse');
        $seen = [$pulse()];
        self::assertSame($seen[0], $this->props("/jobs/$job->id/bench")['pulse']);
        $id = $this->read($job->id, 'common-volts@3', '0.02');
        $seen[] = $pulse();
        $this->post("/jobs/$job->id/readings/$id/strike", ['reason' => 'wrong pin']);
        $seen[] = $pulse();
        $this->post("/jobs/$job->id/readings/$id/undo");
        $seen[] = $pulse();
        $this->cannot($job->id, 'common-volts@3', 'access');
        $seen[] = $pulse();
        self::assertSame($seen[1], $seen[3], 'all is as it was');
        self::assertCount(4, array_unique($seen));
    }

    public function testWhatCannotBeDoneHereIsNotProposedUntilItCan(): void
    {
        $job = $this->jobOnBench($this->person());
        $next = $this->props("/jobs/$job->id/bench")['diagnosis']['next']['key'];
        $this->cannot($job->id, $next, 'access');
        $shown = $this->props("/jobs/$job->id/bench");
        self::assertNotSame($next, $shown['diagnosis']['next']['key']);
        self::assertNotContains($next, array_column($shown['diagnosis']['tests'], 'key'));
        self::assertSame([$next, 'access'], [$shown['cannot'][0]['test'], $shown['cannot'][0]['because']]);
        // It can still be looked at, and read by whoever gets at it after all.
        self::assertSame($next, $this->props("/jobs/$job->id/bench?test=$next")['diagnosis']['card']['key']);
        $this->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'removed',
            'data' => ['of' => $shown['cannot'][0]['id'], 'reason' => 'it can be done now'],
        ])->assertSessionHasNoErrors();
        $again = $this->props("/jobs/$job->id/bench");
        self::assertSame($next, $again['diagnosis']['next']['key']);
        self::assertSame([], $again['cannot']);
        $this->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'cannot',
            'data' => ['test' => $next, 'because' => 'no mood'],
        ])->assertSessionHasErrors('because');
    }

    public function testTwoAnswersThatDoNotAgreeAreSaid(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->read($job->id, 'battery-volts@4', '12.6');
        self::assertSame([], $this->disagreements($job->id));
        $this->read($job->id, 'battery-volts@4', '12.7');
        self::assertSame([], $this->disagreements($job->id), 'within what meters show');
        $this->read($job->id, 'battery-volts@4', '9.1');
        self::assertStringContainsString('12.6 V and 9.1 V do not agree', implode(' ', $this->disagreements($job->id)));
    }

    /** @return list<string> */
    private function disagreements(string $job): array
    {
        $traps = $this->props("/jobs/$job/bench")['diagnosis']['traps'];

        return array_values(
            array_column(array_filter($traps, static fn(array $one): bool => $one['trap'] === 'disagree'), 'sentence'),
        );
    }

    private function read(string $job, string $test, string $value): string
    {
        $id = strtolower($this->ulid());
        $this->post("/jobs/$job/readings", [
            'id' => $id,
            'test' => $test,
            'value' => $value,
        ])->assertSessionHasNoErrors();

        return $id;
    }

    private function cannot(string $job, string $test, string $because): void
    {
        $this->post("/jobs/$job/entries", [
            'id' => $this->ulid(),
            'kind' => 'cannot',
            'data' => ['test' => $test, 'because' => $because],
        ])->assertSessionHasNoErrors();
    }
}
