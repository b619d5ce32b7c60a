<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\DiagnosisStream;
use Illuminate\Console\Command;
use Ispira\Core\Kernel\FileError;

final class DiagnoseCommand extends Command
{
    use ReadsInput;

    protected $signature = 'ispira:diagnose
        {file=- : a job file, or - for standard input}
        {--stream : read job files one a line from standard input and print one diagnosis a line}';

    protected $description = 'Diagnose a job file and print suspects, next test, verdict and misfit as JSON; needs no database';

    public function handle(DiagnosisStream $diagnoses): int
    {
        if ($this->option('stream') === true) {
            return $this->stream($diagnoses);
        }
        $json = $this->readInput();
        if ($json === null) {
            return self::FAILURE;
        }
        try {
            $diagnosis = $diagnoses->of($json);
        } catch (FileError $error) {
            $this->complain($error->getMessage());

            return self::FAILURE;
        }
        $this->output->writeln((string) json_encode($diagnosis, DiagnosisStream::JSON | \JSON_PRETTY_PRINT));

        return self::SUCCESS;
    }

    private function stream(DiagnosisStream $diagnoses): int
    {
        $input = fopen('php://stdin', 'r');
        $output = fopen('php://stdout', 'w');
        if ($input === false || $output === false) {
            $this->complain('Standard input or output is closed.');

            return self::FAILURE;
        }
        $diagnoses->run($input, $output);

        return self::SUCCESS;
    }
}
