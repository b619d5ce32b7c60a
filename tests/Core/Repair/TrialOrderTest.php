<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Repair\Remedy\Attempt;
use Ispira\Core\Repair\Remedy\RemedyOption;
use Ispira\Core\Repair\Remedy\TrialOrder;
use PHPUnit\Framework\TestCase;

final class TrialOrderTest extends TestCase
{
    public function testAnExampleByHand(): void
    {
        // Module 60 % at 240, motor 40 % at 500, 80 for each come-back.
        $order = TrialOrder::best(
            [new RemedyOption('motor', 500.0, ['motor']), new RemedyOption('module', 240.0, ['module'])],
            ['module' => 0.6, 'motor' => 0.4],
            80.0,
        );
        self::assertSame(
            ['module', 'motor'],
            array_map(static fn(Attempt $a): string => $a->option->key, $order->attempts),
        );
        // 240, and in 40 % a come-back of 80 and the motor for 500.
        self::assertEqualsWithDelta(240.0 + 0.4 * 80.0 + 0.4 * 500.0, $order->money, 1e-9);
        self::assertEqualsWithDelta(0.4, $order->attempts[1]->reached, 1e-12);
    }

    public function testAnAssemblyThatHoldsItsModuleMayGoFirst(): void
    {
        $options = [
            new RemedyOption('module', 200.0, ['module']),
            new RemedyOption('motor', 200.0, ['motor']),
            new RemedyOption('assembly', 260.0, ['module', 'motor']),
        ];
        $order = TrialOrder::best($options, ['module' => 0.5, 'motor' => 0.5], 100.0);
        self::assertSame(['assembly'], array_map(static fn(Attempt $a): string => $a->option->key, $order->attempts));
        self::assertEqualsWithDelta(260.0, $order->money, 1e-9);
    }

    /** The order found equals the best of all orders, one by one. */
    public function testItIsTheBestOfAllOrders(): void
    {
        mt_srand(11);
        for ($case = 0; $case < 120; ++$case) {
            $suspects = \array_slice(['a', 'b', 'c', 'd', 'e'], 0, mt_rand(2, 5));
            $weights = array_map(static fn(): float => mt_rand(1, 100), $suspects);
            $chances = array_combine(
                $suspects,
                array_map(static fn(float $w): float => $w / array_sum($weights), $weights),
            );
            $options = array_map(
                static fn(string $one): RemedyOption => new RemedyOption(
                    $one,
                    mt_rand(10, 600),
                    [$one],
                    mt_rand(0, 80),
                ),
                $suspects,
            );
            for ($more = mt_rand(0, 2); $more > 0; --$more) {
                $cures = array_values(array_filter($suspects, static fn(): bool => mt_rand(0, 1) === 1));
                if ($cures !== []) {
                    $options[] = new RemedyOption("assembly$more", mt_rand(10, 900), $cures, mt_rand(0, 80));
                }
            }
            $comeBack = (float) mt_rand(0, 200);
            $best = \INF;
            foreach (self::orders($options) as $order) {
                $best = min($best, self::cost($order, $chances, $comeBack));
            }
            $found = TrialOrder::best($options, $chances, $comeBack);
            self::assertEqualsWithDelta($best, $found->money, 1e-6, "case $case");
            self::assertEqualsWithDelta(
                $found->money,
                self::cost(
                    array_map(static fn(Attempt $a): RemedyOption => $a->option, $found->attempts),
                    $chances,
                    $comeBack,
                ),
                1e-6,
            );
            self::assertEqualsWithDelta(
                1.0,
                array_sum(array_map(static fn(Attempt $a): float => $a->fixes, $found->attempts)),
                1e-5,
            );
        }
    }

    public function testWhatNothingCuresEndsTheOrder(): void
    {
        $order = TrialOrder::best([new RemedyOption('pack', 100.0, ['pack'])], ['pack' => 0.9, 'none' => 0.1], 50.0);
        self::assertCount(1, $order->attempts);
        self::assertEqualsWithDelta(100.0 + 0.1 * 50.0, $order->money, 1e-9);
        self::assertSame([], TrialOrder::best([], ['none' => 1.0], 50.0)->attempts);
    }

    /**
     * Every order in which some of the options are tried.
     *
     * @param list<RemedyOption> $options
     *
     * @return \Generator<int, list<RemedyOption>>
     */
    private static function orders(array $options): \Generator
    {
        if ($options === []) {
            yield [];

            return;
        }
        foreach ($options as $number => $first) {
            $rest = $options;
            unset($rest[$number]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }

    /**
     * @param list<RemedyOption>   $order
     * @param array<string, float> $chances
     */
    private static function cost(array $order, array $chances, float $comeBack): float
    {
        $money = 0.0;
        foreach ($order as $option) {
            $left = array_sum($chances);
            if ($left < 1e-9) {
                break;
            }
            $money += $left * $option->money;
            $chances = array_diff_key($chances, array_flip($option->cures));
            $money += array_sum($chances) * ($comeBack + $option->lost);
        }

        return $money;
    }
}
