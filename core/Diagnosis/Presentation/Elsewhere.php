<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Presentation\Shown\ElsewhereShown;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * What can be said when no fault of the list explains the readings: what looks sound, what does not, what is cleared,
 * and which tests would narrow it.
 */
final readonly class Elsewhere
{
    /** Spreads from the middle of sound machines beyond which a number is odd, and chance under which a choice is. */
    private const ODD_FROM = 2.5;
    private const ODD_UNDER = 0.2;

    /** Chance under which a part is cleared, and how many tests are named. */
    private const CLEARED_UNDER = 0.01;
    private const MOST_NAMED = 3;

    private Words $words;

    public function __construct(
        private CircuitModel $circuit,
        private CaseFile $case,
        private Diagnosis $diagnosis,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
    }

    public function shown(): ElsewhereShown
    {
        $sound = $odd = $soundTests = $oddTests = [];
        foreach ($this->case->present() as $reading) {
            $test = $this->circuit->tests[$reading->test];
            if (!$test->offered) {
                continue;
            }
            $words = ['test' => $this->words->test($test), 'reading' => $this->words->reading($reading)];
            if (!$this->isOdd($reading, $test)) {
                $sound[] = Words::general('elsewhere.sound', $words);
                $soundTests[] = $test;
                continue;
            }
            $oddTests[] = $test;
            if ($test->probe->quantity->isNumber()) {
                [$low, $high] = $this->soundRange($test);
                $odd[] = Words::general('elsewhere.odd', $words + ['low' => $low, 'high' => $high]);
            } else {
                $odd[] = Words::general('elsewhere.sound', $words);
            }
        }
        $together = FaultsTogether::of($this->case, $this->diagnosis->evidence);

        return new ElsewhereShown(
            sound: array_values(array_unique($sound)),
            odd: array_values(array_unique($odd)),
            cleared: $this->cleared($oddTests, $together),
            together: array_map(
                fn(FaultsTogether $two): string => Words::general('elsewhere.together', [
                    'one' => $this->words->hypothesis($two->one),
                    'other' => $this->words->hypothesis($two->other),
                ]),
                $together,
            ),
            narrows: array_map(
                fn(TestChoice $c): Titled => new Titled(key: $c->test->key, title: $this->words->test($c->test)),
                \array_slice($this->between($soundTests, $oddTests), 0, self::MOST_NAMED),
            ),
        );
    }

    /**
     * Measurements that are left, those first that lie between what looked sound and what did not: at the places of
     * odd readings, in their set-ups, and then at the places of sound ones.
     *
     * @param list<Test> $sound
     * @param list<Test> $odd
     *
     * @return list<TestChoice>
     */
    private function between(array $sound, array $odd): array
    {
        $setUps = array_map(static fn(Test $test): string => $test->setUp, $odd);
        $left = [];
        foreach ($this->diagnosis->others as $choice) {
            $test = $choice->test;
            $near =
                3 * self::shared($test, $odd) +
                (\in_array($test->setUp, $setUps, true) ? 2 : 0) +
                self::shared($test, $sound);
            if ($test->probe->quantity->isNumber() && $near > 1) {
                $left[] = ['near' => $near, 'choice' => $choice];
            }
        }
        usort(
            $left,
            static fn(array $a, array $b): int => [$b['near'], $b['choice']->information] <=> [
                $a['near'],
                $a['choice']->information,
            ],
        );

        return array_column($left, 'choice');
    }

    /** @param list<Test> $tests */
    private static function shared(Test $test, array $tests): int
    {
        foreach ($tests as $other) {
            $places = array_diff([$other->probe->at, $other->probe->against], ['', '0']);
            if (array_intersect([$test->probe->at, $test->probe->against], $places) !== []) {
                return 1;
            }
        }

        return 0;
    }

    /**
     * @param list<Test>           $odd      tests that did not look sound
     * @param list<FaultsTogether> $together
     *
     * @return list<string> parts that hardly any of the odds are left on, and that none of these touches or names
     */
    private function cleared(array $odd, array $together): array
    {
        $left = $named = [];
        foreach ($together as $two) {
            array_push($named, ...$two->one->parts, ...$two->other->parts);
        }
        foreach ($this->diagnosis->suspects as $suspect) {
            foreach ($suspect->namesParts() ? explode('+', $suspect->remedy) : [] as $part) {
                $left[$part] = ($left[$part] ?? 0.0) + $suspect->probability;
            }
        }
        $cleared = [];
        foreach ($left as $part => $chance) {
            $touching = array_filter($odd, fn(Test $test): bool => $this->circuit->touches($test, $part));
            if ($chance < self::CLEARED_UNDER && $touching === [] && !\in_array($part, $named, true)) {
                $cleared[] = $this->words->part($part);
            }
        }

        return $cleared;
    }

    private function isOdd(Reading $reading, Test $test): bool
    {
        $evidence = $this->diagnosis->evidence;
        $sound = $evidence->hypotheses[HypothesisList::NOTHING_WRONG];
        $quantity = $test->probe->quantity;
        if (!$quantity->isNumber()) {
            return ($evidence->foreseen->chances($sound, $test)[(string) $reading->value] ?? 0.0) < self::ODD_UNDER;
        }
        $expected = $evidence->predictions->expected($sound, $test);
        if (!\is_float($reading->value) || $expected->open) {
            return \is_float($reading->value) === $expected->open;
        }
        $own = MeterAccuracy::spread($quantity, $reading->value) * ReadingScale::slope($quantity, $reading->value);
        $off = abs(ReadingScale::to($quantity, $reading->value) - $expected->mean);

        return $off > self::ODD_FROM * sqrt($expected->variance() + $own * $own);
    }

    /** @return array{0: string, 1: string} between which sound machines show a number */
    private function soundRange(Test $test): array
    {
        $evidence = $this->diagnosis->evidence;
        $quantity = $test->probe->quantity;
        $expected = $evidence->predictions->expected($evidence->hypotheses[HypothesisList::NOTHING_WRONG], $test);
        if ($expected->open) {
            return array_fill(0, 2, $this->words->number(\INF, $quantity));
        }
        $within = 2.0 * sqrt($expected->variance());

        return [
            $this->words->number(ReadingScale::from($quantity, $expected->mean - $within), $quantity),
            $this->words->number(ReadingScale::from($quantity, $expected->mean + $within), $quantity),
        ];
    }
}
