<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One value that describes a circuit of a family.
 */
final readonly class Parameter
{
    /** The choice that says that nobody knows. */
    public const UNKNOWN = 'unknown';

    /**
     * @param 'choice'|'number'|'numbers'|'text' $kind
     * @param list<string>    $choices  for a choice
     * @param string          $unit     for numbers
     * @param bool            $optional whether "unknown" (null) is an answer
     * @param bool            $shapesMap whether the cells of the speed map depend on it: it is asked first
     * @param string|null     $countOf  for numbers: the parameter whose value minus one is how many there must be
     * @param bool            $naming   whether it only names things, and leaves the circuit as it is
     * @param string|null     $above    key of a number that it has to exceed
     * @param string|null     $distinct group in which no two have the same value
     * @param string|null     $steadyTo key of the number that these lead to, all of them rising or all falling
     * @param bool            $example  whether its default is only an example's: a job begins without it
     * @param array{key: string, values: list<string>}|null $onlyWith another choice, and its values with which this one means anything
     */
    private function __construct(
        public string $key,
        public string $kind,
        public string|float|null $default,
        public array $choices = [],
        public string $unit = '',
        public float $least = 0.0,
        public float $most = 0.0,
        public bool $optional = false,
        public ?string $countOf = null,
        public bool $shapesMap = false,
        public ?array $onlyWith = null,
        public bool $naming = false,
        public bool $orOpen = false,
        public ?string $above = null,
        public ?string $distinct = null,
        public bool $example = false,
        public ?string $steadyTo = null,
    ) {}

    /** @param list<string> $choices */
    public static function choice(string $key, array $choices, string $default, bool $shapesMap = false): self
    {
        return new self($key, 'choice', $default, $choices, shapesMap: $shapesMap);
    }

    public static function number(string $key, string $unit, float $least, float $most): self
    {
        return new self($key, 'number', null, [], $unit, $least, $most, true);
    }

    /** A number that stands at a default until somebody knows better. */
    public static function figure(string $key, string $unit, float $least, float $most, float $default): self
    {
        return new self($key, 'number', $default, [], $unit, $least, $most);
    }

    /** What a meter showed, over-range too: that is read as infinite. */
    public static function reading(string $key, string $unit, float $least, float $most, ?float $default): self
    {
        return new self($key, 'number', $default, [], $unit, $least, $most, $default === null, orOpen: true);
    }

    /** Several lines of text. */
    public static function text(string $key, string $default): self
    {
        return new self($key, 'text', $default);
    }

    /** As many numbers as another parameter says, less one. */
    public static function numbers(string $key, string $unit, float $least, float $most, string $countOf): self
    {
        return new self($key, 'numbers', null, [], $unit, $least, $most, true, $countOf);
    }

    /** The same, asked for only while another choice has one of some values. */
    public function onlyWith(string $key, string ...$values): self
    {
        return $this->but(onlyWith: ['key' => $key, 'values' => array_values($values)]);
    }

    /** The same, which only names things. */
    public function naming(): self
    {
        return $this->but(naming: true);
    }

    /** The same number, which is more than another one where both are known. */
    public function above(string $key): self
    {
        return $this->but(above: $key);
    }

    /** The same, whose value no other one of a group has too. */
    public function distinct(string $group): self
    {
        return $this->but(distinct: $group);
    }

    /** The same numbers, which rise or fall from each to the next, and on to another one. */
    public function steadyTo(string $key): self
    {
        return $this->but(steadyTo: $key);
    }

    /** The same, whose default is only an example's. */
    public function example(): self
    {
        return $this->but(example: true);
    }

    /** @param array{key: string, values: list<string>}|null $onlyWith */
    private function but(
        ?array $onlyWith = null,
        ?bool $naming = null,
        ?string $above = null,
        ?string $distinct = null,
        ?bool $example = null,
        ?string $steadyTo = null,
    ): self {
        return new self(
            $this->key,
            $this->kind,
            $this->default,
            $this->choices,
            $this->unit,
            $this->least,
            $this->most,
            $this->optional,
            $this->countOf,
            $this->shapesMap,
            $onlyWith ?? $this->onlyWith,
            $naming ?? $this->naming,
            $this->orOpen,
            $above ?? $this->above,
            $distinct ?? $this->distinct,
            $example ?? $this->example,
            $steadyTo ?? $this->steadyTo,
        );
    }
}
