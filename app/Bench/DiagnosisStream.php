<?php

declare(strict_types=1);

namespace App\Bench;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Job\JobFile;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Kernel\FileError;

/**
 * Diagnoses of job files, one after the other, for any program that wants to ask the engine.
 */
final class DiagnosisStream
{
    /** How a diagnosis is written. */
    public const JSON =
        \JSON_UNESCAPED_UNICODE |
        \JSON_UNESCAPED_SLASHES |
        \JSON_PRESERVE_ZERO_FRACTION |
        \JSON_PARTIAL_OUTPUT_ON_ERROR;

    /** Circuits whose predictions are kept, so that a long stream of different ones stays small. */
    private const KEPT_CIRCUITS = 20;

    /** @var array<string, CircuitModel> by family and parameters */
    private array $circuits = [];

    private Engine $engine;

    public function __construct(private readonly FamilyRegistry $families, private readonly JobFileFormat $format)
    {
        $this->engine = new Engine(new MemoryStore());
    }

    /**
     * @return DiagnosisShown the diagnosis as it leaves the core
     *
     * @throws FileError when the text is no job file
     */
    public function of(string $json): DiagnosisShown
    {
        $file = $this->format->read($json);
        $circuit = $this->circuit($file);
        $case = $file->caseFile();

        return (new DiagnosisFormat(
            $circuit,
            $case,
            $this->engine->diagnose($circuit, $case, new DecisionSettings()),
        ))->shown();
    }

    /**
     * Answers each line, a job file, with a line: the diagnosis, or an object with `error` and `line`. Empty lines are
     * passed over.
     *
     * @param resource $input
     * @param resource $output
     */
    public function run($input, $output): void
    {
        for ($number = 1; ($line = fgets($input)) !== false; ++$number) {
            if (trim($line) === '') {
                continue;
            }
            try {
                $answer = $this->of($line);
            } catch (FileError $error) {
                $answer = ['error' => $error->getMessage(), 'line' => $number];
            }
            fwrite($output, json_encode($answer, self::JSON) . "\n");
            fflush($output);
        }
    }

    private function circuit(JobFile $file): CircuitModel
    {
        $key = (string) json_encode([$file->family, $file->parameters, $file->job['part']]);
        if (!isset($this->circuits[$key])) {
            if (\count($this->circuits) >= self::KEPT_CIRCUITS) {
                $this->circuits = [];
                $this->engine = new Engine(new MemoryStore());
            }
            $circuit = $this->families->get($file->family)->circuit($file->parameters);
            $this->circuits[$key] =
                $file->job['part'] === null ? $circuit : LoosePart::of($circuit, $file->job['part']);
        }

        return $this->circuits[$key];
    }
}
