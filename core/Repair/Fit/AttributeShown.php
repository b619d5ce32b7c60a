<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Kernel\Choice;

/**
 * What a kind of part is compared by, as a form shows it.
 */
final readonly class AttributeShown
{
    /**
     * @param list<Choice> $choices
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $unit,
        public string $hint,
        public array $choices,
    ) {}
}
