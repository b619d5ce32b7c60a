<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Reading\Limits;

/**
 * Ranges of readings after each of which the same suspect leads.
 *
 * The suspects' predictions are laid over each other on the scale of the quantity; where the leader changes, a range
 * ends. Whoever enters a reading from a range therefore gets the leader that stands beside it.
 */
final readonly class Bands
{
    /** Steps in spreads of a prediction at which the leader is looked up, on either side of its mean. */
    private const STEPS = [0.0, 0.5, 1.0, 1.5];

    /** How far a place reaches, in spreads of its prediction, and under which two places are one. */
    private const REACH = 0.4;
    private const APART = 1e-4;

    /** Share of its highest density under which the end of a range is left off. */
    private const THIN = 0.08;

    /** Ranges less likely than this are left out, and no more than so many are shown. */
    private const LEAST = 0.01;
    private const MOST = 7;

    /**
     * @param list<array{0: Hypothesis, 1: float}> $alive  suspects with their chances
     * @param Limits                               $limits of what a reading can be in that circuit
     */
    public function __construct(private Evidence $evidence, private array $alive, private Limits $limits) {}

    /**
     * @return list<array{from: float, to: float, shares: list<array{0: Hypothesis, 1: float}>}> in the base unit of
     *     the quantity, rising; INF to INF for over range
     */
    public function of(Test $test): array
    {
        $foreseen = $this->evidence->foreseen;
        $predicted = $density = [];
        foreach ($this->alive as [$hypothesis]) {
            $predicted[] = $foreseen->onScale($hypothesis, $test);
            $density[] = $foreseen->density($hypothesis, $test);
        }
        $runs = [];
        $leader = null;
        $until = -\INF;
        foreach (self::cells($predicted) as [$from, $place, $to]) {
            $mass = [];
            foreach ($this->alive as $number => [, $chance]) {
                $mass[$number] = $chance * $density[$number]($place) * ($to - $from);
            }
            $leads = $this->leader($mass);
            $cell = ['from' => $from, 'to' => $to, 'mass' => $mass];
            if ($leads === $leader && $from - $until < self::APART) {
                $runs[\count($runs) - 1][] = $cell;
            } else {
                $runs[] = [$cell];
            }
            [$leader, $until] = [$leads, $to];
        }
        $bands = array_map(self::likely(...), $runs);
        $quantity = $test->probe->quantity;
        $open = array_map(static fn(array $one): bool => is_infinite($one[0]), $predicted);
        $kept = [];
        // What no circuit of its kind can show is no range: a fault that nobody lists is spread over everything.
        [$least, $most] = $this->limits->shown($quantity);
        foreach (self::likeliest($this->normed($bands, $open)) as $band) {
            $from = max($least, ReadingScale::from($quantity, $band['from']));
            $to = min($most, ReadingScale::from($quantity, $band['to']));
            if ($from >= $to) {
                continue;
            }
            $kept[] = [
                'from' => $from,
                'to' => $to,
                'shares' => $this->shares($band['mass']),
            ];
        }
        if (array_filter($open) !== []) {
            $mass = [];
            foreach ($this->alive as $number => [, $chance]) {
                $mass[$number] = $open[$number] ? $chance : 0.0;
            }
            $kept[] = ['from' => \INF, 'to' => \INF, 'shares' => $this->shares($mass)];
        }

        return $kept;
    }

    /**
     * With the chances of all ranges adding up to that of a number: the steps between them are coarse.
     *
     * @param list<array{from: float, to: float, mass: array<int, float>}> $bands
     * @param list<bool> $open by suspect
     *
     * @return list<array{from: float, to: float, mass: array<int, float>}>
     */
    private function normed(array $bands, array $open): array
    {
        $wanted = $found = [];
        foreach ($this->alive as $number => [, $chance]) {
            $wanted[$number] = $open[$number] ? 0.0 : $chance;
            $found[$number] = array_sum(array_map(static fn(array $band): float => $band['mass'][$number], $bands));
        }

        return array_map(
            static fn(array $band): array => [
                'from' => $band['from'],
                'to' => $band['to'],
                'mass' => array_map(
                    static fn(float $mass, float $want, float $have): float => $have > 0.0
                        ? ($mass * $want) / $have
                        : 0.0,
                    $band['mass'],
                    $wanted,
                    $found,
                ),
            ],
            $bands,
        );
    }

    /**
     * The stretch of a run of cells around its likeliest one: at its thin ends suspects too unlikely to be counted
     * here would lead.
     *
     * @param non-empty-list<array{from: float, to: float, mass: array<int, float>}> $run
     *
     * @return array{from: float, to: float, mass: array<int, float>}
     */
    private static function likely(array $run): array
    {
        $density = array_map(
            static fn(array $cell): float => array_sum($cell['mass']) / max(1e-12, $cell['to'] - $cell['from']),
            $run,
        );
        $peak = (int) array_search(max($density), $density, true);
        $first = $last = $peak;
        while ($first > 0 && $density[$first - 1] > self::THIN * $density[$peak]) {
            --$first;
        }
        while ($last + 1 < \count($run) && $density[$last + 1] > self::THIN * $density[$peak]) {
            ++$last;
        }
        $band = $run[$first];
        for ($n = $first + 1; $n <= $last; ++$n) {
            $band = [
                'from' => $band['from'],
                'to' => $run[$n]['to'],
                'mass' => self::sum($band['mass'], $run[$n]['mass']),
            ];
        }

        return $band;
    }

    /**
     * Places at which the leader is looked up, each with its surroundings: no farther than a step of the prediction it
     * belongs to, so that ranges in which nobody sees a reading belong to no one.
     *
     * @param list<array{0: float, 1: float}> $predicted mean and spread on the scale
     *
     * @return list<array{0: float, 1: float, 2: float}> from, place and to, rising
     */
    private static function cells(array $predicted): array
    {
        $places = [];
        foreach ($predicted as [$mean, $spread]) {
            foreach (is_infinite($mean) ? [] : self::STEPS as $step) {
                $places[] = [$mean - $step * $spread, $spread];
                $places[] = [$mean + $step * $spread, $spread];
            }
        }
        sort($places);
        $apart = [];
        foreach ($places as $one) {
            if ($apart === [] || $one[0] - end($apart)[0] > self::APART) {
                $apart[] = $one;
            }
        }
        $cells = [];
        foreach ($apart as $n => [$place, $spread]) {
            $reach = self::REACH * $spread;
            $cells[] = [
                max($place - $reach, 0.5 * ($place + ($apart[$n - 1][0] ?? $place - 2.0 * $reach))),
                $place,
                min($place + $reach, 0.5 * ($place + ($apart[$n + 1][0] ?? $place + 2.0 * $reach))),
            ];
        }

        return $cells;
    }

    /** @param array<int, float> $shares by number of the suspect */
    private function leader(array $shares): string
    {
        $remedies = [];
        foreach ($shares as $number => $share) {
            $remedy = $this->alive[$number][0]->remedy();
            $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $share;
        }

        return (string) array_key_first(Ranking::largestFirst($remedies));
    }

    /**
     * @param array<int, float> $one
     * @param array<int, float> $other
     *
     * @return array<int, float>
     */
    private static function sum(array $one, array $other): array
    {
        foreach ($other as $number => $share) {
            $one[$number] = ($one[$number] ?? 0.0) + $share;
        }

        return $one;
    }

    /**
     * @param list<array{from: float, to: float, mass: array<int, float>}> $bands
     *
     * @return list<array{from: float, to: float, mass: array<int, float>}> rising
     */
    private static function likeliest(array $bands): array
    {
        $bands = array_filter($bands, static fn(array $band): bool => array_sum($band['mass']) >= self::LEAST);
        $bands = Ranking::by($bands, static fn(array $band): float => (float) array_sum($band['mass']));
        $bands = \array_slice($bands, 0, self::MOST);
        usort($bands, static fn(array $a, array $b): int => $a['from'] <=> $b['from']);

        return $bands;
    }

    /**
     * @param array<int, float> $mass
     *
     * @return list<array{0: Hypothesis, 1: float}>
     */
    private function shares(array $mass): array
    {
        return array_map(
            static fn(array $suspect, float $share): array => [$suspect[0], $share],
            $this->alive,
            array_values($mass),
        );
    }
}
