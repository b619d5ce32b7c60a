<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * One place of the tray, box or floor where fasteners lie.
 */
final readonly class TrayPlace
{
    /** @param list<TrayItem> $items in the order taken off */
    public function __construct(public string $where, public array $items) {}
}
