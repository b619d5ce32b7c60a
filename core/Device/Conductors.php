<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;

/**
 * All conductors of a circuit: what is unknown about them, and the ways in which they fail.
 */
final readonly class Conductors
{
    /**
     * @param list<Conductor>          $conductors
     * @param array<array-key, string> $places     where each node is found, in words
     */
    public function __construct(private array $conductors, private Netlist $netlist, private array $places) {}

    public static function texts(): Texts
    {
        return Texts::fromFile(__DIR__ . '/conductors.en.json');
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $varying = array_filter($this->conductors, static fn(Conductor $c): bool => $c->varies);

        return array_values(array_map(static fn(Conductor $c): Unknown => $c->unknown(), $varying));
    }

    /**
     * Element parameters with those of the conductors as they were drawn.
     *
     * @param array<string, float> $parameters by the family
     * @param array<string, float> $unknowns
     *
     * @return array<string, float>
     */
    public function assigned(array $parameters, array $unknowns): array
    {
        foreach ($this->conductors as $conductor) {
            if ($conductor->varies) {
                $parameters[$conductor->parameter()] = $unknowns["ohms of $conductor->element"];
            }
        }

        return $parameters;
    }

    /**
     * @param list<Fault> $declared by the family
     *
     * @return list<Fault> those, in the conductors' degrees, and the ones that it did not declare
     */
    public function faults(array $declared): array
    {
        $faults = $declared;
        foreach ($this->conductors as $conductor) {
            $grown = $open = false;
            foreach ($faults as $number => $fault) {
                $grows = self::only($fault, $conductor->parameter(), AdjustmentKind::Add);
                if ($grows) {
                    $faults[$number] = $fault->inDegrees($conductor->degrees());
                }
                $grown = $grown || $grows;
                $open = $open || self::only($fault, $conductor->parameter(), AdjustmentKind::AtLeast);
            }
            if (!$grown && $conductor->resistive > 0.0) {
                $faults[] = $this->fault($conductor, 'resistive', $conductor->resistive, $conductor->degrees());
            }
            if (!$open && $conductor->open > 0.0) {
                $broken = [new Severity([Adjustment::atLeast($conductor->parameter(), Element::OPEN_OHMS)])];
                $faults[] = $this->fault($conductor, 'open', $conductor->open, $broken);
            }
        }

        return $faults;
    }

    /** Whether a fault is nothing but one kind of change to a parameter, and leaves its range to the conductor. */
    private static function only(Fault $fault, string $parameter, AdjustmentKind $kind): bool
    {
        foreach ($fault->severities as $severity) {
            foreach ($severity->adjustments as $adjustment) {
                if ($adjustment->parameter !== $parameter || $adjustment->kind !== $kind || $adjustment->isSlice()) {
                    return false;
                }
            }
            if ($severity->adjustments === [] || $severity->acts !== []) {
                return false;
            }
        }

        return true;
    }

    /** @param list<Severity> $degrees */
    private function fault(Conductor $conductor, string $how, float $frequency, array $degrees): Fault
    {
        $element = $this->netlist->elements[$conductor->element];

        return new Fault(
            "$conductor->element-$how",
            "conductor-$how",
            $conductor->part,
            $frequency,
            $degrees,
            $conductor->observed,
            comesAndGoes: $how === 'open',
            loose: true,
            words: [
                'from' => $this->places[$element->from] ?? $element->from,
                'to' => $this->places[$element->to] ?? $element->to,
            ],
            element: $conductor->element,
        );
    }
}
