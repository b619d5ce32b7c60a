<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * A job file that cannot be read; the message says where and what to change.
 */
final class FileError extends \InvalidArgumentException
{
    public static function at(string $path, string $what): self
    {
        return new self("$path: $what");
    }
}
