<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Shown;

use Ispira\Core\Device\Family;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Kernel\Choice;

/**
 * A field of a form, as a family or a planner declares it.
 */
final readonly class FieldShown
{
    /**
     * @param 'choice'|'number'|'numbers'|'text' $kind
     * @param list<Choice> $choices
     * @param bool $shapesMap whether it changes the positions of the selector
     */
    public function __construct(
        public string $key,
        public string $kind,
        public string $label,
        public ?string $hint,
        public array $choices,
        public string $unit,
        public string|float|int|null $default,
        public ?string $countOf,
        public bool $shapesMap,
        public ?OnlyWith $onlyWith,
    ) {}

    /** @return list<self> the fields of a family's circuit */
    public static function ofCircuit(Family $family): array
    {
        return self::all($family->parameters(), $family->texts());
    }

    /** @return list<self> */
    public static function all(ParameterList $parameters, Texts $texts): array
    {
        return array_map(
            static fn(Parameter $p): self => new self(
                key: $p->key,
                kind: $p->kind,
                label: $texts->get("parameters.$p->key.label"),
                hint: $texts->find("parameters.$p->key.hint"),
                choices: array_map(
                    static fn(string $choice): Choice => new Choice(
                        value: $choice,
                        label: $texts->get("parameters.$p->key.$choice"),
                    ),
                    $p->choices,
                ),
                unit: $p->unit,
                default: $p->default,
                countOf: $p->countOf,
                shapesMap: $p->shapesMap,
                onlyWith: $p->onlyWith === null ? null : new OnlyWith($p->onlyWith['key'], $p->onlyWith['values']),
            ),
            array_values($parameters->parameters),
        );
    }
}
