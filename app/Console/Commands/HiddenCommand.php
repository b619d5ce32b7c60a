<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\EverythingMeasured;
use Ispira\Core\Diagnosis\Trial\Trial;

/**
 * Faults that stay hidden even when every test of their circuit is done: each asks for a test, or for a mending.
 */
final class HiddenCommand extends Command
{
    protected $signature = 'ispira:hidden
        {--family=* : only these}
        {--runs=3 : units with each fault}
        {--variants : the other circuits of a family too, for the faults that its ordinary one has not}';

    protected $description = 'List faults whose part does not lead though everything was measured';

    public function handle(FamilyRegistry $families): int
    {
        $units = $right = 0;
        foreach ($families->wanted((array) $this->option('family')) as $key => $family) {
            $known = [];
            foreach ($this->circuits($family) as $name => $parameters) {
                $trial = new EverythingMeasured(
                    $family->circuit($family->parameters()->read($parameters)),
                    "$key/$name",
                );
                foreach (array_diff(array_keys($trial->faults), $known) as $fault) {
                    [$all, $led, $else] = $this->units($trial, $fault);
                    if ($all > 0) {
                        $known[] = $fault;
                    }
                    $units += $all;
                    $right += $led;
                    if ($else !== []) {
                        $this->line("$key, $name: $fault leads in $led of $all, else " . implode(', ', $else));
                    }
                }
            }
        }
        $this->line("all: $right of $units");

        return self::SUCCESS;
    }

    /** @return array<string, array<string, string>> parameters by name */
    private function circuits(Family $family): array
    {
        return $this->option('variants') ? (new Trial($family, 1))->variants() : ['ordinary' => []];
    }

    /** @return array{0: int, 1: int, 2: list<string>} units, those in which the right part leads, and what leads in the others */
    private function units(EverythingMeasured $trial, string $fault): array
    {
        $all = $led = 0;
        $else = [];
        for ($run = 0; $run < (int) $this->option('runs'); ++$run) {
            $unit = $trial->unit($fault, $run);
            if ($unit === null) {
                continue;
            }
            ++$all;
            $leader = (string) array_key_first($unit['suspects']);
            if ($leader === $unit['right']) {
                ++$led;
            } else {
                $else[] = sprintf('%s %.0f%%', $leader, 100.0 * $unit['suspects'][$leader]);
            }
        }

        return [$all, $led, $else];
    }
}
