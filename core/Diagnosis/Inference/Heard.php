<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\Reading;

/**
 * What is heard of a fan or seen of a lamp, over machines that lie between the few that were solved.
 *
 * Each row of the design for judging and its mirror image are two machines on either side of the middle one: between
 * and a little beyond them lie others, whose speed follows by a straight line. Where a fault may be worse or less bad,
 * each row stands for a third of that, and how the rows differ tells what a little more or less does within a third. All
 * that was heard of one machine is weighed together: a fan that would run in one position would run in the next.
 */
final class Heard
{
    /** Places along a line, in deviations, and what share of machines each stands for: their deviation is one. */
    private const PLACES = [-1.95, -1.05, -0.35, 0.35, 1.05, 1.95];
    private const SHARES = [0.08, 0.17, 0.25, 0.25, 0.17, 0.08];

    /** Places within a third of a slice, in deviations of how bad the fault is (Gauss and Legendre's two). */
    private const WITHIN_A_THIRD = [-1.0 / 3.0, 1.0 / 3.0];

    /** Speeds under this stand still: between one that does and one that does not is no line. */
    private const STANDS_UNDER = 0.07;

    /** Speeds that lie within this of each other are one: ears tell a hundred and fifty times as much. */
    private const NOBODY_TELLS = 1e-4;

    /** @var array<string, array{0: array{0: float, 1: float}, 1: list<float>}> */
    private array $memory = [];

    /**
     * By reading, ear and speed.
     *
     * @var array<string, array<array-key, array<array-key, array{0: float, 1: float, 2: float}>>>
     */
    private array $known = [];

    public function __construct(private readonly Predictions $predictions) {}

    /** @return array{0: float, 1: float} likelihood of one reading, and its part that is no slip */
    public function chance(Hypothesis $state, Reading $reading, Test $test): array
    {
        return $this->weighed($state, $reading, $test)[0];
    }

    /** @return list<float> natural logarithms of the likelihood of one reading, by ear and machine */
    public function logs(Hypothesis $state, Reading $reading, Test $test): array
    {
        return $this->weighed($state, $reading, $test)[1];
    }

    /**
     * What does not hang on whose ears they are.
     *
     * @param list<float> $logs by machine
     *
     * @return list<float> by ear and machine
     */
    public static function forAllEars(array $logs): array
    {
        return array_merge(...array_fill(0, SpeedState::EARS, $logs));
    }

    /**
     * What was heard before and this, by ear and machine.
     *
     * @param list<float> $before empty for nothing
     * @param list<float> $more   empty for nothing
     *
     * @return list<float>
     */
    public static function and(array $before, array $more, float $counts = 1.0): array
    {
        if ($more === []) {
            return $before;
        }
        $sums = [];
        foreach ($more as $machine => $log) {
            $sums[] = ($before[$machine] ?? 0.0) + $counts * $log;
        }

        return $sums;
    }

    /**
     * Natural logarithm of the likelihood of all that was heard.
     *
     * @param list<float> $logs by ear and machine; empty for nothing
     */
    public static function together(array $logs): float
    {
        if ($logs === []) {
            return 0.0;
        }
        $most = max($logs);
        $sum = 0.0;
        foreach ($logs as $machine => $log) {
            $sum += self::SHARES[$machine % \count(self::SHARES)] * exp($log - $most);
        }

        return $most + log(($sum * \count(self::SHARES)) / \count($logs));
    }

    /** @return array{0: array{0: float, 1: float}, 1: list<float>} over all, and logarithms by ear and machine */
    private function weighed(Hypothesis $state, Reading $reading, Test $test): array
    {
        $packed = $this->predictions->packed($state, $test);
        $graded = $state->hasDegree();
        $memory = "$reading->id|$packed|$graded";
        if (isset($this->memory[$memory])) {
            return $this->memory[$memory];
        }
        // The same answer to the same test weighs the same in every request.
        $kept = $this->predictions->heard->of(
            "$test->key|$reading->value|{$reading->slip()}|$graded|$packed",
            fn(): string => pack(
                'd*',
                ...$this->overMachines($reading, $test, Predictions::unpacked($packed), $graded),
            ),
        );
        $numbers = Predictions::unpacked($kept);
        $logs = \array_slice($numbers, 2);

        return $this->memory[$memory] = [
            [$numbers[0], $numbers[1]],
            Judged::hangsOnEars($this->predictions->circuit, $test) ? $logs : self::forAllEars($logs),
        ];
    }

