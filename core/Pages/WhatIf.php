<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Reading\Reading;

/**
 * A question to the diagnosis that changes nothing of the job: suppose a suspect, leave a reading out, or let it have
 * shown something else.
 */
final readonly class WhatIf
{
    private function __construct(
        private DisplayUnits $units,
        private ?string $supposed,
        private ?Reading $reading,
        private float|string|null $value,
        private bool $without,
    ) {}

    /**
     * What is asked; what is asked wrongly is left out.
     *
     * @param string $supposed remedy that it is supposed to be; empty for none
     * @param string $id       of a reading that is left out, or had shown something else; empty for none
     * @param string $shown    what the reading had shown; empty where it is left out
     */
    public static function from(
        CaseFile $case,
        CircuitModel $circuit,
        DisplayUnits $units,
        string $supposed,
        string $id,
        string $shown,
    ): self {
        $remedies = array_map(
            static fn($hypothesis): string => $hypothesis->remedy(),
            HypothesisList::of($circuit, $case->intermittent),
        );
        $reading = null;
        foreach ($case->standing() as $one) {
            $reading = $one->id === $id ? $one : $reading;
        }
        $value = $reading === null || $shown === '' ? null : self::read($shown, $reading, $circuit, $units);

        return new self(
            $units,
            \in_array($supposed, $remedies, true) ? $supposed : null,
            $reading,
            $value,
            $value === null,
        );
    }

    private static function read(string $shown, Reading $reading, CircuitModel $circuit, DisplayUnits $units): ?float
    {
        $quantity = $circuit->tests[$reading->test]->probe->quantity;
        try {
            return $quantity->isNumber()
                ? NumberReader::read($shown, $quantity->unit(), $units->unit($quantity->unit())->symbol)
                : null;
        } catch (UnreadableNumber) {
            return null;
        }
    }

    public function applyTo(CaseFile $case): CaseFile
    {
        if ($this->reading !== null) {
            $case = $this->without
                ? $case->without($this->reading->id)
                : $case->hadItShown($this->reading->id, $this->value);
        }

        return $this->supposed === null ? $case : $case->supposing($this->supposed);
    }

    /** The question in words; null when nothing is asked. */
    public function sentence(CircuitModel $circuit): ?string
    {
        $words = new Words($circuit, $this->units);
        $parts = [];
        if ($this->reading !== null) {
            $test = $words->test($circuit->tests[$this->reading->test]);
            $parts[] = $this->without
                ? "without \"$test\""
                : "had \"$test\" shown " . $words->reading($this->reading->showing($this->value));
        }
        if ($this->supposed !== null) {
            $parts[] = 'supposing it is: ' . $words->remedy($this->supposed);
        }

        return $parts === [] ? null : implode(', ', $parts);
    }
}
