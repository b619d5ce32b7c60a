<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * All that one page is sent. The types of TypeScript are made of its properties.
 */
abstract readonly class Page
{
    /** The React component that shows it: "Bench" for BenchPage. */
    final public static function component(): string
    {
        return preg_replace('/^.*\\\\|Page$/', '', static::class) ?? '';
    }

    /** @return array<string, mixed> */
    final public function props(): array
    {
        /** @var array<string, mixed> $props */
        $props = get_object_vars($this);

        return $props;
    }
}
