<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Diagnosis\DecisionSettings;
use Ispira\Core\Repair\Outlook;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

final class OutlookTest extends TestCase
{
    private const ONLY_HIGH = ['key-off' => 'right', 'off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right'];

    public function testWhatBuyingOnTheMapWouldTake(): void
    {
        $bench = new Bench();
        $diagnosis = $bench->diagnose(Bench::case(self::ONLY_HIGH));
        $shown = (new Outlook($bench->circuit, new DecisionSettings()))->shown($diagnosis);
        // A cheap part beside it may go along, where both are suspected.
        self::assertContains($diagnosis->suspects[0]->remedy, (new Outlook($bench->circuit, new DecisionSettings()))->order($diagnosis)->attempts[0]->option->cures);
        self::assertEqualsWithDelta(1.0, $shown['attempts'][0]['reached'], 1e-5);
        self::assertGreaterThan($shown['attempts'][0]['money'], $shown['money']);
        foreach (\array_slice($shown['attempts'], 1) as $n => $attempt) {
            self::assertLessThan($shown['attempts'][$n]['reached'], $attempt['reached'], 'Each is reached less often than the one before.');
        }
        self::assertNotNull($shown['test']);
        // What is wasted is what is expected beyond the right repair alone: never more than all of it.
        self::assertLessThan($shown['money'], $diagnosis->guessing);
    }

    public function testARemedyOfTwoPartsCuresWhatEachOfThemWould(): void
    {
        $bench = new Bench();
        $diagnosis = $bench->diagnose(Bench::case(self::ONLY_HIGH));
        $order = (new Outlook($bench->circuit, new DecisionSettings()))->order($diagnosis);
        foreach ($order->attempts as $attempt) {
            foreach ($attempt->option->cures as $cured) {
                self::assertSame([], array_diff(explode('+', $cured), explode('+', $attempt->option->key)));
            }
        }
    }
}
