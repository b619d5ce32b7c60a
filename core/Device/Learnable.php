<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A value of this one machine that nobody has to know, and that readings teach.
 */
final readonly class Learnable
{
    /**
     * @param string       $key        of its words under "learned"; that of a field of the circuit's sheet where it has
     *     one
     * @param list<string> $parameters "element.parameter", whose sum it is
     */
    public function __construct(public string $key, public Quantity $quantity, public array $parameters) {}

    public static function volts(string $key, string $parameter): self
    {
        return new self($key, Quantity::Volts, [$parameter]);
    }

    public static function ohms(string $key, string ...$parameters): self
    {
        return new self($key, Quantity::Ohms, array_values($parameters));
    }
}
