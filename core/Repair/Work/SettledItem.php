<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * Something that was left open, and who settled it.
 */
final readonly class SettledItem
{
    public function __construct(public string $what, public string $who, public string $how, public ?string $at) {}
}
