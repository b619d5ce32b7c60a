<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\LampState;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\Shown\TrapShown;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;

/**
 * Warns, in words, of readings that say less or something else than they seem to.
 *
 * The likelihoods already know this; a person has to be told.
 */
final readonly class Traps
{
    /** Share of the sound prediction from which a reading counts as full. */
    private const FULL_FROM = 0.92;

    /** Ω up to which a part needs the low range, and from which a reading of it cannot be one. */
    private const LOW_OHMS = 10.0;
    private const HIGH_OHMS = 500.0;

    /** Share of slips from which the pin order is asked for. */
    private const DOUBTED = 0.1;

    /** V from which an idle wire counts as live. */
    private const IDLE_FROM = 4.0;

    /** Share of the leading suspects from which what drives the load is named. */
    private const UPSTREAM_FROM = 0.3;

    private Hypothesis $sound;

    public function __construct(private CircuitModel $circuit, private CaseFile $case, private Diagnosis $diagnosis)
    {
        $this->sound = $diagnosis->evidence->hypotheses[HypothesisList::NOTHING_WRONG];
    }

    /** @return list<TrapShown> */
    public function all(): array
    {
        $episode = \count($this->case->replacements);
        $readings = array_values(
            array_filter(
                $this->case->standing(),
                static fn(Reading $r): bool => $r->episode === $episode && $r->trust === Trust::Measured,
            ),
        );

        return array_values(
            array_filter([
                ...array_map($this->ofOne(...), $readings),
                $this->together($readings),
                $this->disagree($readings),
                $this->comesAndGoes($readings),
                $this->blamedOnTheLoad($readings),
                $this->newPart($readings),
            ]),
        );
    }

    private function ofOne(Reading $reading): ?TrapShown
    {
        $test = $this->circuit->tests[$reading->test];
        $trap = match (true) {
            !$reading->steady => 'wanders',
            $test->trap === Trap::NoLoad && $this->isFull($reading, $test) => $test->trap->value,
            ($test->trap === Trap::IdleTap || $test->trap === Trap::Ghost) &&
                \is_float($reading->value) &&
                $reading->value > self::IDLE_FROM
                => $test->trap->value,
            $test->trap === Trap::Averaged => $test->trap->value,
            ($test->trap === Trap::Lamp || $test->trap === Trap::SmallLamp) &&
                $reading->value === LampState::Bright->value
                => $test->trap->value,
            $test->probe->quantity === Quantity::Ohms &&
                \is_float($reading->value) &&
                $reading->value > self::HIGH_OHMS &&
                $this->expected($test) < self::LOW_OHMS
                => 'range',
            $test->probe->quantity === Quantity::Ohms &&
                $reading->value === null &&
                ($this->diagnosis->evidence->belief->slips[$reading->id] ?? 0.0) > self::DOUBTED &&
                is_finite($this->expected($test))
                => 'pin-order',
            default => null,
        };

        return $trap === null ? null : $this->warning($trap, [$reading]);
    }

    /**
     * Two answers to one test that do not agree: one of them is wrong, or it comes and goes.
     *
     * @param list<Reading> $readings
     */
    private function disagree(array $readings): ?TrapShown
    {
        $first = [];
        foreach ($this->case->intermittent ? [] : $readings as $reading) {
            $quantity = $this->circuit->tests[$reading->test]->probe->quantity;
            $before = $first[$reading->test] ??= $reading;
            if (!MeterAccuracy::agree($quantity, $before->value, $reading->value)) {
                return $this->warning('disagree', [$before, $reading]);
            }
        }

        return null;
    }

    /**
     * @param list<Reading> $readings
     */
    private function together(array $readings): ?TrapShown
    {
        $full = array_values(
            array_filter(
                $readings,
                fn(Reading $r): bool => $this->circuit->tests[$r->test]->trap === Trap::Together &&
                    \is_float($r->value) &&
                    $r->value > self::FULL_FROM * $this->diagnosis->evidence->predictions->usualSupply(),
            ),
        );

        return \count($full) < 2 || $this->diagnosis->suspects[0]->probability > 0.95
            ? null
            : $this->warning('together', $full);
    }

    /**
     * @param list<Reading> $readings
     */
    private function comesAndGoes(array $readings): ?TrapShown
    {
        if (!$this->case->intermittent) {
            return null;
        }
        $good = array_values(
            array_filter(
                $readings,
                fn(Reading $r): bool => \is_float($r->value) && $r->misbehaved !== true && $this->isAsSound($r),
            ),
        );

        return $good === [] ? null : $this->warning('comes-and-goes', $good);
    }

    /**
     * @param list<Reading> $readings
     */
    private function blamedOnTheLoad(array $readings): ?TrapShown
    {
        $chatters = array_values(
            array_filter($readings, static fn(Reading $r): bool => $r->value === SpeedState::CutsOut->value),
        );
        $upstream = 0.0;
        foreach ($this->diagnosis->evidence->belief->byHypothesis() as $key => $probability) {
            foreach ($this->diagnosis->evidence->hypotheses[$key]->faults as $fault) {
                $upstream += $fault->upstream ? $probability : 0.0;
            }
        }

        return $chatters === [] || $upstream < self::UPSTREAM_FROM ? null : $this->warning('upstream', $chatters);
    }

    /**
     * @param list<Reading> $readings
     */
    private function newPart(array $readings): ?TrapShown
    {
        $bad = array_values(
            array_filter(
                $readings,
                fn(Reading $r): bool => $this->circuit->tests[$r->test]->probe->quantity === Quantity::Speed &&
                    $r->value !== SpeedState::Right->value,
            ),
        );

        return $this->case->replacements === [] || $bad === [] ? null : $this->warning('new-part', $bad);
    }

    private function isFull(Reading $reading, Test $test): bool
    {
        return \is_float($reading->value) && $reading->value > self::FULL_FROM * $this->expected($test);
    }

    private function isAsSound(Reading $reading): bool
    {
        [$least, $most] = $this->diagnosis->evidence->range($this->sound, $this->circuit->tests[$reading->test], 2.0);

        return is_finite($least) && (float) $reading->value > $least && (float) $reading->value < $most;
    }

    private function expected(Test $test): float
    {
        return $this->diagnosis->evidence->expected($this->sound, $test)[0];
    }

    /**
     * @param list<Reading> $readings
     */
    private function warning(string $trap, array $readings): TrapShown
    {
        $words = new Words($this->circuit);

        return new TrapShown(
            trap: $trap,
            readings: array_map(static fn(Reading $r): string => $r->id, $readings),
            sentence: Words::general("traps.$trap", [
                'reading' => $words->reading($readings[0]),
                'test' => $words->test($this->circuit->tests[$readings[0]->test]),
                'other' => $words->reading($readings[\count($readings) - 1]),
            ]),
        );
    }
}
