<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One value that describes a circuit of a family.
 */
final readonly class Parameter
{
    /**
     * @param 'choice'|'number'|'numbers'|'text' $kind
     * @param list<string>    $choices  for a choice
     * @param string          $unit     for numbers
     * @param bool            $optional whether "unknown" (null) is an answer
     * @param bool            $shapesMap whether the cells of the speed map depend on it: it is asked first
     * @param string|null     $countOf  for numbers: the parameter whose value minus one is how many there must be
     * @param bool            $naming   whether it only names things, and leaves the circuit as it is
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
            ['key' => $key, 'values' => array_values($values)],
            $this->naming,
            $this->orOpen,
        );
    }

    /** The same, which only names things. */
    public function naming(): self
    {
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
            $this->onlyWith,
            true,
            $this->orOpen,
        );
    }
}
