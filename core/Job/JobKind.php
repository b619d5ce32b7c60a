<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * Kinds of job, which differ in the stages they pass.
 */
enum JobKind: string
{
    case Fault = 'fault';
    case LoosePart = 'loose-part';
    case Adjustment = 'adjustment';
    case FollowUp = 'follow-up';

    /** @return list<JobStage> in order */
    public function flow(): array
    {
        return match ($this) {
            self::Fault => [JobStage::Circuit, JobStage::Bench, JobStage::Proof, JobStage::Closed],
            self::LoosePart => [JobStage::Circuit, JobStage::Bench, JobStage::Closed],
            self::Adjustment => [JobStage::Circuit, JobStage::Proof, JobStage::Closed],
            self::FollowUp => [JobStage::Proof, JobStage::Closed],
        };
    }

    /** Whether the job begins with a speed map of the unit. */
    public function hasMap(): bool
    {
        return $this !== self::LoosePart;
    }
}
