<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * How often each thing was what cured a machine.
 */
final readonly class Counted
{
    /**
     * @param array<string, float> $remedies jobs by remedy
     * @param array<string, array<string, float>> $faults jobs by fault, within a remedy, as far as that is known
     */
    public function __construct(public array $remedies = [], public array $faults = []) {}

    /** @param list<ProvenJob> $jobs */
    public static function of(array $jobs): self
    {
        $remedies = $faults = [];
        foreach ($jobs as $job) {
            $remedies[$job->remedy] = ($remedies[$job->remedy] ?? 0.0) + 1.0;
            foreach ($job->faults as $fault => $share) {
                $faults[$job->remedy][$fault] = ($faults[$job->remedy][$fault] ?? 0.0) + $share;
            }
        }

        return new self($remedies, $faults);
    }

    /** @param list<CountedFault> $counts */
    public static function faults(array $counts): self
    {
        $remedies = $faults = [];
        foreach ($counts as $one) {
            $remedies[$one->remedy] = ($remedies[$one->remedy] ?? 0.0) + $one->jobs;
            if ($one->fault !== '') {
                $faults[$one->remedy][$one->fault] = ($faults[$one->remedy][$one->fault] ?? 0.0) + $one->jobs;
            }
        }

        return new self($remedies, $faults);
    }

    /**
     * Those that a circuit can have.
     *
     * @param array<string, mixed> $remedies by key
     */
    public function within(array $remedies): self
    {
        return new self(array_intersect_key($this->remedies, $remedies), array_intersect_key($this->faults, $remedies));
    }

    public function jobs(): float
    {
        return (float) array_sum($this->remedies);
    }
}
