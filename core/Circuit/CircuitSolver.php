<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the steady state of a netlist: potentials, currents, motor speeds and relay positions.
 *
 * The parameters of all elements form one vector, so that a set-up, a fault or a drawn
 * component value is just other numbers in it. Motors and speed modules are solved against
 * the linear network, see {@see EmfSettlement}. Relays are moved one state at a time until none
 * wants to move; a state that comes back means that the relay chatters. Controls read their
 * signals in the same rounds.
 */
final class CircuitSolver implements Solver
{
    /** Resistance at and above which a branch is left out of the network. */
    public const OPEN_FROM_OHMS = 1e9;

    /** @var array<string, int> "element.parameter" → place in the vector */
    private array $slots = [];

    /** @var list<float> */
    private array $nominal = [];

    /** @var array<string, int> */
    private array $nodeNumbers;

    /** @var list<Element> branches by number */
    private array $branches;

    /** @var array<string, int> element id → branch number */
    private array $branchNumbers = [];

    /** @var list<array{0: int, 1: int}> */
    private array $ends = [];

    /** @var list<int> slot → its branch */
    private array $branchOf = [];

    /** @var list<int> branch → slot of its resistance */
    private array $ohmsSlots = [];

    private readonly SwitchingSlots $switching;

    /** @var array<int, int> place of its voltage, by branch number */
    private array $sources = [];

    /**
     * Change of a control's value under which it has settled (no ear hears a thousandth of a duty), and rounds after
     * which it never does.
     */
    private const CONTROL_SETTLED = 1e-3;
    private const MOST_ROUNDS = 40;

    private readonly EmfSettlement $settlement;

    /** @var array<int, array{0: int, 1: int}> control input branch → places of its gain and offset */
    private array $controls = [];

    /** @var array<int, true> branches that hold a voltage at an end that nothing else touches */
    private array $driving = [];

    /** @var list<int> branch numbers */
    private array $coils = [];

    /** @var array<int, array{0: int, 1: int}> coil branch → places of its pull-in and drop-out voltage */
    private array $thresholds = [];

    /** @var array<int, list<int>> coil branch → contact branches */
    private array $contacts = [];

    /** @var array<int, array<int, true>> motor branch → branches of further windings on its shaft */
    private array $windings = [];

    /** @var array<string, LiveNetwork> by which branches are open */
    private array $networks = [];

    public function __construct(public readonly Netlist $netlist)
    {
        $this->nodeNumbers = array_flip($netlist->nodes);
        $this->branches = array_values($netlist->elements);
        foreach ($this->branches as $number => $element) {
            $this->branchNumbers[$element->id] = $number;
            $this->ends[] = [$this->nodeNumbers[$element->from], $this->nodeNumbers[$element->to]];
            foreach ($element->parameters as $name => $value) {
                $this->slots["$element->id.$name"] = \count($this->nominal);
                $this->branchOf[] = $number;
                $this->nominal[] = $value;
            }
            $this->ohmsSlots[] = $this->slots[$element->id . '.' . $element->type->resistanceParameter()];
            match ($element->type) {
                ElementType::Source => ($this->sources[$number] = $this->slots["$element->id.volts"]),
                ElementType::Coil => ($this->coils[] = $number),
                ElementType::ControlInput => ($this->controls[$number] = [
                    $this->slots["$element->id.gain"],
                    $this->slots["$element->id.offset"],
                ]),
                ElementType::AlternatingSource,
                ElementType::Impedance,
                ElementType::Contactor
                    => throw CircuitError::alternating($element->id),
                default => null,
            };
            if ($element->type->drives()) {
                $this->driving[$number] = true;
            }
        }
        foreach ($this->coils as $coil) {
            $id = $this->branches[$coil]->id;
            $this->thresholds[$coil] = [$this->slots["$id.pullInVolts"], $this->slots["$id.dropOutVolts"]];
        }
        $this->switching = new SwitchingSlots($this->ohmsSlots);
        $this->settlement = new EmfSettlement(
            $this->branches,
            $this->branchNumbers,
            $this->ends,
            $this->slots,
            $this->ohmsSlots,
        );
        foreach ($this->branches as $number => $element) {
            if ($element->type === ElementType::Winding) {
                $this->windings[$this->branchNumbers[$element->partner] ?? -1][$number] = true;
            }
            if ($element->coil !== null) {
                $this->contacts[$this->branchNumbers[$element->coil]][] = $number;
            }
        }
    }

