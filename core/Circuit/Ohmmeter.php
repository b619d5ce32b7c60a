<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * An ohmmeter between two nodes of a circuit whose sources are dead and whose motors are at rest.
 *
 * It is a source of 1 V behind 1 Ω: the current that it drives tells the resistance.
 */
final readonly class Ohmmeter
{
    private const ID = 'ohmmeter';

    /** Current in A under which nothing connects the two nodes. */
    private const OPEN_UNDER = 1e-9;

    /** Solves the circuit with the meter on it, for vectors of {@see values()}. */
    public CircuitSolver $solver;

    /** @var list<int|null> places of the resistances in a vector of the circuit; null for what conducts nothing */
    private array $slots;

    /** @throws CircuitError when the circuit has no such node */
    public function __construct(Solver $circuit, string $a, string $b)
    {
        [$circuit->node($a), $circuit->node($b)];
        $passive = [];
        $slots = [];
        foreach ($circuit->netlist()->elements as $element) {
            $passive[] = Element::resistor($element->id, $element->from, $element->to, 1.0);
            // What a module takes and gives comes of its working, not of an ohmmeter.
            $slots[] =
                $element->type === ElementType::ModuleInput || $element->type === ElementType::ModuleOutput
                    ? null
                    : $circuit->slot($element->id . '.' . $element->type->resistanceParameter());
        }
        $this->slots = $slots;
        $this->solver = new CircuitSolver(
            new Netlist([...$passive, Element::source(self::ID, $a, $b, 1.0, 1.0)], $circuit->netlist()->ground),
        );
    }

    /**
     * The vector of {@see $solver} for a vector of the circuit.
     *
     * @param list<float> $values
     *
     * @return list<float>
     */
    public function values(array $values): array
    {
        $ohms = [];
        foreach ($this->slots as $slot) {
            $ohms[] = $slot === null ? Element::OPEN_OHMS : $values[$slot];
        }

        return [...$ohms, 1.0, 1.0];
    }

    /** What the meter shows in a solved state, in Ω; INF when nothing connects its leads. */
    public static function shows(SolvedState $point): float
    {
        $current = -$point->current(self::ID);

        return $current > self::OPEN_UNDER ? max(0.0, 1.0 / $current - 1.0) : \INF;
    }

    /** @param list<float> $values of the circuit */
    public function measure(array $values): float
    {
        return self::shows($this->solver->solve($this->values($values)));
    }
}
