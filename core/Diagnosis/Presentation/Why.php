<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\TestValues;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Shown\OutcomeShown;

/**
 * Why a test is worth its minutes, in one sentence, and about how many are left.
 */
final readonly class Why
{
    /** Chance under which an outcome is not counted on. */
    private const LIKELY_FROM = 0.03;

    /** Bits left under which it is as good as settled, and the most tests that anybody is told to expect. */
    private const SETTLED = 0.25;
    private const MOST = 9;

    /** Times as much for its minutes from which another test tells more. */
    private const MORE = 1.05;

    public function __construct(private Diagnosis $diagnosis, private Words $words) {}

    /**
     * @param list<OutcomeShown> $outcomes of the test, with what each would mean
     * @param bool               $again    whether it was read before
     */
    public function sentence(Test $test, array $outcomes, bool $again): string
    {
        if ($this->diagnosis->choice($test)?->makesSure === true) {
            return $this->makesSure($again);
        }
        $leads = [];
        foreach ($outcomes as $outcome) {
            $first = $outcome->remedies[0] ?? null;
            if ($first !== null && $outcome->probability >= self::LIKELY_FROM) {
                $leads[$first->remedy] = true;
            }
        }
        $now = array_column($this->diagnosis->suspects, 'probability', 'remedy');
        $split = array_keys(array_intersect_key($now, $leads));
        [$one, $other] = [$split[0] ?? $this->diagnosis->suspects[0]->remedy, $split[1] ?? null];
        $words = ['one' => $this->words->remedy($one), 'a' => self::percent($now[$one] ?? 0.0)];

        return $other === null
            ? Words::general('why.confirms', $words)
            : Words::general(
                'why.splits',
                $words + ['other' => lcfirst($this->words->remedy($other)), 'b' => self::percent($now[$other] ?? 0.0)],
            );
    }

    private function makesSure(bool $again): string
    {
        $leader = $this->diagnosis->suspects[0];
        $of = match (true) {
            $leader->remedy === HypothesisList::NOTHING_WRONG => 'why.not-nothing',
            $again => 'why.once-more',
            default => 'why.makes-sure',
        };

        return Words::general($of, [
            'one' => lcfirst($this->words->remedy($leader->remedy)),
            'a' => self::percent($leader->probability),
        ]);
    }

    /** How much of what is open a test settles on average, in a sentence; empty where it says nothing. */
    public function settles(Test $test): string
    {
        $choice = $this->diagnosis->choice($test);
        $open = TestValues::entropy(array_column($this->diagnosis->suspects, 'probability', 'remedy'));

        return $choice === null || $choice->makesSure || $open <= 0.0
            ? ''
            : Words::general('why.settles', ['share' => self::percent(min(1.0, $choice->information / $open))]);
    }

    /** Which test is next best after this one, and how near it comes; empty where there is none. */
    public function nextBest(Test $test): string
    {
        $own = $this->diagnosis->choice($test);
        $best = null;
        foreach ($this->diagnosis->choices() as $choice) {
            if ($choice->test->key !== $test->key && ($best === null || $choice->telling() > $best->telling())) {
                $best = $choice;
            }
        }
        if ($best === null || $own === null || $own->makesSure || $own->telling() <= 0.0 || $best->telling() <= 0.0) {
            return '';
        }
        $times = $best->telling() / $own->telling();

        return Words::general($times > self::MORE ? 'why.more-for-minutes' : 'why.next-best', [
            'test' => $this->words->test($best->test),
            'minutes' => (string) max(1, (int) round($best->minutes)),
            'times' => $times > self::MORE ? sprintf('%.1f', $times) : self::percent(min(1.0, $times)),
        ]);
    }

    /** Tests that are about left, this one among them; 0 when nothing is worth its minutes any more. */
    public function left(): int
    {
        $next = $this->diagnosis->next;
        if ($next === null || $next->makesSure) {
            return $next === null ? 0 : 1;
        }
        $open = TestValues::entropy(array_column($this->diagnosis->suspects, 'probability', 'remedy')) - self::SETTLED;

        return max(1, min(self::MOST, (int) ceil($open / max(0.1, $next->information))));
    }

    private static function percent(float $share): string
    {
        return match (true) {
            $share >= 0.995 => '>99%',
            $share < 0.01 => '<1%',
            default => round(100.0 * $share) . '%',
        };
    }
}