    /**
     * @param list<float> $ratios of each row and its mirror image
     *
     * @return list<float> likelihood over all machines and ears, its part that is no slip, and the logarithms by ear and
     *     machine; by machine alone where it does not hang on ears
     */
    private function overMachines(Reading $reading, Test $test, array $ratios, bool $graded): array
    {
        $circuit = $this->predictions->circuit;
        $machines = self::machines($ratios, $graded, $circuit->kindIn($test) === PositionKind::Runs);
        $logs = [];
        $all = $right = 0.0;
        foreach (Judged::hangsOnEars($circuit, $test) ? range(0, SpeedState::EARS - 1) : [null] as $ear) {
            $known = &$this->known[$reading->id][$ear ?? 'all'];
            foreach ($machines as $machine => $ratio) {
                // Of speeds that are one the middle one counts, whichever comes first.
                $step = is_nan($ratio) ? 'chatters' : (int) round($ratio / self::NOBODY_TELLS);
                [$fits, $log, $noSlip] = $known[$step] ??= $this->called(
                    $reading,
                    $test,
                    \is_int($step) ? $step * self::NOBODY_TELLS : NAN,
                    $ear,
                );
                $share = self::SHARES[$machine % \count(self::SHARES)];
                $logs[] = $log;
                $all += $share * $fits;
                $right += $share * $noSlip;
            }
        }
        $lines = \count($logs) / \count(self::PLACES);

        return [$all / $lines, $right / $lines, ...$logs];
    }

    /**
     * @param list<float> $ratios   of each row and its mirror image: speeds, or anything else that is known of them
     * @param bool        $graded   whether the rows are thirds of how bad a fault is
     * @param bool        $straight whether the others follow by straight lines; else each is like the one on its side
     *
     * @return list<float> the same of all machines, those of one line after the other
     */
    public static function machines(array $ratios, bool $graded, bool $straight): array
    {
        $slopes = $graded && $straight ? self::slopes($ratios) : [0.0, 0.0, 0.0];
        $rise = $straight ? self::largestRise($ratios) : 0.0;
        $machines = [];
        foreach ($slopes as $row => $slope) {
            [$one, $other] = [$ratios[2 * $row], $ratios[2 * $row + 1]];
            $known = $straight && !is_nan($one) && !is_nan($other);
            $line = $known && self::turns($one) === self::turns($other);
            foreach ($graded ? self::WITHIN_A_THIRD : [0.0] as $worse) {
                foreach (self::PLACES as $at) {
                    $near = $at > 0.0 ? $one : $other;
                    $more = $known && self::turns($near) ? $worse * $slope : 0.0;
                    $machines[] = match (true) {
                        $line => max(0.0, 0.5 * ($one + $other) + 0.5 * $at * ($one - $other) + $more),
                        $known && self::turns($near) => max(0.0, $near + (abs($at) - 1.0) * $rise + $more),
                        default => $near,
                    };
                }
            }
        }

        return $machines;
    }

    /** @return array{0: float, 1: float, 2: float} likelihood, its natural logarithm, and its part that is no slip */
    private function called(Reading $reading, Test $test, float $ratio, ?int $ear): array
    {
        [$one, $right] = Likelihood::ofChoice(
            Judged::chances($this->predictions->circuit, $test, $ratio, $ear),
            (string) $reading->value,
            $reading->slip(),
        );

        return [$one, log(max($one, 1e-300)), $right];
    }

    private static function turns(float $ratio): bool
    {
        return !is_nan($ratio) && abs($ratio) >= self::STANDS_UNDER;
    }

    /**
     * How fast the speed rises from one mirror image to the other, where both run: as fast at most as in another row.
     *
     * @param list<float> $ratios of each row and its mirror image
     *
     * @return float by half of what lies between the two
     */
    private static function largestRise(array $ratios): float
    {
        $largest = 0.0;
        foreach (array_chunk($ratios, 2) as [$one, $other]) {
            if (self::turns($one) && self::turns($other)) {
                $largest = max($largest, 0.5 * abs($one - $other));
            }
        }

        return $largest;
    }

    /**
     * What a deviation more of a fault does to a speed in each third of its slice: the rise of the parabola through the
     * three, or of the straight line through the two in which it runs (Lagrange's form).
     *
     * @param list<float> $ratios of each third and its mirror image, in the order of {@see DrawnValues::THIRDS}
     *
     * @return list<float> in the same order
     */
    private static function slopes(array $ratios): array
    {
        $runs = [];
        foreach (DrawnValues::THIRDS as $row => $third) {
            [$one, $other] = [$ratios[2 * $row], $ratios[2 * $row + 1]];
            if (self::turns($one) && self::turns($other)) {
                $runs[] = [$third, 0.5 * ($one + $other)];
            }
        }

        return array_map(static fn(float $third): float => self::rise($runs, $third), DrawnValues::THIRDS);
    }

    /** @param list<array{0: float, 1: float}> $points where, and how high */
    private static function rise(array $points, float $at): float
    {
        $rise = 0.0;
        foreach ($points as $of => [$x, $high]) {
            foreach ($points as $past => [$from]) {
                if ($past === $of) {
                    continue;
                }
                $part = $high / ($x - $from);
                foreach ($points as $other => [$zero]) {
                    $part *= $other === $of || $other === $past ? 1.0 : ($at - $zero) / ($x - $zero);
                }
                $rise += $part;
            }
        }

        return $rise;
    }
}
