<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A photo to choose.
 */
final readonly class PhotoHead
{
    public function __construct(public string $id, public ?string $caption) {}
}
