<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;

/**
 * How far the tests of a case have come: what is open, done, doubted, heard once, and found at a suspect.
 */
final readonly class Progress
{
    /** How much likelier a reading has to be with the fault than without for it to have touched it. */
    private const TOUCHES = 4.0;

    private const MOST_REPEATS = 3;

    /** @var list<Reading> the standing readings since the last replacement */
    private array $present;

    /** @var array<string, int> how many of them are of each test */
    private array $times;

    public function __construct(private CircuitModel $circuit, private CaseFile $case, private Belief $belief)
    {
        $this->present = $case->present();
        $this->times = self::times($this->present);
    }

    /**
     * @param array<array-key, Reading> $readings
     *
     * @return array<string, int> how many are of each test
     */
    private static function times(array $readings): array
    {
        return array_count_values(array_map(static fn(Reading $r): string => $r->test, $readings));
    }

    /** @return list<string> */
    public function opened(): array
    {
        $places = [];
        foreach ($this->case->readings as $reading) {
            array_push($places, ...$this->circuit->tests[$reading->test]->access);
        }

        return array_values(array_unique($places));
    }

    /**
     * Tests that would only repeat themselves. Moving a part by hand is worth a second try while the fault comes and
     * goes.
     *
     * @return array<string, true>
     */
    public function exhausted(): array
    {
        $done = $this->done();
        if (!$this->case->intermittent) {
            return $done;
        }
        $times = self::times($this->case->standing());

        return array_filter(
            $done,
            fn(string $test): bool => !$this->circuit->tests[$test]->repeatable || $times[$test] >= self::MOST_REPEATS,
            \ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return array<string, true> tests with a standing reading in the present episode */
    public function done(): array
    {
        return array_fill_keys(array_keys($this->times), true);
    }

    /**
     * Tests read once whose reading may well be a slip, as the other readings stand.
     *
     * @return array<string, true>
     */
    public function doubted(): array
    {
        $measured = array_filter($this->present, static fn(Reading $r): bool => $r->trust === Trust::Measured);
        $times = self::times($measured);
        $doubted = [];
        foreach ($measured as $reading) {
            if ($times[$reading->test] === 1 && ($this->belief->slips[$reading->id] ?? 0.0) > Engine::DOUBTED) {
                $doubted[$reading->test] = true;
            }
        }

        return $doubted;
    }

    /** @return array<string, true> speeds of the map that were called wrong, and heard no second time */
    public function calledWrongOnce(): array
    {
        $once = [];
        foreach ($this->calledWrong() as $reading) {
            if (!$this->circuit->tests[$reading->test]->offered && $this->times[$reading->test] === 1) {
                $once[$reading->test] = true;
            }
        }

        return $once;
    }

    /** @return list<Reading> speeds that were not called right */
    private function calledWrong(): array
    {
        return array_values(
            array_filter(
                $this->present,
                fn(Reading $r): bool => $this->circuit->tests[$r->test]->probe->quantity === Quantity::Speed &&
                    $r->value !== SpeedState::Right->value,
            ),
        );
    }

    /**
     * Whether it may be that nothing is wrong: no position was called wrong twice, and not two were called dead, or
     * running where they should stand, which nobody mishears.
     */
    public function isInDoubt(): bool
    {
        $wrong = $this->calledWrong();
        $plain = array_filter(
            $wrong,
            static fn(Reading $r): bool => !\in_array(
                $r->value,
                [SpeedState::Slow->value, SpeedState::Fast->value],
                true,
            ),
        );

        return \count($plain) < 2 && max([0, ...array_values(self::times($wrong))]) < 2;
    }

    /**
     * What tests beyond the map found: whether one shows what only the fault explains, or was taken at the part of a
     * machine that surely fails; how strongly they speak for the fault against nothing wrong, as a natural logarithm,
     * without the strongest, which may be a slip; and which that is, where it was taken only once.
     *
     * @return array{0: bool, 1: float, 2: string|null}
     */
    public function found(Suspect $suspect, bool $inDoubt): array
    {
        $own = $suspect->leading()->key;
        $touched = false;
        $speaks = [];
        foreach ($this->present as $reading) {
            $test = $this->circuit->tests[$reading->test];
            if (!$test->offered) {
                continue;
            }
            $fit = $this->belief->fit[$reading->id] ?? [];
            $ratio = max($fit[$own] ?? 0.0, 1e-12) / max($fit[HypothesisList::NOTHING_WRONG] ?? 0.0, 1e-12);
            $speaks[$test->key] = max($speaks[$test->key] ?? -\INF, log($ratio));
            // Whoever told of the complaint was not at the part.
            $touched =
                $touched ||
                (!$test->asked && ($ratio > self::TOUCHES || (!$inDoubt && $this->isAtAPart($test, $suspect))));
        }
        arsort($speaks);
        $strongest = array_key_first($speaks);
        $once = $strongest !== null && $this->times[$strongest] === 1 && $speaks[$strongest] > 0.0;

        return [$touched, array_sum($speaks) - max([0.0, ...array_values($speaks)]), $once ? $strongest : null];
    }

    private function isAtAPart(Test $test, Suspect $suspect): bool
    {
        foreach (explode('+', $suspect->remedy) as $part) {
            if ($this->circuit->touches($test, $part)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, true> tests that were taken twice or more in the present episode */
    public function takenTwice(): array
    {
        return array_map(static fn(): bool => true, array_filter($this->times, static fn(int $n): bool => $n > 1));
    }
}
