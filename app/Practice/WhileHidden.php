<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Job;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Pages and acts of a job that would tell who works on an exercise what to think: they open when it is over.
 */
final class WhileHidden
{
    /** What of a job tells nothing. */
    private const OPEN = ['bench', 'pulse', 'practice-acts', 'score', 'readings', 'photos', 'captures', 'live', 'log'];

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $job = $request->route('job');
        if (
            $job instanceof Job &&
            $job->practice_fault !== null &&
            !in_array($request->segment(3) ?? 'bench', [...self::OPEN, 'along', 'strip', 'wires', 'tools'], true) &&
            $job->practice()?->hides() === true
        ) {
            return redirect("/jobs/$job->id/bench", 303)->with(
                'notice',
                'That would tell what to think. It opens when the exercise is over.',
            );
        }

        return $next($request);
    }
}
