<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\ForeignSummary;
use Ispira\Core\Diagnosis\Trial\ForeignTrial;
use Ispira\Core\Diagnosis\Trial\IdealObserver;
use Ispira\Core\Diagnosis\Trial\Observed;
use Ispira\Core\Diagnosis\Trial\Outcome;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Diagnosis\Trial\TrialSummary;
use Ispira\Core\Kernel\RandomSource;

final class TrialCommand extends Command
{
    protected $signature = 'ispira:trial
        {--family=* : keys of families; all when left out}
        {--variant=* : names of variants; all when left out}
        {--runs=4 : jobs for each fault of each variant}
        {--faults= : only lasting, intermittent or pair}
        {--policy=* : engine, fixed order, random order, buy on the pattern; the engine when left out}
        {--by-variant : a row for each variant}
        {--world=own : own, or foreign: wider than the engine\'s, with faults that no family lists}
        {--jobs=400 : jobs of the foreign world for each family}
        {--ideal=0 : jobs with a listed fault of each family that an ideal observer weighs as well, a minute each}
        {--wrong : list the jobs of the foreign world that went wrong}
        {--seed=1}';

    protected $description = 'Work simulated jobs with hidden faults and print how often the right part was named, and at what price';

    /** Faults named right less often than this are listed. */
    private const LISTED_UNDER = 0.95;

    public function handle(FamilyRegistry $families): int
    {
        $wanted = $families->wanted((array) $this->option('family'));
        if ($this->option('world') === 'foreign') {
            return $this->foreign($wanted);
        }
        $policies = array_map(
            static fn($name): Policy => Policy::from((string) $name),
            (array) $this->option('policy'),
        ) ?: [Policy::Engine];
        $avoidable = [];
        foreach ($policies as $policy) {
            $this->line("\n<info>{$policy->value}</info>");
            $this->line(
                sprintf(
                    '%-20s %-30s %-13s %6s %7s %6s %8s %10s',
                    'family',
                    'variant',
                    'faults',
                    'jobs',
                    'right',
                    'tests',
                    'minutes',
                    'avoidable',
                ),
            );
            $all = new TrialSummary();
            foreach ($wanted as $key => $family) {
                $summary = $this->family(new Trial($family, (int) $this->option('seed')), $key, $policy);
                $all->takeFrom($summary);
                $avoidable[$key][$policy->value] = $summary->avoidable();
            }
            $this->rows('all', '', $all);
            $avoidable['all'][$policy->value] = $all->avoidable();
            if ($policy === Policy::Engine) {
                $this->details($all);
            }
        }
        if (count($policies) > 1) {
            $this->ratios($avoidable);
        }

        return self::SUCCESS;
    }

    /** @param array<string, Family> $wanted by key */
    private function foreign(array $wanted): int
    {
        $all = new ForeignSummary();
        $this->line(
            'family              jobs  right  verdicts stated  sure+wrong  no verdict  tests  refused  unlisted wrong  nothing wrong',
        );
        foreach ($wanted as $key => $family) {
            $summary = new ForeignSummary();
            $trial = new ForeignTrial($family, (int) $this->option('seed'));
            foreach ($trial->run((int) $this->option('jobs')) as $outcome) {
                $summary->take($outcome);
                $all->take($outcome);
            }
            $this->figures($key, $summary);
            if ((int) $this->option('ideal') > 0) {
                $this->ideal($summary);
            }
        }
        $this->figures('all', $all);
        foreach (['on a listed fault' => true, 'on any job' => false] as $which => $listed) {
            $this->line("\nstated odds of the verdict $which against how often it held");
            foreach ($all->calibration($listed) as $bin) {
                $this->bin($bin['from'], $bin['to'], $bin['jobs'], $bin['stated'], $bin['held']);
            }
        }
        foreach ($this->option('wrong') === true ? $all->outcomes : [] as $outcome) {
            $bad = $outcome->kind === 'listed' ? !$outcome->right || $outcome->end !== 'verdict' : $outcome->isWrong();
            if ($bad || $outcome->refused) {
                $this->line(
                    sprintf(
                        "%s %s %s: %s %.3f %s%s\n    %s",
                        $outcome->family,
                        $outcome->kind,
                        $outcome->fault,
                        $outcome->named,
                        $outcome->probability,
                        $outcome->end,
                        $outcome->refused ? ', refused an honest reading' : '',
                        implode(' ', $outcome->path),
                    ),
                );
            }
        }

        return self::SUCCESS;
    }

    /** What could have been told at best from the readings that the engine asked for. */
    private function ideal(ForeignSummary $summary): void
    {
        $rows = [];
        foreach (array_slice($summary->of('listed'), 0, (int) $this->option('ideal')) as $number => $outcome) {
            $observer = new IdealObserver($outcome->byHand, new RandomSource($number));
            $odds = $observer->odds($outcome->readings);
            $named = (string) array_key_first($odds);
            $rows[] = $row = new Observed($outcome, $named, $odds[$named]);
            if ($this->output->isVerbose()) {
                $this->line(
                    sprintf(
                        '    %-40s engine %s %.3f, ideal %s %.3f',
                        $outcome->fault,
                        $outcome->named,
                        $outcome->probability,
                        $row->named,
                        $row->probability,
                    ),
                );
            }
        }
        foreach (Observed::compared($rows) as $who => [$right, $undecided, $sure, $stated, $held]) {
            $this->line(
                sprintf(
                    '    %-16s of %d: right %5.1f%%, under 90%% in %5.1f%%, at 90%% and more %d: stated %5.1f%%, held %5.1f%%',
                    $who,
                    count($rows),
                    100 * $right,
                    100 * $undecided,
                    $sure,
                    100 * $stated,
                    100 * $held,
                ),
            );
        }
    }

    private function figures(string $key, ForeignSummary $summary): void
    {
        $f = $summary->figures();
        $this->line(
            sprintf(
                '%-18s %5d %5.1f%% %8.1f%% %6.1f%% %10.1f%% %10.1f%% %6.2f %7.1f%% %6.1f%% of %-4d %6.1f%% of %d',
                $key,
                $f['jobs'],
                100 * $f['right'],
                100 * $f['verdictRight'],
                100 * $f['stated'],
                100 * $f['sureAndWrong'],
                100 * $f['noVerdict'],
                $f['tests'],
                100 * $f['refused'],
                100 * $f['unlistedWrong'],
                $f['unlisted'],
                100 * $f['nothingWrong'],
                $f['nothing'],
            ),
        );
    }

    private function family(Trial $trial, string $key, Policy $policy): TrialSummary
    {
        $variants = (array) $this->option('variant');
        $summary = new TrialSummary();
        foreach ($trial->variants() as $name => $parameters) {
            if ($variants !== [] && !in_array($name, $variants, true)) {
                continue;
            }
            $one = new TrialSummary();
            foreach (
                $trial->run(
                    $parameters,
                    $policy,
                    (int) $this->option('runs'),
                    is_string($this->option('faults')) ? $this->option('faults') : null,
                )
                as ['group' => $group, 'fault' => $fault, 'outcome' => $outcome]
            ) {
                $one->take($group, "$key: $fault", $outcome);
            }
            if ($this->option('by-variant') === true) {
                $this->rows($key, $name, $one);
            }
            $summary->takeFrom($one);
        }
        $this->rows($key, 'all', $summary);

        return $summary;
    }

    private function rows(string $family, string $variant, TrialSummary $summary): void
    {
        foreach ($summary->groups() as $group => $outcomes) {
            $this->line(
                sprintf(
                    '%-20s %-30s %-13s %6d %6.1f%% %6.2f %8.1f %10.1f',
                    $family,
                    $variant,
                    $group,
                    count($outcomes),
                    100 * TrialSummary::right($outcomes),
                    TrialSummary::mean($outcomes, 'tests'),
                    TrialSummary::mean($outcomes, 'minutes'),
                    TrialSummary::mean($outcomes, 'avoidable'),
                ),
            );
        }
    }

    /**
     * Avoidable money of the engine over that of each other policy.
     *
     * @param array<string, array<string, float>> $avoidable by family and policy
     */
    private function ratios(array $avoidable): void
    {
        $this->line("\navoidable money of the engine over that of the others");
        foreach ($avoidable as $family => $byPolicy) {
            $parts = [];
            foreach ($byPolicy as $policy => $money) {
                if ($policy !== Policy::Engine->value && isset($byPolicy[Policy::Engine->value])) {
                    $parts[] = sprintf('%s %.2f', $policy, $byPolicy[Policy::Engine->value] / max(1e-9, $money));
                }
            }
            $this->line(sprintf('  %-20s %s', $family, implode(', ', $parts)));
        }
    }

    private function details(TrialSummary $all): void
    {
        $this->line(
            "\nkinds of fault named right in fewer than " .
                100 * self::LISTED_UNDER .
                ' % of their jobs, whichever contact, wire or fan it was',
        );
        foreach ($all->kinds() as $kind => $outcomes) {
            if (TrialSummary::right($outcomes) < self::LISTED_UNDER) {
                $wrong = array_count_values(
                    array_map(
                        static fn(Outcome $o): string => $o->verdict,
                        array_filter($outcomes, static fn(Outcome $o): bool => !$o->right),
                    ),
                );
                arsort($wrong);
                $this->line(
                    sprintf(
                        '  %-56s %5d jobs %6.1f%%, else %s',
                        $kind,
                        count($outcomes),
                        100 * TrialSummary::right($outcomes),
                        implode(
                            ', ',
                            array_map(
                                static fn(string $part, int $n): string => "$part $n",
                                array_keys($wrong),
                                $wrong,
                            ),
                        ),
                    ),
                );
            }
        }
        $this->line("\nstated odds of the verdict against how often it held");
        foreach (array_slice(TrialSummary::BINS, 0, -1) as $n => $from) {
            $in = $all->stated($from, TrialSummary::BINS[$n + 1]);
            if ($in !== []) {
                $this->bin(
                    $from,
                    min(1.0, TrialSummary::BINS[$n + 1]),
                    count($in),
                    TrialSummary::mean($in, 'probability'),
                    TrialSummary::right($in),
                );
            }
        }
    }

    /** A row of stated odds against how often they held. */
    private function bin(float $from, float $to, int $jobs, float $stated, float $held): void
    {
        $this->line(
            sprintf(
                '  %5.1f%% to %5.1f%%  %6d jobs  stated %5.1f%%  held %5.1f%%',
                100 * $from,
                100 * $to,
                $jobs,
                100 * $stated,
                100 * $held,
            ),
        );
    }
}
