<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Shown;

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
}
