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
        ElementType::AlternatingSource, ElementType::Impedance, ElementType::Contactor, ElementType::Resistor, ElementType::Switch,
        ElementType::Capacitor, ElementType::InductionMotor, ElementType::MainWinding, ElementType::AuxiliaryWinding, ElementType::ElectronicMotor,
    ];

    /** @var array<string, int> */
    private array $slots = [];

    /** @var array<string, list<int>> places of an element's parameters */
    private array $slotsOf = [];

    /** @var array<string, PotentialForest> which nodes are tied together, by which elements are open */
    private array $islands = [];

    /** @var list<float> */
    private array $nominal = [];

    /** @var array<string, int> */
    private array $nodeNumbers;

    /** @var array<string, Element> what may move */
    private array $movers = [];

    private ?IronCore $iron = null;

    private ?PowerDraw $draw = null;

    /** @var list<string> */
    private array $contactors = [];

    /** @var array<string, array{type: ElementType, from: int, to: int, ohms: int, reactance: int|null}> nodes and places of the impedance in the vector, by element */
    private array $branches = [];

    public function __construct(private readonly Netlist $netlist)
    {
        $this->nodeNumbers = array_flip($netlist->nodes);
        foreach ($netlist->elements as $id => $element) {
            if (!\in_array($element->type, self::ALTERNATING, true)) {
                throw CircuitError::notAlternating($element->id);
            }
            foreach ($element->parameters as $name => $value) {
                $this->slots["$element->id.$name"] = $this->slotsOf[$id][] = \count($this->nominal);
                $this->nominal[] = $value;
            }
            $this->branches[$id] = [
                'type' => $element->type, 'from' => $this->nodeNumbers[$element->from], 'to' => $this->nodeNumbers[$element->to],
                'ohms' => $this->slots["$id.ohms"], 'reactance' => $this->slots["$id.reactance"] ?? null,
            ];
            if ($element->type->moves()) {
                $this->movers[$id] = $element;
            }
            if ($element->type === ElementType::Contactor) {
                $this->contactors[] = $id;
            }
            if ($element->type === ElementType::ElectronicMotor) {
                if ($this->draw !== null) {
                    throw CircuitError::malformed("Element \"$id\" is a second motor with electronics: a circuit holds one.");
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
        $motion = new AlternatingMotion($this->netlist, $this->movers, fn (string $parameter): float => $values[$this->slots[$parameter]]);
        $linear = $this->linear($values, $motion);
        for ($pass = 1;; ++$pass) {
            [$potentials, $emfs, $flux] = $this->iron === null ? [$linear->bySet[0], $linear->emfs, [0.0, 0.0]] : $this->iron->settled($linear, $motion);
            $admittances = $linear->admittances;
            if ($this->draw !== null) {
                [$potentials, $admittances[$this->draw->motor]] = $this->draw->settled($potentials, $linear->bySet[$this->drawn()], $motion);
            }
            $point = new PhasorPoint($this->netlist, $this->nodeNumbers, $this->islands[$linear->shape] ??= $linear->islands(\count($this->nodeNumbers)), $potentials, $admittances, $emfs, $flux, $values, $this->slots);
            if (!$motion->follows($point) || $pass === self::MOST_PASSES) {
                return $point->moving($motion->speeds());
            }
            if ($motion->rewired) {
                $linear = $this->linear($values, $motion);
            }
        }
    }

    public function signature(array $values, array $usual, bool $potentials): string
    {
        $signature = '';
        if (!$potentials) {
            $conducting = array_filter($this->branches, static fn (array $branch): bool => $branch['type'] === ElementType::ElectronicMotor || $values[$branch['ohms']] < CircuitSolver::OPEN_FROM_OHMS);
            $live = LiveParts::of(array_map(static fn (array $branch): array => ['from' => $branch['from'], 'to' => $branch['to'], 'drives' => $branch['type'] === ElementType::AlternatingSource], $conducting));
            // An armature can be stuck in without any voltage.
            foreach ([...$live, ...array_diff($this->contactors, $live)] as $id) {
                $signature .= "$id ";
                foreach ($this->slotsOf[$id] as $slot) {
                    $signature .= $values[$slot] === $usual[$slot] ? '' : "$slot=$values[$slot],";
                }
            }

            return $signature;
        }
        foreach ($values as $slot => $value) {
            $signature .= $value === $usual[$slot] ? '' : "$slot=$value,";
        }

        return $signature;
    }

    public function rehung(SolvedState $state, array $values): SolvedState
    {
        return $state;
    }

    public function electricBraking(array $values, string $motor): float
    {
        throw CircuitError::unknownParameter($motor);
    }

    /** Set of sources that is one ampere through a motor with electronics: after the circuit's own and those of an induction motor's two windings. */
    private function drawn(): int
    {
        return $this->iron === null ? 1 : 3;
    }

    /** @param list<float> $values */
    private function linear(array $values, AlternatingMotion $motion): LinearPhasors
    {
        $equations = new ComplexEquations(\count($this->nodeNumbers), $this->drawn() + ($this->draw === null ? 0 : 1));
        $shape = 'open ';
        $conductive = [];
        $admittances = [];
        $emfs = [];
        foreach ($this->branches as $id => ['type' => $type, 'from' => $a, 'to' => $b, 'ohms' => $ohms, 'reactance' => $reactance]) {
            if ($type === ElementType::ElectronicMotor) {
                $shape .= '1';
                $conductive[] = [$a, $b];
                $equations->inject($a, $b, $this->drawn());
                continue;
            }
            if ($values[$ohms] >= CircuitSolver::OPEN_FROM_OHMS) {
                $shape .= '0';
                continue;
            }
            $shape .= '1';
            $admittances[$id] = $admittance = match ($type) {
                ElementType::Resistor, ElementType::Switch, ElementType::AlternatingSource => ComplexEquations::admittance($values[$ohms], 0.0),
                ElementType::Contactor => $this->coil($id, $values, $motion),
                ElementType::Capacitor => $this->capacitor($id, $values),
                default => ComplexEquations::admittance($values[$ohms], $reactance === null ? 0.0 : $values[$reactance]),
            };
            $conductive[] = [$a, $b];
            $equations->branch($a, $b, $admittance);
            if ($type === ElementType::AlternatingSource) {
                $emfs[$id] = [$values[$this->slots["$id.volts"]], 0.0];
                $equations->drive($a, $b, $admittance, $emfs[$id], 0);
            } elseif ($type->isOnIron()) {
                $equations->drive($a, $b, $admittance, $motion->turns($id), $type === ElementType::AuxiliaryWinding ? 2 : 1);
            }
        }

        return new LinearPhasors($shape, $conductive, $admittances, $emfs, $equations->solutions());
    }

    /**
     * @param list<float> $values
     *
     * @return array{0: float, 1: float} admittance in S
     */
    private function coil(string $id, array $values, AlternatingMotion $motion): array
    {
        return $motion->isSealed($id)
            ? ComplexEquations::admittance($values[$this->slots["$id.sealedOhms"]], $values[$this->slots["$id.sealedReactance"]])
            : ComplexEquations::admittance($values[$this->slots["$id.unsealedOhms"]], $values[$this->slots["$id.unsealedReactance"]]);
    }

    /**
     * @param list<float> $values
     *
     * @return array{0: float, 1: float} admittance in S
     */
    private function capacitor(string $id, array $values): array
    {
        [$ohms, $reactance] = Capacitor::impedance($values[$this->slots["$id.microfarads"]], $values[$this->slots["$id.leakOhms"]], $values[$this->slots["$id.hertz"]]);

        return ComplexEquations::admittance($ohms + $values[$this->slots["$id.ohms"]], $reactance);
    }
}
