<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Family\Adjustment;
use Ispira\Core\Family\Fault;

/**
 * One complete explanation of a job: nothing wrong, a fault in one degree, or a pair.
 */
final readonly class Hypothesis
{
    /**
     * @param list<Fault>          $faults
     * @param list<string>         $parts       whose replacement cures it, sorted
     * @param list<Adjustment>     $adjustments
     * @param array<array-key, string> $acts       position → position that the control really makes
     * @param bool                 $comesAndGoes present in some visits to a set-up, absent in others
     */
    public function __construct(
        public string $key,
        public array $faults,
        public array $parts,
        public float $prior,
        public array $adjustments,
        public array $acts = [],
        public bool $comesAndGoes = false,
    ) {
    }

    /** What has to be replaced, as one key; "none" when nothing is wrong. */
    public function remedy(): string
    {
        return $this->parts === [] ? 'none' : implode('+', $this->parts);
    }

    /** Whether the shaft turns without moving what it should. */
    public function decouples(): bool
    {
        foreach ($this->faults as $fault) {
            if ($fault->decouples) {
                return true;
            }
        }

        return false;
    }

    public function isLoose(): bool
    {
        foreach ($this->faults as $fault) {
            if ($fault->loose) {
                return true;
            }
        }

        return $this->comesAndGoes;
    }

    /** Key of the fault or faults, whatever their degree. */
    public function faultKey(): string
    {
        $keys = array_map(static fn (Fault $fault): string => $fault->key, $this->faults);

        return ($keys === [] ? 'none' : implode('+', $keys)).($this->comesAndGoes ? '~' : '');
    }
}
