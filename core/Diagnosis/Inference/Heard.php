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
 * and a little beyond them lie others, whose speed follows by a straight line. All that was heard of one machine is
 * weighed together: a fan that would run in one position would run in the next.
 */
final class Heard
{
    /** Places along a line, in deviations, and what share of machines each stands for: their deviation is one. */
    private const PLACES = [-1.95, -1.05, -0.35, 0.35, 1.05, 1.95];
    private const SHARES = [0.08, 0.17, 0.25, 0.25, 0.17, 0.08];

    /** Speeds under this stand still: between one that does and one that does not is no line. */
    private const STANDS_UNDER = 0.07;

    /** @var array<string, list<array{0: float, 1: float}>> */
    private array $memory = [];

    public function __construct(private readonly Predictions $predictions) {}

    /** @return array{0: float, 1: float} likelihood of one reading, and its part that is no slip */
    public function chance(Hypothesis $state, Reading $reading, Test $test): array
    {
        $sums = [0.0, 0.0];
        $places = $this->places($state, $reading, $test);
        foreach ($places as $place => [$one, $right]) {
            $share = self::SHARES[$place % \count(self::SHARES)];
            $sums[0] += $share * $one;
            $sums[1] += $share * $right;
        }
        $lines = \count($places) / \count(self::SHARES);

        return [$sums[0] / $lines, $sums[1] / $lines];
    }

    /** @return list<float> natural logarithms of the likelihood of one reading, by machine */
    public function logs(Hypothesis $state, Reading $reading, Test $test): array
    {
        return array_map(
            static fn(array $one): float => log(max($one[0], 1e-300)),
            $this->places($state, $reading, $test),
        );
    }

    /**
     * What was heard before and this, by machine.
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
     * @param list<float> $logs by machine; empty for nothing
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

    /** @return list<array{0: float, 1: float}> */
    private function places(Hypothesis $state, Reading $reading, Test $test): array
    {
        $packed = $this->predictions->packed($state, $test);
        $memory = "$reading->id|$packed";
        if (isset($this->memory[$memory])) {
            return $this->memory[$memory];
        }
        $circuit = $this->predictions->circuit;
        $lines = $circuit->kindIn($test) === PositionKind::Runs;
        $ratios = Predictions::unpacked($packed);
        $places = $known = [];
        for ($row = 0; $row < \count($ratios); $row += 2) {
            [$one, $other] = [$ratios[$row], $ratios[$row + 1]];
            foreach (self::PLACES as $at) {
                $ratio = $lines ? self::between($one, $other, $at) : ($at > 0.0 ? $one : $other);
                $places[] = $known[(string) $ratio] ??= Likelihood::ofChoice(
                    Judged::chances($circuit, $test, $ratio),
                    (string) $reading->value,
                    $reading->slip(),
                );
            }
        }

        return $this->memory[$memory] = $places;
    }

    private static function between(float $one, float $other, float $at): float
    {
        $stand = static fn(float $ratio): bool => abs($ratio) < self::STANDS_UNDER;

        return is_nan($one) || is_nan($other) || $stand($one) !== $stand($other)
            ? ($at > 0.0
                ? $one
                : $other)
            : max(0.0, 0.5 * ($one + $other) + 0.5 * $at * ($one - $other));
    }
}