    /** @return list<float> the netlist's own values */
    public function nominalValues(): array
    {
        return $this->nominal;
    }

    /** @param string $parameter as "element.parameter" */
    public function slot(string $parameter): int
    {
        return $this->slots[$parameter] ?? throw CircuitError::unknownParameter($parameter);
    }

    public function node(string $name): int
    {
        return $this->nodeNumbers[$name] ?? throw CircuitError::unknownNode($name);
    }

    public function netlist(): Netlist
    {
        return $this->netlist;
    }

    /** @param list<float>|null $values defaults to the netlist's own */
    public function solve(?array $values = null): OperatingPoint
    {
        $values ??= $this->nominal;
        $energised = array_fill_keys($this->coils, false);
        $seen = [];
        $chatters = false;
        $prepared = null;
        for ($round = 0; ; ++$round) {
            foreach ($energised as $coil => $state) {
                $this->moveContacts($values, $coil, $state);
            }
            $prepared ??= $this->prepared($values);
            $point = $this->solveUnmoved($values, $energised, $chatters, $prepared);
            if (($energised === [] && $this->controls === []) || $chatters || $round > self::MOST_ROUNDS) {
                return $point;
            }
            foreach ($energised as $coil => $state) {
                [$pullIn, $dropOut] = $this->thresholds[$coil];
                $conducts = $values[$this->ohmsSlots[$coil]] < self::OPEN_FROM_OHMS;
                $energised[$coil] =
                    $conducts && abs($point->between(...$this->ends[$coil])) >= $values[$state ? $dropOut : $pullIn];
            }
            $steered = $this->controls !== [] && $this->steer($values, $point);
            $moves = $energised !== $point->energised;
            if (!$moves && !$steered) {
                return $point;
            }
            // Contacts that move are other resistances. A control that steers leaves them as they are.
            if ($moves) {
                $prepared = null;
                $seen[self::positions($point->energised)] = true;
                $chatters = isset($seen[self::positions($energised)]);
            }
        }
    }

    /** @param array<int, bool> $energised by coil */
    private static function positions(array $energised): string
    {
        $positions = '';
        foreach ($energised as $pulled) {
            $positions .= $pulled ? '1' : '0';
        }

        return $positions;
    }

    /**
     * Lets the controls set what they steer, from the signals that they find.
     *
     * @param array<int, float> $values
     *
     * @param-out array<int, float> $values
     *
     * @return bool whether anything changed
     */
    private function steer(array &$values, OperatingPoint $point): bool
    {
        $changed = false;
        foreach ($this->controls as $input => [$gain, $offset]) {
            $element = $this->branches[$input];
            $control = $element->control ?? throw CircuitError::malformed("\"$element->id\" has no table.");
            $reference =
                $control->reference === null
                    ? $control->volts
                    : $point->voltageBetween($control->reference[0], $control->reference[1]);
            $sees = $values[$this->ohmsSlots[$input]] < self::OPEN_FROM_OHMS && $reference > $control->worksFrom;
            $signal =
                $values[$offset] +
                ($values[$gain] * $point->voltageBetween($element->from, $element->to)) /
                    ($reference > 0.0 ? $reference : 1.0);
            $value = $control->value($sees ? $signal : 0.0);
            $slot = $this->slot($control->target);
            $changed = $changed || abs($values[$slot] - $value) > self::CONTROL_SETTLED;
            $values[$slot] = $value;
        }

        return $changed;
    }

