<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\SetUp;

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
     * @param int                  $ofFirst     how many of the adjustments are those of the first fault
     */
    public function __construct(
        public string $key,
        public array $faults,
        public array $parts,
        public float $prior,
        public array $adjustments,
        public array $acts = [],
        public bool $comesAndGoes = false,
        public int $ofFirst = \PHP_INT_MAX,
    ) {}

    /** A sound circuit alone, where no odds are in question. */
    public static function sound(): self
    {
        return new self(HypothesisList::NOTHING_WRONG, [], [], 1.0, []);
    }

    /** The same with another chance before any reading. */
    public function weighing(float $prior): self
    {
        return new self(
            $this->key,
            $this->faults,
            $this->parts,
            $prior,
            $this->adjustments,
            $this->acts,
            $this->comesAndGoes,
            $this->ofFirst,
        );
    }

    /** What has to be replaced, as one key; its own key ("none", "something-else") where no part is named. */
    public function remedy(): string
    {
        return $this->parts === [] ? $this->key : implode('+', $this->parts);
    }

    /**
     * Whether all of its parts were replaced.
     *
     * @param list<string> $remedies each a part, or several with a plus between
     */
    public function isCuredBy(array $remedies): bool
    {
        return array_diff($this->parts, explode('+', implode('+', $remedies))) === [];
    }

    /** Whether a remedy's key names parts. */
    public static function isOfParts(string $remedy): bool
    {
        return $remedy !== HypothesisList::NOTHING_WRONG && $remedy !== HypothesisList::SOMETHING_ELSE;
    }

    public function hasDegree(): bool
    {
        foreach ($this->adjustments as $adjustment) {
            if ($adjustment->hasDegree()) {
                return true;
            }
        }

        return false;
    }

    /**
     * The same, each of its faults a little more or less.
     *
     * @param float $first  deviations of the first fault's degree from the middle of its slice
     * @param float $second of the second's, of a pair
     */
    public function inDegree(float $first, float $second): self
    {
        $adjustments = [];
        foreach ($this->adjustments as $number => $adjustment) {
            $adjustments[] = $adjustment->inDegree($number < $this->ofFirst ? $first : $second);
        }

        return new self(
            $this->key,
            $this->faults,
            $this->parts,
            $this->prior,
            $adjustments,
            $this->acts,
            $this->comesAndGoes,
            $this->ofFirst,
        );
    }

    /** Whether what is watched stands though the shaft turns. */
    public function decouples(SetUp $setUp): bool
    {
        foreach ($this->faults as $fault) {
            if ($fault->decouples?->isSeenIn($setUp) === true) {
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
        $keys = array_map(static fn(Fault $fault): string => $fault->key, $this->faults);

        return ($keys === [] ? $this->key : implode('+', $keys)) . ($this->comesAndGoes ? '~' : '');
    }
}
