<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Reading\Reading;

/**
 * How one job of the foreign world went.
 */
final readonly class ForeignOutcome
{
    /**
     * @param 'listed'|'unlisted'|'nothing' $kind of what was hidden
     * @param bool         $right   whether the leading suspect at the end is right
     * @param string       $end     verdict, limit of tests, or nothing left to propose
     * @param bool         $refused whether an honest reading was called impossible
     * @param list<string> $path    tests and what they showed
     * @param list<string> $remedies that are right
     * @param CircuitModel $byHand  the circuit as its tests are done by hand
     * @param list<Reading> $readings that stood at the end
     */
    public function __construct(
        public string $family,
        public string $kind,
        public string $fault,
        public bool $right,
        public string $named,
        public float $probability,
        public string $end,
        public int $tests,
        public bool $refused,
        public array $path,
        public array $remedies,
        public CircuitModel $byHand,
        public array $readings,
    ) {}

    /** Whether a verdict was given that is wrong. */
    public function isWrong(): bool
    {
        return $this->end === 'verdict' && !$this->right;
    }
}
