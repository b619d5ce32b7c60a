<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

/**
 * What to take up next: what went wrong comes back soon, what went well later, and later each time; else one rung up, in
 * the family that has been begun and is furthest down.
 */
final readonly class NextExercise
{
    /** Days after which what was passed once, twice, three times in a row comes back; what failed comes back after one. */
    private const DAYS = [1.0, 3.0, 7.0, 21.0, 60.0];

    private function __construct(public string $family, public Rung $rung, public string $why) {}

    /**
     * @param list<PastExercise>          $done     in any order
     * @param array<string, list<Rung>>   $ladders  of each family, lowest first
     * @param string                      $usual    the family that the workshop meets most
     */
    public static function of(array $done, array $ladders, string $usual): ?self
    {
        usort($done, static fn(PastExercise $a, PastExercise $b): int => $b->daysAgo <=> $a->daysAgo);
        $row = [];
        $last = [];
        foreach ($done as $one) {
            $key = "{$one->family} {$one->rung->value}";
            $row[$key] = $one->passed ? ($row[$key] ?? 0) + 1 : 0;
            $last[$key] = $one;
        }
        $due = self::due($row, $last, $ladders);
        if ($due !== null) {
            return $due;
        }
        $order = [];
        foreach ($ladders as $family => $rungs) {
            $passed = \count(
                array_filter($rungs, static fn(Rung $rung): bool => ($row["$family $rung->value"] ?? 0) > 0),
            );
            $begun = array_filter($done, static fn(PastExercise $one): bool => $one->family === $family) !== [];
            // Families that are begun come first, then the usual one.
            $order[$family] = [$passed === \count($rungs), !$begun, $family !== $usual, $passed];
        }
        asort($order);
        foreach (array_keys($order) as $family) {
            foreach ($ladders[$family] as $rung) {
                if (($row["$family $rung->value"] ?? 0) === 0) {
                    return new self(
                        $family,
                        $rung,
                        PracticeTexts::get(isset($last["$family $rung->value"]) ? 'next.again' : 'next.up'),
                    );
                }
            }
        }
        $longest = $done[0] ?? null;

        return $longest === null
            ? null
            : new self($longest->family, $longest->rung, PracticeTexts::get('next.longest'));
    }

    /**
     * @param array<string, int>          $row  passed in a row
     * @param array<string, PastExercise> $last
     * @param array<string, list<Rung>>   $ladders
     */
    private static function due(array $row, array $last, array $ladders): ?self
    {
        $due = [];
        foreach ($last as $key => $one) {
            $after = self::DAYS[min($row[$key], \count(self::DAYS) - 1)];
            if ($one->daysAgo >= $after && \in_array($one->rung, $ladders[$one->family] ?? [], true)) {
                $due[$key] = [$row[$key], -$one->daysAgo / $after];
            }
        }
        asort($due);
        $first = array_key_first($due);

        return $first === null
            ? null
            : new self(
                $last[$first]->family,
                $last[$first]->rung,
                PracticeTexts::get($row[$first] === 0 ? 'next.failed' : 'next.spaced', [
                    'days' => (string) max(1, (int) round($last[$first]->daysAgo)),
                ]),
            );
    }
}
