<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\BenchPages;

final class VerdictController extends Controller
{
    public function show(Job $job, BenchPages $pages): Response|RedirectResponse
    {
        return $job->stage === JobStage::Circuit
            ? $this->whereItStands($job)
            : $this->page($pages->verdict(JobStates::of($job)));
    }
}
