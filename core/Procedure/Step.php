<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * One thing to do.
 */
final readonly class Step
{
    /**
     * @param list<string> $cautions  what can hurt, before it
     * @param Wait|null    $wait      time to pass once it was begun
     * @param string|null  $expect    what should be seen at its end
     * @param string|null  $otherwise what to do when that is not seen
     * @param string|null  $confirm   for what cannot be undone: what lies behind, and the other way
     */
    public function __construct(
        public string $text,
        public array $cautions = [],
        public ?Wait $wait = null,
        public ?string $expect = null,
        public ?string $otherwise = null,
        public ?string $confirm = null,
    ) {}

    public function waiting(Wait $wait): self
    {
        return new self($this->text, $this->cautions, $wait, $this->expect, $this->otherwise, $this->confirm);
    }
}
