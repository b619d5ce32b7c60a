<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One kind of circuit, declared so that nothing else in the product needs its name.
 */
interface Family
{
    /** Stable identifier, used in files and addresses: lower case and hyphens. */
    public function key(): string;

    /** Which values describe a circuit of this family. */
    public function parameters(): ParameterList;

    /**
     * The circuit for given values: netlist, positions, tests, faults, parts and drawing.
     *
     * @param array<string, mixed> $values as returned by {@see ParameterList::read()}
     */
    public function circuit(array $values): CircuitModel;

    /** The words of this family, in the language asked for. */
    public function texts(): Texts;
}