    /**
     * Braking torque in N·m for each rad/s that the circuit puts on a motor's shaft by the currents that its EMF
     * drives.
     *
     * @param list<float> $values
     */
    public function electricBraking(array $values, string $motor): float
    {
        return $this->settlement->braking(
            new PreparedNetwork($this->network($values), $values, $this->ohmsSlots),
            $values,
            $this->branchNumbers[$motor] ?? throw CircuitError::unknownParameter($motor),
        );
    }

    /**
     * What decides the currents for a vector: the branches that can carry any, and where their
     * parameters differ from another vector's.
     *
     * It is told from one network in which all contacts of all relays conduct: what is live in any
     * position of theirs is live in it. Two vectors that differ from the same third one in the same
     * way, as far as live branches go, have the same potentials at live nodes.
     *
     * @param list<float> $values
     * @param list<float> $usual
     */
    public function signature(array $values, array $usual): string
    {
        if ($this->hasIdealBranch($values)) {
            // What an ideal branch ties together cannot hang elsewhere: such circuits share only what is equal.
            return 'ideal ' . serialize(array_diff_assoc($values, $usual));
        }
        foreach ($this->contacts as $contacts) {
            foreach ($contacts as $contact) {
                $values[$this->ohmsSlots[$contact]] = $usual[$this->ohmsSlots[$contact]] = 1.0;
            }
        }
        $changed = SwitchingSlots::changed($values, $usual);
        $live = $this->live($values, $usual, $changed);
        $signature = implode(',', array_keys($live)) . ';';
        foreach ($changed as $slot) {
            if (isset($live[$this->branchOf[$slot]]) || $this->turns($this->branchOf[$slot], $live)) {
                $signature .= "$slot=$values[$slot],";
            }
        }

        return $signature;
    }

    /**
     * Whether a motor that carries no current itself may turn, driven by another winding on its shaft: its friction and
     * its load stand in its own parameters.
     *
     * @param array<int, true> $live
     */
    private function turns(int $motor, array $live): bool
    {
        return array_intersect_key($this->windings[$motor] ?? [], $live) !== [];
    }

    /**
     * Branches that can carry current. Where one only opened more of them than usual, no new network is needed.
     *
     * @param array<int, float> $values
     * @param array<int, float> $usual
     * @param list<int>         $changed slots in which they differ
     *
     * @return array<int, true>
     */
    private function live(array $values, array $usual, array $changed): array
    {
        $slots = $this->switching->opened($values, $usual, $changed);
        if ($slots === null) {
            return $this->network($values)->liveBranches;
        }
        $usually = $this->network($usual);
        $opened = [];
        foreach ($slots as $slot) {
            if (isset($usually->liveBranches[$this->branchOf[$slot]])) {
                $opened[] = $this->branchOf[$slot];
            }
        }

        return $opened === [] ? $usually->liveBranches : $usually->liveWithout($opened);
    }

    /**
     * A solved point as another vector with the same {@see signature()} has it: dead ends may hang elsewhere.
     *
     * @param list<float> $values
     */
    public function rehung(SolvedState $state, array $values): SolvedState
    {
        if (!($state instanceof OperatingPoint) || $this->hasIdealBranch($values)) {
            return $state;
        }
        foreach ($state->energised as $coil => $pulled) {
            $this->moveContacts($values, $coil, $pulled);
        }

        return $state->within($this->network($values));
    }

