<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the steady state of an alternating-current circuit at its line frequency.
 *
 * Nodal analysis with complex admittances (phasors). What moves starts at rest: contactors apart,
 * shafts standing. What a solution sets in motion changes the circuit, which is solved again until
 * it stays as it is. An induction motor changes only its own flux, see {@see IronCore}.
 */
final class PhasorSolver implements Solver
{
    /** Solutions after which what still changes is taken as it is. */
    private const MOST_PASSES = 24;

    private const ALTERNATING = [
        ElementType::AlternatingSource,
        ElementType::Impedance,
        ElementType::Contactor,
        ElementType::Resistor,
        ElementType::Switch,
        ElementType::Capacitor,
        ElementType::InductionMotor,
        ElementType::MainWinding,
        ElementType::AuxiliaryWinding,
        ElementType::ElectronicMotor,
    ];

    /** @var array<string, int> */
    private array $slots = [];

    /** @var array<string, array<string, int>> places of an element's parameters, by their names */
    private array $slotsOf = [];

    /** @var array<string, PhasorShape> by which elements are open */
    private array $shapes = [];

    /** @var list<float> */
    private array $nominal = [];

    /** @var array<string, int> */
    private array $nodeNumbers;

    /** @var array<string, Element> what may move */
    private array $movers = [];

    /** @var array<string, Element> windings on the iron of an induction motor */
    private array $windings = [];

    private ?IronCore $iron = null;

    private ?PowerDraw $draw = null;

    /** @var array<string, true> */
    private array $contactors = [];

    /** @var array<string, PhasorBranch> by element */
    private array $branches = [];

    private readonly SwitchingSlots $switching;

    /** @var list<string> by place of a parameter */
    private array $elementOf = [];

    public function __construct(private readonly Netlist $netlist)
    {
        $this->nodeNumbers = array_flip($netlist->nodes);
        $switching = [];
        foreach ($netlist->elements as $id => $element) {
            if (!\in_array($element->type, self::ALTERNATING, true)) {
                throw CircuitError::notAlternating($element->id);
            }
            foreach ($element->parameters as $name => $value) {
                $this->slots["$element->id.$name"] = $this->slotsOf[$id][$name] = \count($this->nominal);
                $this->elementOf[] = $id;
                $this->nominal[] = $value;
            }
            $this->branches[$id] = new PhasorBranch(
                $id,
                $element->type,
                $this->nodeNumbers[$element->from],
                $this->nodeNumbers[$element->to],
                $this->slotsOf[$id],
            );
            if ($element->type !== ElementType::ElectronicMotor) {
                $switching[] = $this->slotsOf[$id]['ohms'];
            }
            if ($element->type->isOnIron()) {
                $this->windings[$id] = $element;
            }
            if ($element->type->moves()) {
                $this->movers[$id] = $element;
            }
            if ($element->type === ElementType::Contactor) {
                $this->contactors[$id] = true;
            }
            if ($element->type === ElementType::ElectronicMotor) {
                if ($this->draw !== null) {
                    throw CircuitError::malformed(
                        "Element \"$id\" is a second motor with electronics: a circuit holds one.",
                    );
                }
                $this->draw = new PowerDraw($id, $this->nodeNumbers[$element->from], $this->nodeNumbers[$element->to]);
            }
            if ($element->type === ElementType::InductionMotor) {
                if ($this->iron !== null) {
                    throw CircuitError::malformed("Element \"$id\" is a second induction motor: a circuit holds one.");
                }
                $this->iron = new IronCore($netlist, $id, $this->nodeNumbers);
            }
        }
        $this->switching = new SwitchingSlots($switching);
    }

    public function netlist(): Netlist
    {
        return $this->netlist;
    }

    public function nominalValues(): array
    {
        return $this->nominal;
    }

    public function slot(string $parameter): int
    {
        return $this->slots[$parameter] ?? throw CircuitError::unknownParameter($parameter);
    }

    public function node(string $name): int
    {
        return $this->nodeNumbers[$name] ?? throw CircuitError::unknownNode($name);
    }

    public function solve(?array $values = null): PhasorPoint
    {
        $values ??= $this->nominal;
        $motion = new AlternatingMotion($this->netlist, $this->movers, $this->windings, $values, $this->slotsOf);
        $linear = $this->linear($values, $motion);
        $balance = $this->iron?->balance($linear, $motion);
        for ($pass = 1; ; ++$pass) {
            [$weights, $flux] =
                $this->iron === null || $balance === null
                    ? [[[1.0, 0.0]], [0.0, 0.0]]
                    : $this->iron->settled($balance, $motion);
            $draws = [];
            if ($this->draw !== null) {
                [$weights, $draws[$this->draw->motor]] = $this->draw->settled($linear, $weights, $motion);
            }
            $point = new PhasorPoint(
                $this->netlist,
                $this->nodeNumbers,
                $linear,
                $weights,
                $draws,
                $flux,
                $values,
                $this->slots,
            );
            if (!$motion->follows($point) || $pass === self::MOST_PASSES) {
                return $point->moving($motion->speeds(), $motion->still());
            }
            if ($motion->rewired) {
                $linear = $this->linear($values, $motion);
                $balance = $this->iron?->balance($linear, $motion);
            }
        }
    }

