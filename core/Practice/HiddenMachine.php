<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Job\Practice;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * The make-believe machine itself: values of its own, and what is wrong with it until its part is replaced.
 *
 * The same question asked again is answered by the same machine with another error of the meter.
 */
final class HiddenMachine
{
    private ?SimulatedUnit $unit = null;

    /** @var list<string> remedies of which any one is right */
    public readonly array $right;

    private function __construct(
        private readonly CircuitModel $circuit,
        private readonly Practice $practice,
        private readonly Hypothesis $truth,
        private readonly bool $cured,
    ) {
        $this->right = $practice->leak?->right($circuit) ?? [$truth->remedy()];
    }

    /**
     * Null where the circuit has no such fault.
     *
     * @param list<string> $replaced remedies, each a part or several with a plus between
     */
    public static function of(
        CircuitModel $circuit,
        Practice $practice,
        bool $intermittent = false,
        array $replaced = [],
    ): ?self {
        $truth = HypothesisList::of($circuit, $intermittent)[$practice->fault] ?? null;
        if ($truth === null) {
            return null;
        }
        $cured =
            $practice->leak === null
                ? $truth->isCuredBy($replaced)
                : array_intersect($practice->leak->right($circuit), explode('+', implode('+', $replaced))) !== [];

        return new self($circuit, $practice, $truth, $cured);
    }

    /** What is hidden in it, in words. */
    public function told(): string
    {
        $words = new Words($this->circuit);
        $leak = $this->practice->leak;

        return $leak === null
            ? $words->hypothesis($this->truth)
            : PracticeTexts::get('leak', [
                'from' => $words->place($leak->from),
                'to' => $words->place($leak->to),
                'ohms' => sprintf('%.2g', $leak->ohms),
            ]);
    }

    /** What is noticed before any work: whether somebody would complain of it. */
    public function isOdd(Reading $reading): bool
    {
        return $this->unit()->isOfTheFault($this->circuit->tests[$reading->test], (string) $reading->value);
    }

    /** @return list<Reading> of every position, before any repair */
    public function map(): array
    {
        return $this->unit()->map();
    }

    /**
     * What the meter or the person takes down.
     *
     * @param int $before how often the test was read before
     */
    public function read(string $id, Test $test, int $before = 0, int $episode = 0): Reading
    {
        $meter = new RandomSource(crc32("{$this->practice->seed}/$test->key/$before") & 0x7fffffff);

        return $this->unit()->readBy($meter)->read($id, $test, $episode);
    }

    private function unit(): SimulatedUnit
    {
        $leak = $this->cured ? null : $this->practice->leak;

        return $this->unit ??= new SimulatedUnit(
            $leak === null ? $this->circuit : $this->circuit->withElement($leak->element()),
            $this->cured ? HypothesisList::of($this->circuit, false)[HypothesisList::NOTHING_WRONG] : $this->truth,
            new RandomSource($this->practice->seed),
            0.0,
            $this->practice->wide,
            $leak === null ? null : $leak::without(),
        );
    }
}
