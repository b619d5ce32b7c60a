<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\Shown\MeterName;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Repair\Fit\CataloguePart;

/**
 * A workplace as it was when a job was taken along. No meter is in reach of it.
 */
final readonly class KeptWorkplace implements Workplace
{
    /**
     * @param list<string>             $missingTools
     * @param list<CataloguePart>      $parts
     * @param array<string, Procedure> $procedures
     * @param string                   $today as the device has it, YYYY-MM-DD
     * @param list<string>             $lessons on the model of the job
     */
    public function __construct(
        private DisplayUnits $units,
        private float $labourPerHour,
        private float $comeBackHours,
        private array $missingTools,
        private float $leadOhms,
        private array $parts,
        private array $procedures,
        private string $today,
        private array $lessons = [],
        private Terms $terms = new Terms(),
    ) {}

    /** The same with a tool at hand, or not. */
    public function withTool(string $tool, bool $atHand): self
    {
        $missing = array_values(array_diff($this->missingTools, [$tool]));

        return new self(
            $this->units,
            $this->labourPerHour,
            $this->comeBackHours,
            $atHand ? $missing : [...$missing, $tool],
            $this->leadOhms,
            $this->parts,
            $this->procedures,
            $this->today,
            $this->lessons,
            $this->terms,
        );
    }

    public function units(): DisplayUnits
    {
        return $this->units;
    }

    public function labourPerHour(): float
    {
        return $this->labourPerHour;
    }

    public function comeBackHours(): float
    {
        return $this->comeBackHours;
    }

    public function missingTools(): array
    {
        return $this->missingTools;
    }

    /** @return list<MeterName> */
    public function meters(): array
    {
        return [];
    }

    public function leadOhms(): float
    {
        return $this->leadOhms;
    }

    public function parts(): array
    {
        return $this->parts;
    }

    public function procedures(): array
    {
        return $this->procedures;
    }

    /** @return list<string> */
    public function lessons(JobState $job): array
    {
        return $this->lessons;
    }

    public function terms(JobState $job): Terms
    {
        return $this->terms;
    }

    public function today(): string
    {
        return $this->today;
    }
}
