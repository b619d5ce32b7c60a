<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Support\Responsable;
use Inertia\Inertia;
use Ispira\Core\Kernel\Page as CorePage;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page that only the server makes.
 */
abstract readonly class Page extends CorePage implements Responsable
{
    final public function toResponse($request): Response
    {
        return Inertia::render(self::component(), $this->props())->toResponse($request);
    }
}
