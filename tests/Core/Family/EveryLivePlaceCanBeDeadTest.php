<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

/**
 * Wherever volts are asked for and expected, some single fault leaves none: else whoever reads 0 V there is told that
 * no such machine exists.
 */
final class EveryLivePlaceCanBeDeadTest extends TestCase
{
    /** V from which a place counts as live, and share of what is right there under which it is dead. */
    private const LIVE_FROM = 4.0;
    private const DEAD_UNDER = 0.1;

    /** A source itself, straight at its terminals or through a lead of the bench, and pulses that a hand makes. */
    private const SOURCES = '/^(battery-volts|bench-(feed-)?volts|fg-hand)/';

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(EveryPathCanBreakTest::class, 'machines')]
    public function testSomeFaultLeavesNoVoltsThere(string $family, array $parameters): void
    {
        $bench = new Bench($parameters, false, $family);
        $faults = array_filter($bench->hypotheses, self::isOneFault(...));
        $live = 0;
        foreach ($bench->circuit->tests as $test) {
            if ($test->probe->quantity !== Quantity::Volts || !$test->offered || !$this->isPlace($test)) {
                continue;
            }
            $right = abs($bench->shows('none', $test->key));
            if ($right < self::LIVE_FROM) {
                continue;
            }
            ++$live;
            $dead = false;
            foreach ($faults as $fault) {
                $dead = $dead || abs($bench->predictions->few($fault, $test)[0]) < self::DEAD_UNDER * $right;
            }
            self::assertTrue($dead, sprintf('%s: %.1f V whatever fails', $test->key, $right));
        }
        // Vacuum doors have no live place at all, and a control output only a few.
        self::assertGreaterThanOrEqual(\in_array('vacuum', $parameters, true) ? 0 : 2, $live);
    }

    private static function isOneFault(Hypothesis $hypothesis): bool
    {
        return $hypothesis->key !== HypothesisList::SOMETHING_ELSE &&
            !$hypothesis->comesAndGoes &&
            \count($hypothesis->parts) === 1;
    }

    private function isPlace(Test $test): bool
    {
        return preg_match(self::SOURCES, $test->key) === 0;
    }
}
