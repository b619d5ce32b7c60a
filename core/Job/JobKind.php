<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Kinds of job, which differ in the stages they pass.
 */
enum JobKind: string
{
    case Fault = 'fault';
    case LoosePart = 'loose-part';
    case Adjustment = 'adjustment';
    case FollowUp = 'follow-up';
    case Remote = 'remote';

    /** @return list<JobStage> in order */
    public function flow(): array
    {
        return match ($this) {
            self::Fault => [JobStage::Circuit, JobStage::Bench, JobStage::Proof, JobStage::Closed],
            self::LoosePart => [JobStage::Circuit, JobStage::Bench, JobStage::Closed],
            self::Adjustment => [JobStage::Circuit, JobStage::Proof, JobStage::Closed],
            self::FollowUp => [JobStage::Proof, JobStage::Closed],
            self::Remote => [JobStage::Circuit, JobStage::Bench, JobStage::Closed],
        };
    }

    /** Whether the job begins with a speed map of the unit. */
    public function hasMap(): bool
    {
        return $this !== self::LoosePart;
    }

    /** Whether it cannot begin without one. */
    public function needsMap(): bool
    {
        return $this === self::Fault;
    }

    /** What follows once the circuit is told. */
    public function afterCircuit(): JobStage
    {
        return $this->flow()[1];
    }

    /**
     * @param bool $guarded whether the machine goes back into service only when it was proved safe
     *
     * @return list<JobOutcome> in which it can end
     */
    public function outcomes(bool $guarded = false): array
    {
        $outcomes = $this->usualOutcomes();
        if (!$guarded || !\in_array(JobStage::Proof, $this->flow(), true)) {
            return $outcomes;
        }

        return [
            ...array_values(array_filter($outcomes, static fn(JobOutcome $o): bool => $o !== JobOutcome::NotRepaired)),
            JobOutcome::NotInService,
            JobOutcome::HandedOver,
        ];
    }

    /** @return list<JobOutcome> */
    private function usualOutcomes(): array
    {
        return match ($this) {
            self::Fault => [
                JobOutcome::Repaired,
                JobOutcome::Watched,
                JobOutcome::Temporary,
                JobOutcome::ProvenGood,
                JobOutcome::NotRepaired,
            ],
            self::LoosePart => [JobOutcome::ProvenGood, JobOutcome::NotRepaired],
            self::Adjustment => [JobOutcome::Adjusted, JobOutcome::NotRepaired],
            self::FollowUp => [
                JobOutcome::ProvenGood,
                JobOutcome::Repaired,
                JobOutcome::Watched,
                JobOutcome::NotRepaired,
            ],
            self::Remote => [JobOutcome::Advised, JobOutcome::NotRepaired],
        };
    }

    /** Whether a machine is there whose speeds have to be right for that end. */
    public function provesBeforeIt(JobOutcome $outcome): bool
    {
        return $this !== self::LoosePart &&
            \in_array(
                $outcome,
                [
                    JobOutcome::Repaired,
                    JobOutcome::Watched,
                    JobOutcome::Temporary,
                    JobOutcome::ProvenGood,
                    JobOutcome::Adjusted,
                ],
                true,
            );
    }
}
