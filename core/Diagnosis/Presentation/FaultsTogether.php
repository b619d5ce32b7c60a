<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Reading\Reading;

/**
 * Two listed faults of different parts that explain between them what neither does alone: each reading is held against
 * the one that foretells it better. A hint where to look, not odds: how two faults change each other is not simulated.
 */
final readonly class FaultsTogether
{
    /** Chance of a second, unrelated fault beside a first. */
    private const SECOND = 0.06;

    /** Natural logarithm by which readings must fit two faults better than any one, or none. */
    private const GAINS_FROM = 3.0;

    /** Single faults that are combined, the best at something first, and how many pairs are told. */
    private const COMBINED = 40;
    private const TOLD = 2;

    private function __construct(public Hypothesis $one, public Hypothesis $other, private float $fits) {}

    /** @return list<self> best first, each pair of parts once */
    public static function of(CaseFile $case, Evidence $evidence): array
    {
        $readings = array_map(static fn(Reading $r): string => $r->id, $case->present());
        $sound = array_map(
            static fn(string $id): float => log(
                max($evidence->belief->fit[$id][HypothesisList::NOTHING_WRONG] ?? 0.0, 1e-12),
            ),
            $readings,
        );
        $single = self::singles($evidence, $readings, $sound);
        // What the best of them, or nothing at all, leaves to explain.
        $alone = max([array_sum($sound), ...array_map(static fn(array $s): float => array_sum($s[1]), $single)]);
        $pairs = [];
        foreach ($single as $first => [$one, $fitsOne]) {
            foreach (\array_slice($single, $first + 1) as [$other, $fitsOther]) {
                if ($one->parts === $other->parts) {
                    continue;
                }
                $together = array_sum(
                    array_map(static fn(float $a, float $b): float => max($a, $b), $fitsOne, $fitsOther),
                );
                if ($together - $alone >= self::GAINS_FROM) {
                    $prior = log(self::SECOND * $one->prior * $other->prior);
                    $pairs[] = new self($one, $other, $together + $prior);
                }
            }
        }
        usort($pairs, static fn(self $a, self $b): int => $b->fits <=> $a->fits);
        $told = [];
        foreach ($pairs as $pair) {
            $parts = [...$pair->one->parts, ...$pair->other->parts];
            sort($parts);
            $told[implode('+', $parts)] ??= $pair;
        }

        return \array_slice(array_values($told), 0, self::TOLD);
    }

    /**
     * @param list<string> $readings
     * @param list<float>  $sound    natural logarithm of how nothing wrong fits each of them
     *
     * @return list<array{0: Hypothesis, 1: list<float>}> with the natural logarithm of how it fits each reading
     */
    private static function singles(Evidence $evidence, array $readings, array $sound): array
    {
        $singles = $order = [];
        foreach ($evidence->hypotheses as $key => $hypothesis) {
            if (\count($hypothesis->parts) !== 1 || \count($hypothesis->faults) !== 1 || $hypothesis->comesAndGoes) {
                continue;
            }
            $fits = [];
            $gains = 0.0;
            foreach ($readings as $number => $reading) {
                $fit = $evidence->belief->fit[$reading][$key] ?? null;
                if ($fit === null) {
                    continue 2;
                }
                $fits[] = $own = log(max($fit, 1e-12));
                $gains += max(0.0, $own - $sound[$number]);
            }
            $singles[] = [$hypothesis, $fits];
            $order[] = -$gains - log(max($hypothesis->prior, 1e-12));
        }
        asort($order);

        return array_map(static fn(int $n): array => $singles[$n], \array_slice(array_keys($order), 0, self::COMBINED));
    }
}
