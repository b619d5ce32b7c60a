<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A netlist that cannot be read or solved; the message says what to change.
 */
final class CircuitError extends \InvalidArgumentException
{
    public static function duplicateElement(string $id): self
    {
        return new self("Two elements are called \"$id\": give each element its own id.");
    }

    public static function badValue(string $element, string $parameter, string $allowed): self
    {
        return new self("Element \"$element\": \"$parameter\" must be $allowed.");
    }

    public static function unknownParameter(string $name): self
    {
        return new self("The circuit has no parameter \"$name\".");
    }

    public static function unknownNode(string $node): self
    {
        return new self("No element is connected to a node called \"$node\".");
    }

    public static function noGround(string $ground): self
    {
        return new self(
            "No element is connected to the ground node \"$ground\": connect one, or name another node as ground.",
        );
    }

    public static function idealLoop(string $element): self
    {
        return new self(
            "Element \"$element\" closes a loop of ideal sources and closed switches: give one of them a resistance above 0 Ω.",
        );
    }

    public static function unknownCoil(string $contact, string $coil): self
    {
        return new self("Contact \"$contact\" is moved by a coil \"$coil\" that the netlist does not have.");
    }

    public static function malformed(string $what): self
    {
        return new self($what);
    }

    public static function alternating(string $element): self
    {
        return new self("Element \"$element\" belongs to an alternating-current circuit: this one has none.");
    }

    public static function notAlternating(string $element): self
    {
        return new self("Element \"$element\" cannot be part of an alternating-current circuit.");
    }

    public static function unknownPartner(string $element, string $partner): self
    {
        return new self("Element \"$element\" works with \"$partner\", which is not an element of the right kind.");
    }
}
