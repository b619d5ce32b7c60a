<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The steady state of a circuit: what every lead of a meter would find. Alternating quantities are effective values.
 */
interface SolvedState
{
    /** Potential of a node above ground in V; null when the node floats. */
    public function potential(string $node): ?float;

    /** What a meter between two nodes shows, in V. */
    public function voltageBetween(string $plus, string $minus): float;

    /** Current through an element in A, positive from its first node to its second. */
    public function current(string $elementId): float;

    /** Whether an element is open: a contact apart, a plug out. */
    public function isOpen(string $elementId): bool;

    /**
     * What a moving part does: rad/s of a shaft; 1 for a sealed contactor, 0 for a silent one, NAN for one that
     * chatters.
     */
    public function speed(string $elementId): float;

    /**
     * Whether a moving part stands, and so little drives it that slightly other values of the parts leave it standing.
     */
    public function standsSurely(string $elementId): bool;

    /** Share of what starts a moving part under which it stands surely. */
    public const HARDLY = 0.2;

    /**
     * A parameter that was solved for, as "element.parameter".
     *
     * @throws CircuitError when there is no such parameter
     */
    public function parameter(string $name): float;
}
