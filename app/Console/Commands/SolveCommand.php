<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\NetlistFormat;

final class SolveCommand extends Command
{
    use ReadsInput;

    protected $signature = 'ispira:solve {file : a netlist as JSON, or - for standard input}';

    protected $description = 'Solve a netlist and print node voltages, branch currents and motor speeds as JSON';

    public function handle(): int
    {
        $json = $this->readInput();
        if ($json === null) {
            return self::FAILURE;
        }
        try {
            $netlist = NetlistFormat::read($json);
            $solution = NetlistFormat::solution($netlist, (new CircuitSolver($netlist))->solve());
        } catch (CircuitError $error) {
            $this->complain($error->getMessage());

            return self::FAILURE;
        }
        $this->output->writeln(
            (string) json_encode($solution, \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
        );

        return self::SUCCESS;
    }
}
