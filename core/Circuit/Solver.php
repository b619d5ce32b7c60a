<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the steady state of a netlist for any values of its parameters, which form one vector.
 */
interface Solver
{
    public function netlist(): Netlist;

    /** @return list<float> the netlist's own values */
    public function nominalValues(): array;

    /**
     * Place of a parameter in the vector.
     *
     * @param string $parameter as "element.parameter"
     *
     * @throws CircuitError when there is no such parameter
     */
    public function slot(string $parameter): int;

    /** @throws CircuitError when there is no such node */
    public function node(string $name): int;

    /** @param list<float>|null $values defaults to the netlist's own */
    public function solve(?array $values = null): SolvedState;

    /**
     * A text that is equal for two vectors only if they give the same currents, and potentials that {@see rehung()} can
     * tell from each other's.
     *
     * @param list<float> $values
     * @param list<float> $usual  a vector from which both are told apart
     */
    public function signature(array $values, array $usual): string;

    /**
     * A solved state as another vector with the same {@see signature()} has it.
     *
     * @param list<float> $values
     */
    public function rehung(SolvedState $state, array $values): SolvedState;

    /**
     * Braking torque in N·m for each rad/s that the circuit puts on a motor's shaft.
     *
     * @param list<float> $values
     */
    public function electricBraking(array $values, string $motor): float;
}
