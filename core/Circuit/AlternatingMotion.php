<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What moves in an alternating-current circuit, while its steady state is sought.
 *
 * A contactor that reaches its pull-in voltage seals. An induction motor starts when its auxiliary
 * winding gives it enough turning field, and then settles where torque and load meet. A motor with
 * its own electronics takes the power that its speed asks for.
 */
final class AlternatingMotion
{
    /** Change of slip, and share of change of a power, from which the circuit is solved again. */
    private const SLIP_CHANGE = 5e-4;
    private const POWER_CHANGE = 2e-3;

    private const CHASING_FROM = 8;

    private int $passes = 0;

    /** Whether what moved last changed an admittance of the circuit. */
    public bool $rewired = false;

    /** @var array<string, bool> by contactor */
    private array $sealed = [];

    /** @var array<string, float> by induction motor; 1 while it stands */
    private array $slips = [];

    /** @var array<string, float> in S, by motor with electronics */
    private array $conductances = [];

    /** @var array<string, float> in rad/s, 1 or 0 for a contactor, NAN where it chatters or cuts out */
    private array $speeds = [];

    /** @var array<string, bool> whether hardly anything drives it, by what may move */
    private array $still = [];

    /** @var array<string, InductionMotor> */
    private array $induction = [];

    /** @var array<string, ElectronicMotor> */
    private array $electronic = [];

    /** @var array<string, string> auxiliary winding of a motor */
    private array $auxiliary = [];

    /** @var array<string, array{0: float, 1: float}> turns of each winding over those of the first section: in phase with the flux, and ahead of it by a quarter period */
    public readonly array $turns;

    /**
     * @param array<string, Element>            $movers
     * @param array<string, Element>            $windings of the induction motor
     * @param list<float>                       $values
     * @param array<string, array<string, int>> $slots    places among the values, by element and name of the parameter
     */
    public function __construct(
        private readonly Netlist $netlist,
        private readonly array $movers,
        array $windings,
        private readonly array $values,
        private readonly array $slots,
    ) {
        foreach ($movers as $id => $element) {
            $this->speeds[$id] = 0.0;
            if ($element->type === ElementType::InductionMotor) {
                $this->induction[$id] = InductionMotor::from($values, $slots[$id]);
                $this->slips[$id] = 1.0;
            } elseif ($element->type === ElementType::ElectronicMotor) {
                $this->electronic[$id] = ElectronicMotor::from($values, $slots[$id]);
                $this->conductances[$id] =
                    $this->electronic[$id]->standbyWatts / $this->electronic[$id]->leastVolts ** 2;
            } else {
                $this->sealed[$id] = false;
            }
        }
        $turns = [];
        foreach ($windings as $id => $element) {
            if ($element->type === ElementType::AuxiliaryWinding) {
                $this->auxiliary[$element->partner ?? ''] = $id;
                $turns[$id] = [0.0, $values[$slots[$id]['turns']]];
            } else {
                $turns[$id] = [$element->type === ElementType::MainWinding ? $values[$slots[$id]['turns']] : 1.0, 0.0];
            }
        }
        $this->turns = $turns;
    }

    /** @return array<string, bool> whether its armature is in, by contactor */
    public function sealed(): array
    {
        return $this->sealed;
    }

    /** @return array{0: float, 1: float} conductance and susceptance of a motor's rotor and magnetising branch, in S */
    public function rotor(string $motor): array
    {
        return $this->induction[$motor]->admittance($this->slips[$motor]);
    }

    public function conductance(string $motor): float
    {
        return $this->conductances[$motor];
    }

    /** Speed over synchronous: the turning rotor induces the auxiliary winding in proportion to it. */
    public function turning(string $motor): float
    {
        return 1.0 - $this->slips[$motor];
    }

    /** @return array<string, float> */
    public function speeds(): array
    {
        return $this->speeds;
    }

    /** @return array<string, bool> whether hardly anything drives it, by what may move */
    public function still(): array
    {
        return $this->still;
    }

