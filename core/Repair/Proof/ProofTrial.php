<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Trial\ForeignMachine;
use Ispira\Core\Diagnosis\Trial\ForeignScenario;
use Ispira\Core\Diagnosis\Trial\Hands;
use Ispira\Core\Kernel\RandomSource;

/**
 * Repairs of the foreign world that nobody hears anything wrong of: how many the checks send back to the bench.
 */
final readonly class ProofTrial
{
    /** Machines that are drawn until one sounds right in every position. */
    private const MOST_DRAWN = 60;

    private ProofChecks $checks;

    /** @var list<Test> */
    private array $tests;

    /** @var array<string, Hypothesis> */
    private array $hypotheses;

    private CircuitModel $byHand;

    public function __construct(CircuitModel $circuit, RepairSheet $sheet)
    {
        $evidence = (new Engine())->weigh($circuit, new CaseFile([], [], false), new DecisionSettings());
        $this->hypotheses = $evidence->hypotheses;
        $this->checks = new ProofChecks($circuit, $sheet, $evidence);
        $this->tests = array_values(
            array_filter(
                $this->checks->tests($sheet->never->tests),
                static fn(Test $test): bool => ProofChecks::missing($test) === null,
            ),
        );
        $this->byHand = Hands::of($circuit)->circuit();
    }

    /**
     * @param bool $cured whether the fault is gone; else it is one that only a meter finds
     *
     * @return array{once: bool, sent: bool}|null whether a reading was outside, and whether the job went back; null when
     *     every machine drawn was heard to be wrong
     */
    public function job(bool $cured, RandomSource $chance): ?array
    {
        for ($try = 0; $try < self::MOST_DRAWN; ++$try) {
            $scenario = $cured
                ? ForeignScenario::sound($this->hypotheses)
                : ForeignScenario::listed($this->hypotheses, $chance);
            $machine = new ForeignMachine($this->byHand, $scenario, $chance);
            if ($machine->map() === null) {
                return $this->proved($machine);
            }
        }

        return null;
    }

    /** @return array{once: bool, sent: bool} */
    private function proved(ForeignMachine $machine): array
    {
        $case = new CaseFile([], [], false);
        $once = false;
        foreach ($this->tests as $number => $test) {
            for ($finding = CheckFinding::Again, $time = 0; $finding === CheckFinding::Again; ++$time) {
                $reading = $machine->read("c$number-$time", $test);
                $finding = $this->checks->finding($case, $test, $reading);
                $case = $case->with($reading);
                $once = $once || $finding !== CheckFinding::Right;
            }
            if ($finding === CheckFinding::Wrong) {
                return ['once' => true, 'sent' => true];
            }
        }

        return ['once' => $once, 'sent' => false];
    }
}
