<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Job;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Page;

abstract class Controller
{
    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(401);
    }

    /** A page that the core makes. */
    protected function page(Page $page): Response
    {
        return Inertia::render($page::component(), $page->props());
    }

    /** Takes nothing, and sends the user where the job stands: what was sent is told apart from what was taken. */
    protected function refused(Job $job, string $why): RedirectResponse
    {
        return $this->whereItStands($job, $why)->withErrors(['stage' => $why]);
    }

    /** Sends the user where the job stands, saying why. */
    protected function whereItStands(Job $job, ?string $notice = null): RedirectResponse
    {
        $page = $job->stage === JobStage::Closed ? 'proof' : $job->stage->value;

        return redirect("/jobs/$job->id/$page", 303)->with('notice', $notice);
    }
}