    /** Moves what a solution sets in motion; false when that leaves the circuit as it is. */
    public function follows(PhasorPoint $point): bool
    {
        $moved = $this->rewired = false;
        foreach ($this->movers as $id => $element) {
            $moves = match ($element->type) {
                ElementType::InductionMotor => $this->turnsInduction($id, $point),
                ElementType::ElectronicMotor => $this->turnsElectronic($id, $element, $point),
                default => $this->seals($id, $element, $point),
            };
            $moved = $moves || $moved;
            $this->rewired = $this->rewired || ($moves && $element->type === ElementType::Contactor);
        }

        return $moved;
    }

    private function seals(string $id, Element $element, PhasorPoint $point): bool
    {
        if ($this->sealed[$id]) {
            return false;
        }
        $volts = $point->voltageBetween($element->from, $element->to);
        $this->still[$id] = $volts < SolvedState::HARDLY * $this->values[$this->slots[$id]['dropOutVolts']];
        if ($point->isOpen($id) || $volts < $this->values[$this->slots[$id]['dropOutVolts']]) {
            $this->speeds[$id] = 0.0;

            return false;
        }
        $this->sealed[$id] = $volts >= $this->values[$this->slots[$id]['pullInVolts']];
        $this->speeds[$id] = $this->sealed[$id] ? 1.0 : \NAN;

        return $this->sealed[$id];
    }

    private function turnsInduction(string $id, PhasorPoint $point): bool
    {
        $motor = $this->induction[$id];
        $flux = $point->flux() / $motor->ratedEmf;
        $auxiliary =
            $motor->auxiliarySiemens > 0.0 && isset($this->auxiliary[$id])
                ? $point->inQuadrature($this->auxiliary[$id]) / $motor->auxiliarySiemens
                : 1.0;
        $speed = 0.0;
        $push = $motor->push($flux, $auxiliary);
        $this->still[$id] = $push < SolvedState::HARDLY;
        if ($this->slips[$id] < 1.0 || $push > 1.0) {
            $speed = $motor->speed($flux, $auxiliary);
        }
        $before = $this->slips[$id];
        $slip = 1.0 - $speed / $motor->synchronousSpeed;
        // Half steps where flux and slip chase each other.
        $this->slips[$id] =
            ++$this->passes > self::CHASING_FROM && $before < 1.0 && $slip < 1.0 ? 0.5 * ($before + $slip) : $slip;
        $changed = abs($slip - $before) > self::SLIP_CHANGE;
        $this->speeds[$id] = !$changed && $speed > 0.0 && $this->trips($motor, $point) ? \NAN : $speed;

        return $changed;
    }

    private function trips(InductionMotor $motor, PhasorPoint $point): bool
    {
        foreach (array_keys($this->turns) as $winding) {
            if ($point->current($winding) > $motor->tripAmps) {
                return true;
            }
        }

        return false;
    }

    private function turnsElectronic(string $id, Element $element, PhasorPoint $point): bool
    {
        $motor = $this->electronic[$id];
        $line = $point->voltageBetween($element->from, $element->to);
        $torque = 0.0;
        if ($line >= $motor->leastVolts) {
            foreach ($element->inputs as $input => $programmed) {
                $signal = $this->netlist->elements[$input];
                if (
                    !$point->isOpen($input) &&
                    $point->voltageBetween($signal->from, $signal->to) >= $motor->inputVolts
                ) {
                    $torque = max($torque, $programmed);
                }
            }
        }
        $this->still[$id] = $torque === 0.0;
        $speed = $motor->speed($torque);
        $this->speeds[$id] = $speed > 0.0 && $motor->answer < 1.0 ? \NAN : $speed;
        $before = $this->conductances[$id];
        $this->conductances[$id] = $motor->watts($torque, $speed) / max($line, 0.5 * $motor->leastVolts) ** 2;

        return abs($this->conductances[$id] - $before) > self::POWER_CHANGE * $before;
    }
}
