<?php

declare(strict_types=1);

namespace Tests\Core\Away;

use Ispira\Core\Away\Desk;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\TestCase;

final class DeskTest extends TestCase
{
    private Desk $desk;

    /** @var list<array{key: string, act: string, given: array<string, mixed>, at: string}> */
    private array $done = [];

    private int $acts = 0;

    protected function setUp(): void
    {
        $this->desk = KeptJobs::desk();
    }

    public function testReadingsAreTakenDoubtedStruckOutAndTakenBack(): void
    {
        $after = $this->act('readings', ['id' => KeptJobs::id(1), 'test' => 'battery-volts@4', 'value' => '1.26']);
        self::assertSame('Bench', $after['component']);
        [$reading] = $after['props']['readings'];
        self::assertSame('1.3 V', $reading['value']);
        self::assertSame('Iska Moren', $reading['by']);
        self::assertStringContainsString('12.6 V would', $reading['doubts'][0]);

        $after = $this->act('readings/' . KeptJobs::id(1) . '/strike', ['reason' => 'taken again', 'again' => true]);
        self::assertSame('bench?test=battery-volts@4', $after['page']);
        self::assertSame('battery-volts@4', $after['props']['chosen']);
        self::assertTrue($after['props']['readings'][0]['struck']);

        $this->act('readings', ['id' => KeptJobs::id(2), 'test' => 'battery-volts@4', 'value' => '12,6 V']);
        $after = $this->act('readings/' . KeptJobs::id(2) . '/undo', []);
        self::assertTrue($after['props']['readings'][0]['struck']);
        $after = $this->act('readings/' . KeptJobs::id(2) . '/undo', []);
        self::assertStringContainsString('cannot be taken back', (string) $after['notice']);
    }

    public function testADoubtedReadingIsKeptByAWord(): void
    {
        $this->act('readings', ['id' => KeptJobs::id(1), 'test' => 'battery-volts@4', 'value' => '1.26']);
        $after = $this->act('readings/' . KeptJobs::id(1) . '/keep', []);
        self::assertTrue($after['props']['readings'][0]['kept']);
    }

    public function testWhatTheRulesRefuseIsSaidAtItsFieldWhereThePersonIs(): void
    {
        $page = 'bench?test=battery-volts@4';
        $refused = $this->act(
            'readings',
            ['id' => KeptJobs::id(1), 'test' => 'battery-volts@4', 'value' => 'twelve'],
            $page,
        );
        self::assertStringContainsString('is not a value in V', $refused['errors']['value']);
        self::assertSame($page, $refused['page']);
        self::assertCount(6, $refused['props']['readings'], 'nothing was taken');
        $meter = ['id' => KeptJobs::id(2), 'test' => 'battery-volts@4', 'value' => '12', 'meter' => '7'];
        self::assertStringContainsString('type what it shows', $this->act('readings', $meter)['errors']['value']);
        $early = ['id' => KeptJobs::id(3), 'test' => 'battery-volts@4', 'value' => '12', 'seenOn' => '2026-11-29'];
        self::assertStringContainsString('before today', $this->act('readings', $early)['errors']['seenOn']);
    }

