<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

use Ispira\Core\Job\Again;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What every page of a job shows of it.
 */
final readonly class JobHead
{
    /**
     * @param string|null $dueOn day as YYYY-MM-DD
     * @param list<JobStage> $flow the stages that a job of this kind goes through
     * @param bool $practice whether its unit is a make-believe one
     * @param string|null $owner name of the person whose job it is
     * @param string|null $partExpectedOn day as YYYY-MM-DD on which the next part that was ordered should be there
     * @param bool $countersign whether somebody has to countersign how it was closed
     * @param list<Again> $again what was replaced on the unit or its model not long before
     * @param bool $tour whether the way is explained on it step by step
     */
    public function __construct(
        public string $id,
        public string $number,
        public string $unit,
        public ?string $place,
        public ?string $model,
        public string $complaint,
        public ?string $since,
        public bool $intermittent,
        public ?string $replacedBefore,
        public JobStage $stage,
        public JobKind $kind,
        public ?JobOutcome $outcome,
        public ?string $dueOn,
        public array $flow,
        public string $openedAt,
        public ?string $closedAt,
        public ?string $temporaryUntil,
        public bool $practice = false,
        public ?string $owner = null,
        public ?string $partExpectedOn = null,
        public bool $countersign = false,
        public array $again = [],
        public bool $tour = false,
    ) {}

    /**
     * The same in another stage; a closed one with its end.
     *
     * @param string|null $dueOn    day as YYYY-MM-DD
     * @param string|null $closedAt moment as ISO 8601
     */
    public function inStage(
        JobStage $stage,
        ?JobOutcome $outcome = null,
        ?string $dueOn = null,
        ?string $closedAt = null,
    ): self {
        return new self(
            $this->id,
            $this->number,
            $this->unit,
            $this->place,
            $this->model,
            $this->complaint,
            $this->since,
            $this->intermittent,
            $this->replacedBefore,
            $stage,
            $this->kind,
            $outcome ?? $this->outcome,
            $dueOn ?? $this->dueOn,
            $this->flow,
            $this->openedAt,
            $closedAt ?? $this->closedAt,
            $this->temporaryUntil,
            $this->practice,
            $this->owner,
            $this->partExpectedOn,
            $this->countersign,
            $this->again,
            $this->tour,
        );
    }
}
