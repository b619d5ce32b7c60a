<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;

/**
 * What is known of one job: its readings, what was replaced between them, and how the fault behaves.
 */
final readonly class CaseFile
{
    /**
     * @param list<Reading> $readings       in the order taken
     * @param list<string>  $replacements   part keys ("pack", "motor+pack"), in order; readings of episode n follow the
     *     n-th
     * @param bool          $intermittent   whether the complaint comes and goes
     * @param int           $replacedBefore how many parts were replaced on this unit before the job
     * @param string|null   $supposed       a remedy that is supposed to be the right one, to see what follows
     * @param Odds          $odds           by which the shipped chances are moved
     */
    public function __construct(
        public array $readings,
        public array $replacements = [],
        public bool $intermittent = false,
        public int $replacedBefore = 0,
        public ?string $supposed = null,
        public Odds $odds = new Odds(),
    ) {}

    public function with(Reading $reading): self
    {
        return $this->withReadings([...$this->readings, $reading]);
    }

    /** @param list<Reading> $readings */
    public function withReadings(array $readings): self
    {
        return new self(
            $readings,
            $this->replacements,
            $this->intermittent,
            $this->replacedBefore,
            $this->supposed,
            $this->odds,
        );
    }

    public function afterReplacing(string $remedy): self
    {
        return new self(
            $this->readings,
            [...$this->replacements, $remedy],
            $this->intermittent,
            $this->replacedBefore,
            odds: $this->odds,
        );
    }

    /** As if one remedy were known to be the right one. */
    public function supposing(string $remedy): self
    {
        return new self(
            $this->readings,
            $this->replacements,
            $this->intermittent,
            $this->replacedBefore,
            $remedy,
            $this->odds,
        );
    }

    /** With a reading struck out. */
    public function without(string $id): self
    {
        return $this->changed($id, static fn(Reading $r): Reading => $r->struckOut());
    }

    /** As if a reading had shown something else. */
    public function hadItShown(string $id, float|string|null $value): self
    {
        return $this->changed($id, static fn(Reading $r): Reading => $r->showing($value));
    }

    /** @param \Closure(Reading): Reading $change */
    private function changed(string $id, \Closure $change): self
    {
        return $this->withReadings(
            array_map(static fn(Reading $r): Reading => $r->id === $id ? $change($r) : $r, $this->readings),
        );
    }

    /** The case as it stood before any test: only what the complaint and the speed maps say. */
    public function mapOnly(CircuitModel $circuit): self
    {
        return $this->withReadings(
            array_values(
                array_filter(
                    $this->readings,
                    static fn(Reading $r): bool => !$circuit->tests[$r->test]->offered ||
                        $circuit->tests[$r->test]->asked,
                ),
            ),
        );
    }

    /** @return list<Reading> */
    public function standing(): array
    {
        return array_values(array_filter($this->readings, static fn(Reading $r): bool => !$r->struck));
    }

    /** @return list<Reading> the standing readings since the last replacement */
    public function present(): array
    {
        $episode = \count($this->replacements);

        return array_values(array_filter($this->standing(), static fn(Reading $r): bool => $r->episode === $episode));
    }

    /** The last of the standing readings of a test since the last replacement. */
    public function newest(string $test): ?Reading
    {
        $newest = null;
        foreach ($this->present() as $reading) {
            $newest = $reading->test === $test ? $reading : $newest;
        }

        return $newest;
    }

    /**
     * The standing readings; one that was read twice alike counts as one that somebody answered for, even where
     * the first was struck out to take it again.
     *
     * @return list<Reading>
     */
    public function facts(CircuitModel $circuit): array
    {
        $measured = [];
        foreach ($this->readings as $reading) {
            if ($reading->trust === Trust::Measured) {
                $measured["$reading->episode|$reading->test"][] = $reading;
            }
        }

        return array_map(static function (Reading $reading) use ($circuit, $measured): Reading {
            $quantity = $circuit->tests[$reading->test]->probe->quantity;
            $same = $reading->trust === Trust::Measured ? $measured["$reading->episode|$reading->test"] ?? [] : [];
            foreach ($same as $other) {
                if ($other->id !== $reading->id && MeterAccuracy::agree($quantity, $reading->value, $other->value)) {
                    return $reading->answeredFor();
                }
            }

            return $reading;
        }, $this->standing());
    }
}
