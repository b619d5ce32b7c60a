<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

/**
 * Outcomes of many simulated jobs, and what they come to.
 */
final class TrialSummary
{
    /** Bins of stated odds. */
    public const BINS = [0.0, 0.5, 0.8, 0.9, 0.95, 0.98, 0.995, 1.01];

    /** @var array<string, list<Outcome>> by group of faults */
    private array $byGroup = [];

    /** @var array<string, list<Outcome>> by kind of fault */
    private array $byKind = [];

    /** @param string $fault the key of the fault after that of its family: "family: fault" */
    public function take(string $group, string $fault, Outcome $outcome): void
    {
        $this->byGroup[$group][] = $outcome;
        $this->byKind[(string) preg_replace('/-\d+/', '', $fault)][] = $outcome;
    }

    public function takeFrom(self $other): void
    {
        foreach ($other->byGroup as $group => $outcomes) {
            $this->byGroup[$group] = [...$this->byGroup[$group] ?? [], ...$outcomes];
        }
        foreach ($other->byKind as $kind => $outcomes) {
            $this->byKind[$kind] = [...$this->byKind[$kind] ?? [], ...$outcomes];
        }
    }

    /** @return array<string, list<Outcome>> by group, and all together where there are several */
    public function groups(): array
    {
        return \count($this->byGroup) > 1 ? $this->byGroup + ['together' => $this->all()] : $this->byGroup;
    }

    /** @return array<string, list<Outcome>> */
    public function kinds(): array
    {
        return $this->byKind;
    }

    /** @return list<Outcome> whose verdict was stated with odds from one number to under another */
    public function stated(float $from, float $to): array
    {
        return array_values(
            array_filter(
                $this->all(),
                static fn(Outcome $o): bool => $o->probability >= $from && $o->probability < $to,
            ),
        );
    }

    /** Mean money spent beyond the right repair. */
    public function avoidable(): float
    {
        return self::mean($this->all(), 'avoidable');
    }

    /** @param list<Outcome> $outcomes */
    public static function right(array $outcomes): float
    {
        return \count(array_filter($outcomes, static fn(Outcome $o): bool => $o->right)) / max(1, \count($outcomes));
    }

    /**
     * @param list<Outcome> $outcomes
     * @param 'tests'|'minutes'|'avoidable'|'probability' $of
     */
    public static function mean(array $outcomes, string $of): float
    {
        return array_sum(array_map(static fn(Outcome $o): float => $o->$of, $outcomes)) / max(1, \count($outcomes));
    }

    /** @return list<Outcome> */
    private function all(): array
    {
        return array_merge(...array_values($this->byGroup) ?: [[]]);
    }
}
