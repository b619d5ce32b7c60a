<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Diagnosis\DecisionSettings;
use Ispira\Core\Diagnosis\DiagnosisFormat;
use Ispira\Core\Diagnosis\Engine;
use Ispira\Core\Diagnosis\LoosePart;
use Ispira\Core\Family\FamilyRegistry;
use Ispira\Core\Job\FileError;
use Ispira\Core\Job\JobFileFormat;

final class DiagnoseCommand extends Command
{
    use ReadsInput;

    protected $signature = 'ispira:diagnose {file : a job file, or - for standard input}';

    protected $description = 'Diagnose a job file and print suspects, next test, verdict and misfit as JSON; needs no database';

    public function handle(FamilyRegistry $families, JobFileFormat $format): int
    {
        $json = $this->readInput();
        if ($json === null) {
            return self::FAILURE;
        }
        try {
            $file = $format->read($json);
        } catch (FileError $error) {
            $this->complain($error->getMessage());

            return self::FAILURE;
        }
        $circuit = $families->get($file->family)->circuit($file->parameters);
        $circuit = $file->job['part'] === null ? $circuit : LoosePart::of($circuit, $file->job['part']);
        $case = $file->caseFile();
        $diagnosis = (new Engine())->diagnose($circuit, $case, new DecisionSettings());
        $this->output->writeln((string) json_encode((new DiagnosisFormat($circuit, $case, $diagnosis))->toArray(), \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION));

        return self::SUCCESS;
    }
}
