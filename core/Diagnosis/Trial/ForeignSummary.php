<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

/**
 * What many jobs of the foreign world come to, as the figures that it is judged by.
 */
final class ForeignSummary
{
    /** @var list<ForeignOutcome> */
    public array $outcomes = [];

    public function take(ForeignOutcome $outcome): void
    {
        $this->outcomes[] = $outcome;
    }

    /** @return list<ForeignOutcome> */
    public function of(string $kind): array
    {
        return array_values(array_filter($this->outcomes, static fn(ForeignOutcome $o): bool => $o->kind === $kind));
    }

    /**
     * @param list<ForeignOutcome> $outcomes
     * @param \Closure(ForeignOutcome): bool $holds
     */
    private static function share(array $outcomes, \Closure $holds): float
    {
        return \count(array_filter($outcomes, $holds)) / max(1, \count($outcomes));
    }

    /**
     * Shares of jobs, and tests a job.
     *
     * @return array{jobs: int, right: float, verdictRight: float, stated: float, sureAndWrong: float, noVerdict: float, tests: float, refused: float, unlisted: int, unlistedWrong: float, nothing: int, nothingWrong: float}
     */
    public function figures(): array
    {
        $listed = $this->of('listed');
        $verdicts = array_values(array_filter($listed, static fn(ForeignOutcome $o): bool => $o->end === 'verdict'));
        $unlisted = $this->of('unlisted');
        $nothing = $this->of('nothing');

        return [
            'jobs' => \count($listed),
            'right' => self::share($listed, static fn(ForeignOutcome $o): bool => $o->right),
            'verdictRight' => self::share($verdicts, static fn(ForeignOutcome $o): bool => $o->right),
            'stated' => self::mean($verdicts, 'probability'),
            'sureAndWrong' => self::share(
                $listed,
                static fn(ForeignOutcome $o): bool => $o->isWrong() && $o->probability >= 0.97,
            ),
            'noVerdict' => self::share($listed, static fn(ForeignOutcome $o): bool => $o->end !== 'verdict'),
            'tests' => self::mean($listed, 'tests'),
            'refused' => self::share($this->outcomes, static fn(ForeignOutcome $o): bool => $o->refused),
            'unlisted' => \count($unlisted),
            'unlistedWrong' => self::share(
                $unlisted,
                static fn(ForeignOutcome $o): bool => $o->isWrong() && $o->probability >= 0.9,
            ),
            'nothing' => \count($nothing),
            'nothingWrong' => self::share($nothing, static fn(ForeignOutcome $o): bool => $o->isWrong()),
        ];
    }

    /** @param list<ForeignOutcome> $outcomes */
    private static function mean(array $outcomes, string $of): float
    {
        $sum = 0.0;
        foreach ($outcomes as $outcome) {
            $sum += $of === 'tests' ? $outcome->tests : $outcome->probability;
        }

        return $sum / max(1, \count($outcomes));
    }

    /**
     * Of verdicts, those on listed faults alone or on all jobs: what no family lists and sound machines among them.
     *
     * @return list<array{from: float, to: float, jobs: int, stated: float, held: float}>
     */
    public function calibration(bool $listed): array
    {
        $verdicts = array_filter(
            $listed ? $this->of('listed') : $this->outcomes,
            static fn(ForeignOutcome $o): bool => $o->end === 'verdict',
        );
        $bins = [];
        foreach (\array_slice(TrialSummary::BINS, 0, -1) as $n => $from) {
            $in = array_values(
                array_filter(
                    $verdicts,
                    static fn(ForeignOutcome $o): bool => $o->probability >= $from &&
                        $o->probability < TrialSummary::BINS[$n + 1],
                ),
            );
            if ($in !== []) {
                $bins[] = [
                    'from' => $from,
                    'to' => min(1.0, TrialSummary::BINS[$n + 1]),
                    'jobs' => \count($in),
                    'stated' => self::mean($in, 'probability'),
                    'held' => self::share($in, static fn(ForeignOutcome $o): bool => $o->right),
                ];
            }
        }

        return $bins;
    }
}