    public function testAJobGoesFromTheBenchToItsEnd(): void
    {
        $this->act('readings', ['id' => KeptJobs::id(1), 'test' => 'motor-volts@1', 'value' => '0.02']);
        $this->act('readings', ['id' => KeptJobs::id(2), 'test' => 'battery-volts@4', 'value' => '12.6']);
        $remedy = $this->ask('remedy');
        $option = $remedy['props']['outlook']['options'][0]['key'];
        $way = ['id' => KeptJobs::id(3), 'option' => $option];
        self::assertArrayHasKey('reason', $this->act('remedy', $way)['errors']);
        array_pop($this->done);
        $after = $this->act('remedy', $way + ['reason' => 'it is in the van']);
        self::assertSame([], $after['errors']);
        self::assertSame('Fit', $after['component']);
        $swap = $this->ask('swap');
        self::assertSame($option, $swap['props']['choice']['option']);
        self::assertArrayHasKey(
            'parts',
            $this->act('replacements', ['id' => KeptJobs::id(4), 'parts' => []])['errors'],
        );
        array_pop($this->done);

        $after = $this->act('replacements', ['id' => KeptJobs::id(4), 'parts' => ['pack'], 'partNumber' => 'TN-4410']);
        self::assertSame(['Proof', 'proof'], [$after['component'], $after['page']]);
        self::assertSame('TN-4410', $after['props']['replacements'][0]['partNumber']);
        self::assertNotNull($after['props']['replacements'][0]['verdict'], 'with the odds under which it was replaced');

        $half = ['id' => KeptJobs::id(5), 'states' => ['1' => 'right']];
        self::assertArrayHasKey('states', $this->act('proof', $half)['errors']);
        array_pop($this->done);
        $right = array_fill_keys(['key-off', 'off', '1', '2', '3', '4'], 'right');
        $wrong = ['2' => 'dead'] + $right;
        $after = $this->act('proof', ['id' => KeptJobs::id(6), 'states' => $wrong]);
        self::assertSame('Bench', $after['component']);
        self::assertStringContainsString('not having held', (string) $after['notice']);
        self::assertFalse($this->ask('verdict')['props']['held'][0]['held']);

        $this->act('to-proof', []);
        $after = $this->act('proof', ['id' => KeptJobs::id(7), 'states' => $right]);
        self::assertTrue($after['props']['proved']);
        $close = ['id' => KeptJobs::id(8), 'outcome' => 'repaired', 'reason' => '', 'dueOn' => null, 'who' => null];
        self::assertNotSame([], $this->act('close', $close)['errors']);
        array_pop($this->done);
        foreach ($after['props']['checks'] as $number => $check) {
            if ($check['always']) {
                $value = $check['choices'][0]['value'] ?? '13.0';
                $this->act('checks', ['id' => KeptJobs::id(20 + $number), 'test' => $check['test'], 'value' => $value]);
            }
        }
        $watched = ['outcome' => 'watched', 'reason' => 'the rest was out of reach', 'dueOn' => '2026-12-24'] + $close;
        $after = $this->act('close', $watched);
        self::assertSame([], $after['errors']);
        self::assertSame('closed', $after['props']['job']['stage']);
        self::assertSame('2026-12-24', $after['props']['job']['dueOn']);
        $late = $this->act('readings', ['id' => KeptJobs::id(9), 'test' => 'battery-volts@4', 'value' => '12.6']);
        self::assertStringContainsString('no longer on the bench', (string) $late['notice']);
    }

    public function testNotesToolsAndWhatOnlyTheServerDoes(): void
    {
        $note = [
            'id' => KeptJobs::id(1),
            'kind' => 'cannot',
            'data' => ['test' => 'motor-volts@1', 'because' => 'access'],
        ];
        $after = $this->act('entries', $note, 'bench');
        self::assertSame('motor-volts@1', $after['props']['cannot'][0]['test']);
        $tool = $after['props']['tools'][0]['key'];
        $after = $this->act('tools', ['tool' => $tool, 'atHand' => false]);
        self::assertFalse(array_column($after['props']['tools'], 'atHand', 'key')[$tool]);
        $after = $this->act('photos', [], 'verdict');
        self::assertSame(['Verdict', 'verdict'], [$after['component'], $after['page']]);
        self::assertStringContainsString('Kept on this device', (string) $after['notice']);
        self::assertSame('Away', $this->ask('log')['component']);
        self::assertSame('Planner', $this->ask('planners/wire-and-splice')['component']);
    }

    public function testPlannersAnswerAndAreKept(): void
    {
        $values = (new PlannerRegistry())->find('wire-and-splice')?->parameters()->defaults() ?? [];
        $plan = ['id' => KeptJobs::id(1), 'values' => $values];
        $page = 'planners/wire-and-splice?' . http_build_query(['job' => KeptJobs::ID, 'values' => $values]);
        $after = $this->act('plans/wire-and-splice', $plan, $page);
        self::assertSame('Planner', $after['component']);
        self::assertCount(1, $after['props']['kept']);
        $left = $this->act('plans/wire-and-splice', ['id' => KeptJobs::id(2), 'values' => []], $page);
        self::assertNotSame([], $left['errors'], 'an example never stands in for what was not told');

        $matrix = ['known' => 'yes', 'order' => '1 2', 'pairs' => '1 2 2.9', 'leads' => '0'];
        $take = ['id' => KeptJobs::id(3), 'number' => 0, 'test' => 'pack-ohms-1'];
        $after = $this->act('worked/pin-matrix', ['values' => $matrix, 'takes' => [$take]]);
        self::assertSame('Resistors from pin to pin', $after['props']['readings'][0]['instrument']);
        $wrong = ['test' => 'battery-volts@4'] + $take;
        $after = $this->act('worked/pin-matrix', ['values' => $matrix, 'takes' => [$wrong]]);
        self::assertStringContainsString('does not belong', $after['errors']['test']);
    }