    public function signature(array $values, array $usual): string
    {
        $changed = SwitchingSlots::changed($values, $usual);
        $shape = $this->shape($this->withoutIdleBreaks($values, $usual, $changed));
        $signature = $shape->liveKey;
        // An armature can be stuck in without any voltage; a shaft's friction and load, and the iron of all its windings,
        // stand in the first of them, which need not be the one that is fed.
        $moving = $this->contactors;
        if ($this->iron !== null && array_intersect_key($this->windings, $shape->isLive) !== []) {
            $moving[$this->iron->motor] = true;
        }
        foreach ($changed as $slot) {
            $element = $this->elementOf[$slot];
            if (isset($shape->isLive[$element]) || isset($moving[$element])) {
                $signature .= "$slot=$values[$slot],";
            }
        }

        return $signature;
    }

    /**
     * A vector with the elements closed again that open where nothing flows anyway: that leaves alive what was, and the
     * shape is a known one.
     *
     * @param list<float> $values
     * @param list<float> $usual
     * @param list<int>   $changed slots in which they differ
     *
     * @return array<int, float>
     */
    private function withoutIdleBreaks(array $values, array $usual, array $changed): array
    {
        foreach ($this->switching->opened($values, $usual, $changed) ?? [] as $slot) {
            $usually ??= $this->shape($usual);
            if (!isset($usually->isLive[$this->elementOf[$slot]])) {
                $values[$slot] = $usual[$slot];
            }
        }

        return $values;
    }

    public function rehung(SolvedState $state, array $values): SolvedState
    {
        return $state instanceof PhasorPoint ? $state->hanging($this->shape($values)) : $state;
    }

    public function electricBraking(array $values, string $motor): float
    {
        throw CircuitError::unknownParameter($motor);
    }

    /** Set of sources that a branch belongs to, see {@see LinearPhasors}; nothing where it feeds none. */
    private function setOf(PhasorBranch $branch): ?int
    {
        return match ($branch->type) {
            ElementType::AlternatingSource => 0,
            ElementType::InductionMotor, ElementType::MainWinding => 1,
            ElementType::AuxiliaryWinding => 2,
            ElementType::ElectronicMotor => $this->drawn(),
            default => null,
        };
    }

    /**
     * Set of sources that is one ampere through a motor with electronics: after the circuit's own and those of an
     * induction motor's two windings.
     */
    private function drawn(): int
    {
        return $this->iron === null ? 1 : 3;
    }

    /** @param array<int, float> $values */
    private function shape(array $values): PhasorShape
    {
        return $this->shapes[$this->switching->pattern($values)] ??= new PhasorShape(
            \count($this->nodeNumbers),
            array_filter($this->branches, static fn(PhasorBranch $branch): bool => !$branch->isOpen($values)),
            $this->setOf(...),
        );
    }

    /** @param list<float> $values */
    private function linear(array $values, AlternatingMotion $motion): LinearPhasors
    {
        $shape = $this->shape($values);
        $equations = new ComplexEquations($shape->mesh, $this->drawn() + ($this->draw === null ? 0 : 1));
        $equations->impedances($shape->impedances, $values);
        $admittances = [];
        $emfs = [];
        $sealed = $motion->sealed();
        foreach ($shape->others as [$branch, $place]) {
            $id = $branch->element;
            $set = $this->setOf($branch);
            if ($branch->type === ElementType::ElectronicMotor) {
                $equations->inject($branch->from, $branch->to, (int) $set);
                continue;
            }
            $admittance = $branch->admittance($values, $sealed[$id] ?? false);
            $equations->branch($place, $admittance);
            if ($branch->type === ElementType::AlternatingSource) {
                $admittances[$id] = $admittance;
                $emfs[$id] = [$values[$this->slotsOf[$id]['volts']], 0.0];
                $equations->drive($branch->from, $branch->to, $admittance, $emfs[$id], 0);
            } elseif ($set !== null) {
                $admittances[$id] = $admittance;
                $equations->drive($branch->from, $branch->to, $admittance, $motion->turns[$id], $set);
            }
        }
        [$re, $im] = $equations->solutions();

        return new LinearPhasors($shape, $values, $sealed, $admittances, $emfs, $motion->turns, $re, $im);
    }
}
