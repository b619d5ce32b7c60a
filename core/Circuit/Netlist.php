<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A named set of elements with one node as ground (0 V).
 */
final readonly class Netlist
{
    /** @var array<string, Element> by id */
    public array $elements;

    /** @var list<string> all nodes, ground first */
    public array $nodes;

    /** @param list<Element> $elements */
    public function __construct(array $elements, public string $ground = '0')
    {
        $byId = [];
        $nodes = [$ground => true];
        $grounded = false;
        foreach ($elements as $element) {
            if (isset($byId[$element->id])) {
                throw CircuitError::duplicateElement($element->id);
            }
            $byId[$element->id] = $element;
            $nodes[$element->from] = true;
            $nodes[$element->to] = true;
            $grounded = $grounded || $element->from === $ground || $element->to === $ground;
        }
        if (!$grounded) {
            throw CircuitError::noGround($ground);
        }
        foreach ($byId as $element) {
            if ($element->partner !== null && !self::works($element->type, $byId[$element->partner] ?? null)) {
                throw CircuitError::unknownPartner($element->id, $element->partner);
            }
            foreach (array_keys($element->inputs) as $input) {
                if (!isset($byId[$input])) {
                    throw CircuitError::unknownPartner($element->id, $input);
                }
            }
            if ($element->coil !== null && ($byId[$element->coil] ?? null)?->type !== ElementType::Coil) {
                throw CircuitError::unknownCoil($element->id, $element->coil);
            }
        }
        $this->elements = $byId;
        $this->nodes = array_map(strval(...), array_keys($nodes));
    }

    private static function works(ElementType $type, ?Element $partner): bool
    {
        return $partner !== null &&
            match ($type) {
                ElementType::MainWinding, ElementType::AuxiliaryWinding => $partner->type ===
                    ElementType::InductionMotor,
                ElementType::Winding => $partner->type === ElementType::Motor,
                ElementType::ModuleOutput => $partner->type === ElementType::ModuleInput,
                default => true,
            };
    }

    /** Whether it is fed with alternating current. */
    public function alternates(): bool
    {
        foreach ($this->elements as $element) {
            if ($element->type === ElementType::AlternatingSource) {
                return true;
            }
        }

        return false;
    }

    /** Whether something in it moves contacts by itself. */
    public function switches(): bool
    {
        foreach ($this->elements as $element) {
            if ($element->type === ElementType::Coil || $element->type === ElementType::Contactor) {
                return true;
            }
        }

        return false;
    }

    public function solver(): Solver
    {
        return $this->alternates() ? new PhasorSolver($this) : new CircuitSolver($this);
    }
}