    public function testWhatWasDoneIsNotDoneAgainAndIsTheSameFromTheStart(): void
    {
        $this->act('readings', ['id' => KeptJobs::id(1), 'test' => 'motor-volts@1', 'value' => '0.02']);
        $this->act('readings', ['id' => KeptJobs::id(2), 'test' => 'battery-volts@4', 'value' => '12.6']);
        $standing = $this->ask('bench');
        $this->desk = KeptJobs::desk();
        self::assertSame($standing, $this->ask('bench'));
    }

    public function testACopyOfAnotherVersionIsRefused(): void
    {
        $this->expectException(FileError::class);
        $this->desk->answer(
            (string) json_encode(['kept' => KeptJobs::json(['version' => 99]), 'today' => '2026-11-29']),
        );
    }

    public function testAProcedureIsBegunWaitedForAndBrokenOff(): void
    {
        $list = $this->ask('procedures');
        self::assertContains('pack-swap', array_column($list['props']['procedures'], 'key'));
        self::assertNotContains('wiper-park', array_column($list['props']['procedures'], 'key'));
        self::assertSame('Procedure', $this->ask('procedures/wheel-and-motor')['component']);

        $id = KeptJobs::id(1);
        $run = $this->act('procedures/wheel-and-motor/runs', ['id' => $id]);
        self::assertSame(['Run', "runs/$id"], [$run['component'], $run['page']]);
        $steps = \count($run['props']['run']['procedure']['steps']);
        $done = fn(int $step, float $waited): array => $this->act(
            "runs/$id/done",
            [
                'id' => KeptJobs::id(10 + $this->acts),
                'step' => $step,
                'seen' => true,
                'confirmed' => true,
                'waited' => $waited,
            ],
            "runs/$id",
        );
        for ($step = 0; $step < $steps - 1; ++$step) {
            self::assertSame([], $done($step, 0.0)['errors']);
        }
        // The last one waits a minute, whatever the time of day of the device says.
        $refused = $done($steps - 1, 40.0);
        self::assertStringContainsString('Not yet: 0:20 to go', $refused['errors']['step']);
        self::assertEquals(60.0, $refused['props']['run']['remaining']);
        self::assertTrue($done($steps - 1, 61.0)['props']['run']['finished']);
        self::assertSame('done', $this->ask('swap')['props']['runs'][0]['state']);

        $other = KeptJobs::id(2);
        $this->act('procedures/pack-swap/runs', ['id' => $other]);
        self::assertSame(
            'Say why it is broken off.',
            $this->act("runs/$other/marks", ['kind' => 'aborted', 'note' => ' '], "runs/$other")['errors']['note'],
        );
        $broken = $this->act("runs/$other/marks", ['kind' => 'aborted', 'note' => 'rain']);
        self::assertSame('rain', $broken['props']['run']['aborted']);
        self::assertSame('Away', $this->ask('runs/' . KeptJobs::id(3))['component'], 'one that was not taken along');
    }

    /**
     * @param array<string, mixed> $given
     *
     * @return array<string, mixed>
     */
    private function act(string $act, array $given, string $from = ''): array
    {
        $this->done[] = [
            'key' => $act . ++$this->acts,
            'act' => $act,
            'given' => $given,
            'at' => '2026-11-29T09:00:00+00:00',
        ];

        return $this->ask(null, $from);
    }

    /** @return array<string, mixed> */
    private function ask(?string $page, string $from = ''): array
    {
        $answer = $this->desk->answer(
            (string) json_encode([
                'kept' => KeptJobs::json(),
                'today' => '2026-11-29',
                'done' => $this->done,
                'page' => $page,
                'from' => $from,
            ]),
        );

        return (array) json_decode((string) json_encode($answer), true);
    }
}
