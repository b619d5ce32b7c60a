<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Asked;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\BenchAsked;
use Ispira\Core\Pages\BenchPages;

final class BenchController extends Controller
{
    public function __construct(private readonly BenchPages $pages) {}

    public function show(Request $request, Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $text = static fn(string $field, int $most): string => Asked::text($request, $field, $most);
        $asked = new BenchAsked(
            test: $text('test', 80),
            stepping: $request->boolean('series'),
            suppose: $text('suppose', 120),
            reading: $text('reading', 40),
            showed: $text('showed', 40),
        );

        return $this->page($this->pages->bench(JobStates::of($job), $asked, Pulse::of($job)));
    }

    /** Asked every other second by a bench that is seen. */
    public function pulse(Job $job): JsonResponse
    {
        return response()->json(['pulse' => Pulse::of($job)]);
    }

    /** Notes which tools a person has not at hand; those that this circuit does not need stay as they were. */
    public function tool(Request $request, Job $job): RedirectResponse
    {
        $data = $request->validate(['tool' => ['required', 'string', 'max:40'], 'atHand' => ['required', 'boolean']]);
        $user = $this->user($request);
        $known = array_column($this->pages->tools($job->circuit()), 'key');
        if (!in_array($data['tool'], $known, true)) {
            throw ValidationException::withMessages([
                'tool' => 'No test of this circuit needs that tool. Reload the page.',
            ]);
        }
        if ($data['atHand'] && in_array($data['tool'], $user->workshop->missing_tools ?? [], true)) {
            throw ValidationException::withMessages([
                'tool' => 'By its settings your workshop does not own it. A lead changes that.',
            ]);
        }
        $missing = array_values(array_diff($user->missing_tools ?? [], [$data['tool']]));
        $user->update(['missing_tools' => $data['atHand'] ? $missing : [...$missing, $data['tool']]]);

        return back(303);
    }
}
