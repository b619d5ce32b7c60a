<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Kernel\Choice;

/**
 * One of the checks that prove a repair.
 */
final readonly class CheckShown
{
    /**
     * @param list<Choice> $choices
     * @param list<string> $cautions
     * @param bool|null $right null while it is not read, or read once and outside of what is right
     * @param bool $always whether no note replaces it
     */
    public function __construct(
        public string $test,
        public string $title,
        public string $setUp,
        public string $unit,
        public array $choices,
        public array $cautions,
        public string $expected,
        public ?string $read,
        public ?bool $right,
        public bool $always,
        public bool $complained,
    ) {}
}
