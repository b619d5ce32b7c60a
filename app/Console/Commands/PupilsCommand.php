<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\Correlation;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\Pupil;
use Ispira\Core\Practice\Pupils;

/**
 * Simulated pupils on the same units: whether points follow what courses really cost.
 */
final class PupilsCommand extends Command
{
    protected $signature = 'ispira:pupils
        {--units=40 : units of each family}
        {--seed=1 : the same seed makes the same units}
        {--family=* : only these}';

    protected $description = 'Score simulated pupils on practice units, and compare points with what they really cost';

    public function handle(FamilyRegistry $families): int
    {
        $kinds = HiddenKind::cases();
        $units = [];
        foreach ($families->wanted((array) $this->option('family')) as $key => $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            $store = new MemoryStore();
            for ($n = 0; $n < (int) $this->option('units'); ++$n) {
                // Six of ten are single faults.
                $kind = $n % 10 < 6 ? HiddenKind::Single : $kinds[($n % 10) - 5];
                if (!$kind->isPossible($circuit)) {
                    continue;
                }
                try {
                    $seed = crc32("pupils/{$this->option('seed')}/$key/$n") & 0x7fffffff;
                    $units[] = (new Pupils($circuit, $kind, $seed, new DecisionSettings(), $store))->work();
                } catch (\LogicException) {
                    continue;
                }
            }
        }
        if ($units === []) {
            $this->error('No unit was made.');

            return self::FAILURE;
        }
        $this->line(sprintf('%-22s %7s %7s %7s %9s', 'pupil', 'points', 'passed', 'right', 'money'));
        [$points, $money, $withinPoints, $withinMoney] = [[], [], [], []];
        foreach (Pupil::cases() as $pupil) {
            $own = array_column($units, $pupil->value);
            $mean = static fn(string $of): float => array_sum(array_map(floatval(...), array_column($own, $of))) /
                count($own);
            $this->line(
                sprintf(
                    '%-22s %7.1f %6.1f%% %6.1f%% %9.2f',
                    $pupil->value,
                    $mean('points'),
                    100.0 * $mean('passed'),
                    100.0 * $mean('right'),
                    $mean('money'),
                ),
            );
            if ($pupil !== Pupil::Dangerous) {
                $points[] = $mean('points');
                $money[] = -$mean('money');
                array_push($withinPoints, ...array_map(floatval(...), array_column($own, 'points')));
                array_push(
                    $withinMoney,
                    ...array_map(static fn($one): float => -(float) $one, array_column($own, 'money')),
                );
            }
        }
        $this->line(
            sprintf(
                '%d units; the dangerous one passed %d',
                count($units),
                count(array_filter(array_column(array_column($units, Pupil::Dangerous->value), 'passed'))),
            ),
        );
        $this->line(sprintf('Spearman of points and cost over pupils %.3f', Correlation::spearman($points, $money)));
        $each = array_map(static function (array $unit): float {
            $seen = array_diff_key($unit, [Pupil::Dangerous->value => true]);

            return Correlation::spearman(
                array_map(floatval(...), array_column($seen, 'points')),
                array_map(static fn($one): float => -(float) $one, array_column($seen, 'money')),
            );
        }, $units);
        $this->line(sprintf('within a unit, mean %.3f', array_sum($each) / count($each)));
        $this->line(sprintf('over all courses %.3f', Correlation::spearman($withinPoints, $withinMoney)));

        return self::SUCCESS;
    }
}
