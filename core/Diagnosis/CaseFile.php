<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Family\CircuitModel;

/**
 * What is known of one job: its readings, what was replaced between them, and how the fault behaves.
 */
final readonly class CaseFile
{
    /**
     * @param list<Reading> $readings     in the order taken
     * @param list<string>  $replacements part keys ("pack", "motor+pack"), in order; readings of episode n follow the n-th
     * @param bool          $intermittent whether the complaint comes and goes
     */
    public function __construct(
        public array $readings,
        public array $replacements = [],
        public bool $intermittent = false,
    ) {
    }

    public function with(Reading $reading): self
    {
        return new self([...$this->readings, $reading], $this->replacements, $this->intermittent);
    }

    /** The case as it stood before any test: only what the speed maps say. */
    public function mapOnly(CircuitModel $circuit): self
    {
        return new self(
            array_values(array_filter($this->readings, static fn (Reading $r): bool => !$circuit->tests[$r->test]->offered || $circuit->tests[$r->test]->asked)),
            $this->replacements,
            $this->intermittent,
        );
    }

    /** @return list<Reading> */
    public function standing(): array
    {
        return array_values(array_filter($this->readings, static fn (Reading $r): bool => !$r->struck));
    }
}
