<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Diagnosis\JobDiagnosis;
use App\Diagnosis\JobView;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Job\JobStage;

final class BenchController extends Controller
{
    public function show(Request $request, Job $job, JobDiagnosis $diagnosis): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $chosen = $request->string('test')->limit(80, '')->toString();

        return Inertia::render('Bench', [
            'job' => JobView::head($job),
            'strip' => JobView::strip($job, $circuit),
            'readings' => JobView::readings($job, $circuit),
            'replacements' => JobView::replacements($job, $circuit),
            'chosen' => isset($circuit->tests[$chosen]) ? $chosen : null,
            'open' => $job->stage === JobStage::Bench,
            ...$diagnosis->of($job, $circuit, $chosen === '' ? null : $chosen),
        ]);
    }
}
