<?php

declare(strict_types=1);

namespace App\Away;

use App\Http\Controller;
use App\Models\Job;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Response;
use Ispira\Core\Away\AwayPage;

/**
 * What a device takes along.
 */
final class AwayController extends Controller
{
    /** The page that stands in for any other, without anybody's name on it. */
    public function shell(): Response
    {
        return $this->page(new AwayPage(null, ''));
    }

    public function job(Request $request, Job $job, TakenAlong $along): JsonResponse
    {
        return response()->json(
            $along->of($job, $this->user($request)),
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
