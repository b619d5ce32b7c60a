<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Diagnosis\Trial\Outcome;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Family\FamilyRegistry;

final class TrialCommand extends Command
{
    protected $signature = 'ispira:trial
        {--family=stepped-blower : key of the family}
        {--variant=* : names of variants; all when left out}
        {--runs=10 : jobs for each fault}
        {--faults= : only lasting, intermittent or pair}
        {--policy=* : engine, fixed order, random order, buy on the pattern; the engine when left out}
        {--seed=1}';

    protected $description = 'Work simulated jobs with hidden faults and print how often the right part was named, and at what price';

    /** Faults named right less often than this are listed. */
    private const LISTED_UNDER = 0.95;

    public function handle(FamilyRegistry $families): int
    {
        $trial = new Trial($families->get((string) $this->option('family')), (int) $this->option('seed'));
        $wanted = (array) $this->option('variant');
        $policies = array_map(static fn ($name): Policy => Policy::from((string) $name), (array) $this->option('policy')) ?: [Policy::Engine];
        $byFault = [];
        $verdicts = [];
        foreach ($policies as $policy) {
            $this->line("\n<info>{$policy->value}</info>");
            $this->line(sprintf('%-22s %-13s %6s %7s %6s %8s %10s', 'variant', 'faults', 'jobs', 'right', 'tests', 'minutes', 'avoidable'));
            $overall = [];
            foreach ($trial->variants() as $name => $parameters) {
                if ($wanted !== [] && !in_array($name, $wanted, true)) {
                    continue;
                }
                $groups = [];
                foreach ($trial->run($parameters, $policy, (int) $this->option('runs'), is_string($this->option('faults')) ? $this->option('faults') : null) as ['group' => $group, 'fault' => $fault, 'outcome' => $outcome]) {
                    $groups[$group][] = $outcome;
                    $overall[$group][] = $outcome;
                    if ($policy === Policy::Engine) {
                        $byFault["$name: $fault"][] = $outcome;
                        $verdicts[] = $outcome;
                    }
                }
                $this->rows($name, $groups);
            }
            $this->rows('all', $overall + ['together' => array_merge(...array_values($overall) ?: [[]])]);
        }
        $this->kinds($byFault);
        $this->weakFaults($byFault);
        $this->calibration($verdicts);

        return self::SUCCESS;
    }

    /** @param array<string, list<Outcome>> $groups */
    private function rows(string $name, array $groups): void
    {
        foreach ($groups as $group => $outcomes) {
            $jobs = count($outcomes);
            $this->line(sprintf(
                '%-22s %-13s %6d %6.1f%% %6.2f %8.1f %10.1f',
                $name,
                $group,
                $jobs,
                100 * array_sum(array_map(static fn (Outcome $o): int => (int) $o->right, $outcomes)) / max(1, $jobs),
                array_sum(array_map(static fn (Outcome $o): int => $o->tests, $outcomes)) / max(1, $jobs),
                array_sum(array_map(static fn (Outcome $o): float => $o->minutes, $outcomes)) / max(1, $jobs),
                array_sum(array_map(static fn (Outcome $o): float => $o->avoidable, $outcomes)) / max(1, $jobs),
            ));
        }
    }

    /**
     * Right parts by kind of fault over all variants, whichever resistor, contact or wire it was.
     *
     * @param array<string, list<Outcome>> $byFault
     */
    private function kinds(array $byFault): void
    {
        $kinds = [];
        foreach ($byFault as $fault => $outcomes) {
            $kind = (string) preg_replace(['/^.*: /', '/-\d+/'], ['', ''], $fault);
            $kinds[$kind] = [...$kinds[$kind] ?? [], ...$outcomes];
        }
        $this->line("\nright part by kind of fault, over all variants");
        foreach ($kinds as $kind => $outcomes) {
            $right = count(array_filter($outcomes, static fn (Outcome $o): bool => $o->right));
            $this->line(sprintf('  %-40s %5d of %5d  %5.1f%%', $kind, $right, count($outcomes), 100 * $right / max(1, count($outcomes))));
        }
    }

    /** @param array<string, list<Outcome>> $byFault */
    private function weakFaults(array $byFault): void
    {
        $this->line("\nfaults named right in fewer than ".(100 * self::LISTED_UNDER).' % of their jobs');
        foreach ($byFault as $fault => $outcomes) {
            $wrong = array_values(array_filter($outcomes, static fn (Outcome $o): bool => !$o->right));
            if (count($wrong) > (1 - self::LISTED_UNDER) * count($outcomes)) {
                $named = array_count_values(array_map(static fn (Outcome $o): string => $o->verdict, $wrong));
                $this->line(sprintf('  %-48s %d of %d, else %s', $fault, count($outcomes) - count($wrong), count($outcomes), implode(', ', array_map(static fn (string $part, int $n): string => "$part $n", array_keys($named), $named))));
            }
        }
    }

    /** @param list<Outcome> $verdicts */
    private function calibration(array $verdicts): void
    {
        $this->line("\nstated odds of the verdict against how often it held");
        foreach ([[0.0, 0.5], [0.5, 0.8], [0.8, 0.9], [0.9, 0.95], [0.95, 0.98], [0.98, 0.995], [0.995, 1.01]] as [$from, $to]) {
            $in = array_values(array_filter($verdicts, static fn (Outcome $o): bool => $o->probability >= $from && $o->probability < $to));
            if ($in !== []) {
                $this->line(sprintf('  %5.1f%% to %5.1f%%  %6d jobs  stated %5.1f%%  held %5.1f%%', 100 * $from, 100 * min(1.0, $to), count($in), 100 * array_sum(array_map(static fn (Outcome $o): float => $o->probability, $in)) / count($in), 100 * count(array_filter($in, static fn (Outcome $o): bool => $o->right)) / count($in)));
            }
        }
    }
}
