<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

use Ispira\Core\Device\Test;

/**
 * One thing that a repair is proved by beside the speed map, and whether what was read is right.
 */
final readonly class ProofCheck
{
    /**
     * @param string    $expected in words: the band in which a sound circuit reads, or the right answer
     * @param string|null $read   what was read since the repair, in words
     * @param CheckFinding|null $finding null when it was not read yet
     * @param bool      $always   whether no note replaces it, even while it was not read
     * @param bool      $complained whether it was complained of: asked again in the same words
     */
    public function __construct(
        public Test $test,
        public string $expected,
        public ?string $read,
        public ?CheckFinding $finding,
        public bool $always,
        public bool $complained = false,
    ) {}

    /** Null while nobody can say. */
    public function isRight(): ?bool
    {
        return match ($this->finding) {
            null, CheckFinding::Again => null,
            CheckFinding::Wrong => false,
            CheckFinding::Right => true,
        };
    }

    /** Whether no note replaces it: a number that was outside is measured again, whatever check it belongs to. */
    public function isNeverLeftOut(): bool
    {
        return $this->always || $this->finding === CheckFinding::Again;
    }

    /** Whether it still stands in the way of a closed job. */
    public function isOpen(): bool
    {
        return $this->isRight() === null || ($this->always && !$this->isRight());
    }
}
