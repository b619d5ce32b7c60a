<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Http\Request;
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
        private ?string $supposed,
        private ?Reading $reading,
        private float|string|null $value,
        private bool $without,
    ) {}

    /** What the request asks; what it asks wrongly is left out. */
    public static function from(Request $request, CaseFile $case, CircuitModel $circuit): self
    {
        $supposed = $request->string('suppose')->limit(120, '')->toString();
        $remedies = array_map(
            static fn($hypothesis): string => $hypothesis->remedy(),
            HypothesisList::of($circuit, $case->intermittent),
        );
        $id = $request->string('reading')->limit(40, '')->toString();
        $reading = null;
        foreach ($case->standing() as $one) {
            $reading = $one->id === $id ? $one : $reading;
        }
        $shown = $request->string('showed')->limit(40, '')->toString();
        $value = $reading === null || $shown === '' ? null : self::read($shown, $reading, $circuit);

        return new self(in_array($supposed, $remedies, true) ? $supposed : null, $reading, $value, $value === null);
    }

    private static function read(string $shown, Reading $reading, CircuitModel $circuit): ?float
    {
        $quantity = $circuit->tests[$reading->test]->probe->quantity;
        try {
            return $quantity->isNumber()
                ? NumberReader::read(
                    $shown,
                    $quantity->unit(),
                    app(DisplayUnits::class)->unit($quantity->unit())->symbol,
                )
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
        $words = new Words($circuit, app(DisplayUnits::class));
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
