<?php

declare(strict_types=1);

namespace App\Away;

use App\Http\Controller;
use App\Models\Job;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * What a device takes along.
 */
final class AwayController extends Controller
{
    public function job(Request $request, Job $job, TakenAlong $along): JsonResponse
    {
        return response()->json(
            $along->of($job, $this->user($request)),
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
