<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Kernel\Choice;

/**
 * What the new part should show before it goes in.
 */
final readonly class PartTest
{
    /**
     * @param list<Choice> $choices
     * @param list<string> $cautions
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $unit,
        public string $expected,
        public array $choices,
        public array $cautions,
    ) {}
}