    /** @param array<int, float> $values */
    private function hasIdealBranch(array $values): bool
    {
        foreach ($this->ohmsSlots as $slot) {
            if ($values[$slot] === 0.0) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<int, float> $values
     *
     * @param-out array<int, float> $values
     */
    private function moveContacts(array &$values, int $coil, bool $energised): void
    {
        foreach ($this->contacts[$coil] ?? [] as $contact) {
            $values[$this->ohmsSlots[$contact]] = $energised
                ? $this->branches[$contact]->workOhms
                : $this->branches[$contact]->restOhms;
        }
    }

    /**
     * What depends on the resistances alone.
     *
     * @param array<int, float> $values
     */
    private function prepared(array $values): PreparedNetwork
    {
        $joined = null;
        foreach ($this->ohmsSlots as $number => $slot) {
            if ($values[$slot] === 0.0) {
                $joined ??= new PotentialForest(\count($this->nodeNumbers));
                $element = $this->branches[$number];
                $volts = $element->type === ElementType::Source ? $values[$this->slots["$element->id.volts"]] : 0.0;
                if (!$joined->join($this->ends[$number][0], $this->ends[$number][1], $volts)) {
                    throw CircuitError::idealLoop($element->id);
                }
            }
        }

        return new PreparedNetwork(
            $joined === null ? $this->network($values) : $this->buildNetwork($values, $joined),
            $values,
            $this->ohmsSlots,
            $joined,
        );
    }

    /**
     * @param array<int, float> $values
     * @param array<int, bool>  $energised
     */
    private function solveUnmoved(
        array $values,
        array $energised,
        bool $chatters,
        PreparedNetwork $prepared,
    ): OperatingPoint {
        $network = $prepared->network;
        $joined = $prepared->joined;
        $emf = [];
        foreach ($this->sources as $number => $slot) {
            if (isset($network->liveBranches[$number])) {
                $emf[$number] = $values[$slot];
            }
        }
        $injected =
            $joined === null
                ? $prepared->noCurrent()
                : $this->driven($prepared, $values, $this->offsets($network, $joined), $prepared->noCurrent());
        $injected = $this->driven($prepared, $values, $emf, $injected);
        $moved = [];
        $speeds = $this->settlement->standing;
        $push = 0.0;
        if ($this->settlement->ports !== []) {
            [$moved, $speeds, $push] = $this->settlement->settle(
                $prepared,
                $values,
                $prepared->lateVolts($injected, false),
            );
            $injected = $this->driven($prepared, $values, $moved, $injected);
        }

        return new OperatingPoint(
            $this->netlist,
            $this->nodeNumbers,
            $this->branchNumbers,
            $network,
            $prepared->potentials($injected),
            $values,
            $this->ohmsSlots,
            $emf + $moved,
            $speeds,
            $energised,
            $chatters,
            $push,
            $joined,
        );
    }

    /**
     * @param array<int, float> $values
     * @param array<int, float> $volts    of `from` above `to`, by live branch
     * @param array<int, float> $injected
     *
     * @return array<int, float> currents by live node, with those that these voltages drive
     */
    private function driven(PreparedNetwork $prepared, array $values, array $volts, array $injected): array
    {
        $representative = $prepared->network->representative;
        foreach ($volts as $number => $own) {
            [$from, $to] = $this->ends[$number];
            $current = $own / $values[$this->ohmsSlots[$number]];
            $injected[$representative[$from]] += $current;
            $injected[$representative[$to]] -= $current;
        }

        return $injected;
    }

    /** @return array<int, float> voltage that ideal branches put across each live branch, in V */
    private function offsets(LiveNetwork $network, PotentialForest $joined): array
    {
        $offsets = [];
        foreach ($network->liveBranches as $number => $_) {
            [$from, $to] = $this->ends[$number];
            $offsets[$number] = $joined->offset($to) - $joined->offset($from);
        }

        return $offsets;
    }

    /** @param array<int, float> $values */
    private function network(array $values): LiveNetwork
    {
        return $this->networks[$this->switching->pattern($values)] ??= $this->buildNetwork(
            $values,
            new PotentialForest(\count($this->nodeNumbers)),
        );
    }

    /** @param array<int, float> $values */
    private function buildNetwork(array $values, PotentialForest $joined): LiveNetwork
    {
        $conductive = [];
        foreach ($this->ohmsSlots as $number => $slot) {
            if ($values[$slot] > 0.0 && $values[$slot] < self::OPEN_FROM_OHMS) {
                $conductive[$number] = $this->ends[$number];
            }
        }

        // With joined nodes a dead end would have to remember at which of them it hangs; it is solved with the rest
        // instead.
        $kept = $joined->isTrivial() ? $this->driving : array_fill_keys(array_keys($conductive), true);

        return new LiveNetwork(\count($this->nodeNumbers), $conductive, $kept, $joined, $this->settlement->nodes);
    }
}
