<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Support\Responsable;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

/**
 * All that one page is sent. The types of TypeScript are made of its properties, see `ispira:types`.
 */
abstract readonly class Page implements Responsable
{
    /** The React component that shows it: "Bench" for BenchPage. */
    final public static function component(): string
    {
        return preg_replace('/Page$/', '', class_basename(static::class)) ?? '';
    }

    final public function toResponse($request): Response
    {
        return Inertia::render(self::component(), get_object_vars($this))->toResponse($request);
    }
}
