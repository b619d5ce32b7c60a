<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * Something that a job leaves open, until somebody settles it.
 */
final readonly class OpenItem
{
    /**
     * @param string $of entry that left it
     * @param string $aspect what of it
     */
    public function __construct(public string $of, public string $aspect, public string $what, public string $why) {}

    public function withoutWhy(): self
    {
        return new self($this->of, $this->aspect, $this->what, '');
    }
}
