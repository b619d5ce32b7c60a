<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Http\JsonResponse;

/**
 * For whoever watches over this machine, and for a server in front that asks whether it may send anything here.
 */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        $health = Health::now();

        return response()
            ->json(
                [
                    'status' => $health->isWell() ? 'well' : 'unwell',
                    'version' => $health->version,
                    'checks' => array_map(static fn(bool $well): string => $well ? 'well' : 'unwell', $health->checks),
                ],
                $health->isWell() ? 200 : 503,
            )
            ->header('Cache-Control', 'no-store');
    }
}
