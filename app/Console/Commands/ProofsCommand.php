<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Repair\Proof\ProofTrial;

/**
 * How often the checks after a repair send sound machines back, and how often those with a fault that nobody hears.
 */
final class ProofsCommand extends Command
{
    protected $signature = 'ispira:proofs
        {--jobs=100 : cured machines of each family, and as many with a fault that nobody hears}
        {--seed=1 : the same seed makes the same machines}
        {--family=* : only these}';

    protected $description = 'Prove simulated repairs, and print how many sound and faulty ones go back to the bench';

    public function handle(FamilyRegistry $families): int
    {
        $this->line(
            sprintf(
                '%-20s %6s %14s %6s %7s %14s %6s',
                'family',
                'cured',
                'outside once',
                'back',
                'faulty',
                'outside once',
                'back',
            ),
        );
        $all = [[0, 0, 0], [0, 0, 0]];
        foreach ($families->wanted((array) $this->option('family')) as $key => $family) {
            if (!($family instanceof Repairable)) {
                continue;
            }
            $trial = new ProofTrial($family->circuit($family->parameters()->read([])), $family->repairSheet());
            $counts = [[0, 0, 0], [0, 0, 0]];
            foreach ([true, false] as $row => $cured) {
                for ($job = 0; $job < (int) $this->option('jobs'); ++$job) {
                    $seed = crc32("proofs/{$this->option('seed')}/$key/$row/$job");
                    $proved = $trial->job($cured, new RandomSource($seed));
                    foreach ([$proved !== null, $proved['once'] ?? false, $proved['sent'] ?? false] as $column => $is) {
                        $counts[$row][$column] += (int) $is;
                        $all[$row][$column] += (int) $is;
                    }
                }
            }
            $this->row($key, $counts);
        }
        $this->row('all', $all);

        return self::SUCCESS;
    }

    /** @param list<list<int>> $counts of cured and of faulty machines: all, outside once, sent back */
    private function row(string $key, array $counts): void
    {
        [$cured, $faulty] = $counts;
        $this->line(
            sprintf(
                '%-20s %6d %13.1f%% %5.1f%% %7d %13.1f%% %5.1f%%',
                $key,
                $cured[0],
                (100.0 * $cured[1]) / max(1, $cured[0]),
                (100.0 * $cured[2]) / max(1, $cured[0]),
                $faulty[0],
                (100.0 * $faulty[1]) / max(1, $faulty[0]),
                (100.0 * $faulty[2]) / max(1, $faulty[0]),
            ),
        );
    }
}
