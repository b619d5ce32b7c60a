<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Texts;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Unit;
use Ispira\Core\Reading\Reading;

/**
 * Puts hypotheses, tests and readings of a circuit into words.
 */
final class Words
{
    private static ?Texts $general = null;

    public function __construct(
        private readonly CircuitModel $circuit,
        public readonly DisplayUnits $units = new DisplayUnits(),
    ) {}

    /** @param array<string, string> $words */
    public static function general(string $key, array $words = []): string
    {
        return (self::$general ??= Texts::fromFile(__DIR__ . '/texts.en.json'))->get($key, $words);
    }

    /**
     * Several names in a row; where one of them has a comma itself, semicolons part them.
     *
     * @param array<array-key, string|int> $names
     */
    public static function listed(array $names): string
    {
        $names = array_map(strval(...), $names);
        $own = array_filter($names, static fn(string $name): bool => str_contains($name, ','));

        return implode($own === [] ? ', ' : '; ', $names);
    }

    public function remedy(string $remedy): string
    {
        return !Hypothesis::isOfParts($remedy)
            ? self::general($remedy)
            : implode(
                ' and ',
                array_map(
                    fn(string $part, int $n): string => $n === 0 ? $this->part($part) : lcfirst($this->part($part)),
                    explode('+', $remedy),
                    array_keys(explode('+', $remedy)),
                ),
            );
    }

    public function part(string $part): string
    {
        return $this->circuit->texts->get("parts.$part");
    }

    public function hypothesis(Hypothesis $hypothesis): string
    {
        if ($hypothesis->faults === []) {
            return self::general(
                $hypothesis->key === HypothesisList::SOMETHING_ELSE ? 'something-unlisted' : 'nothing-wrong',
            );
        }
        $faults = implode(
            ' and ',
            array_map(
                fn($fault): string => $this->circuit->texts->get("faults.$fault->text", $fault->words),
                $hypothesis->faults,
            ),
        );

        return $hypothesis->comesAndGoes ? self::general('comes-and-goes', ['fault' => $faults]) : $faults;
    }

    public function test(Test $test): string
    {
        return $this->units->numbers->said($this->circuit->texts->get("tests.$test->text", $test->words));
    }

    public function tool(string $tool): string
    {
        return $this->circuit->texts->get("tools.$tool");
    }

    public function place(string $node): string
    {
        return $this->circuit->places[$node];
    }

    public function setUp(Test $test): string
    {
        $setUp = $this->circuit->setUps[$test->setUp];
        $position = $this->circuit->positions[$setUp->position];
        $state = $setUp->text === null ? self::general('plugged') : $this->circuit->texts->get("setups.$setUp->text");
        if ($setUp->isolated) {
            return $state;
        }

        return $state .
            ', ' .
            ($this->circuit->texts->find('position', ['position' => $position->label]) ??
                self::general('position', ['position' => $position->label]));
    }

    /** What is dangerous while a test is done, and how near a person may come. */
    public function danger(Test $test): string
    {
        $setUp = $this->circuit->setUps[$test->setUp] ?? null;
        if ($setUp === null) {
            return '';
        }
        $hazards = array_map(
            static fn(Hazard $hazard): string => self::general("hazards.$hazard->value"),
            $this->circuit->safety->hazards($setUp),
        );

        return self::general($setUp->isolated ? 'contact.dead' : "contact.{$test->contact->value}", [
            'hazards' => ucfirst(implode(', ', $hazards)),
        ]);
    }

    /** Whether what stands there during a test can kill at a touch: line voltage, a charged bus. */
    public function isDeadly(Test $test): bool
    {
        $setUp = $this->circuit->setUps[$test->setUp] ?? null;

        return $setUp !== null &&
            array_filter(
                $this->circuit->safety->hazards($setUp),
                static fn(Hazard $hazard): bool => $hazard->shocks(),
            ) !== [];
    }

    /** @return list<string> the cautions before a test */
    public function cautions(Test $test): array
    {
        return array_map(
            fn(string $key): string => $this->circuit->texts->find("cautions.$key") ?? self::general("cautions.$key"),
            $this->circuit->cautions($test),
        );
    }

    public function choice(Test $test, string $value): string
    {
        return match ($test->probe->quantity) {
            Quantity::Observation => $this->circuit->texts->get("observations.{$test->probe->at}.$value"),
            Quantity::Lamp => self::general("lamp.$value"),
            default => $this->state($value, $this->circuit->kindIn($test)),
        };
    }

    /** What a mover does, in the family's own words where it has any. */
    public function state(string $value, PositionKind $kind): string
    {
        return $this->circuit->texts->find("states.{$kind->words()}.$value") ??
            ($this->circuit->texts->find("states.$value") ?? self::general("states.{$kind->words()}.$value"));
    }

    public function reading(Reading $reading): string
    {
        $test = $this->circuit->tests[$reading->test];
        if (!$test->probe->quantity->isNumber()) {
            return $this->choice($test, (string) $reading->value);
        }

        return $reading->value === null
            ? self::general('over-range')
            : $this->number((float) $reading->value, $test->probe->quantity);
    }

    /** In which unit a quantity is read and typed. */
    public function unit(Quantity $quantity): Unit
    {
        return $this->units->unit($quantity->unit());
    }

    /** A number with its unit, rounded as a meter of the trade would show it. */
    public function number(float $number, Quantity $quantity): string
    {
        if (is_infinite($number)) {
            return self::general('over-range');
        }
        $size = abs($number);
        if ($quantity === Quantity::Ohms && $size >= 1000.0) {
            return $this->rounded($number / ($size >= 1e6 ? 1e6 : 1e3)) . ($size >= 1e6 ? ' MΩ' : ' kΩ');
        }

        $unit = $this->unit($quantity);

        return $this->rounded($unit->fromBase($number)) . ' ' . $unit->symbol;
    }

    private function rounded(float $number): string
    {
        $size = abs($number);
        $digits = $size >= 100.0 ? 0 : ($size >= 1.0 ? 1 : 2);
        // Nothing is not less than nothing.
        $number = round($number, $digits) === 0.0 ? 0.0 : $number;

        return $this->units->numbers->figure($number, $digits);
    }
}
