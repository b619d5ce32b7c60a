<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Controller;
use App\Instruments\Leads;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\MeterAddress;
use App\Planning\JobPlans;
use App\Planning\PlannerHead;
use App\Planning\PlanView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worksheet;
use Ispira\Core\Repair\Ledger\EntryKind;

final class BenchController extends Controller
{
    public function __construct(private readonly PlannerRegistry $planners, private readonly JobPlans $plans) {}

    public function show(
        Request $request,
        Job $job,
        JobDiagnosis $diagnosis,
        LeadsOn $leads,
    ): BenchPage|RedirectResponse {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $chosen = $request->string('test')->limit(80, '')->toString();
        $missing = $this->user($request)->missing_tools ?? [];
        $whatIf = WhatIf::from($request, $job->caseFile(), $circuit);

        $seen = $diagnosis->of($job, $circuit, $missing, $chosen === '' ? null : $chosen, $whatIf);

        return new BenchPage(
            job: JobView::head($job),
            strip: JobView::strip($job, $circuit),
            readings: JobView::readings($job, $circuit),
            replacements: JobView::replacements($job, $circuit),
            diagnosis: $seen->diagnosis,
            series: $seen->series,
            sheet: $seen->sheet,
            chosen: isset($circuit->tests[$chosen]) ? $chosen : null,
            open: $job->stage === JobStage::Bench,
            planners: $this->plans->heads($job),
            worksheets: new Keyed($this->worksheets()),
            tools: $this->tools($circuit, $missing),
            stepping: $request->boolean('series'),
            whatIf: $whatIf->sentence($circuit),
            meters: array_values(
                $this->user($request)
                    ->workshop->meters()
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(MeterAddress $meter): MeterName => new MeterName(id: $meter->id, name: $meter->name),
                    )
                    ->all(),
            ),
            leads: Leads::ohms($request->session()),
            leadsOn: $leads->of($job, array_column($seen->diagnosis->suspects, 'probability', 'remedy')),
            cannot: self::cannot($job, $circuit),
            pulse: Pulse::of($job),
        );
    }

    /** @return array<string, list<PlannerHead>> worksheets by the quantity that they work out */
    private function worksheets(): array
    {
        $worksheets = [];
        foreach ($this->planners->all() as $planner) {
            foreach ($planner instanceof Worksheet ? $planner->quantities() : [] as $quantity) {
                $worksheets[$quantity->value][] = PlanView::head($planner);
            }
        }

        return $worksheets;
    }

    /**
     * The tools that the tests of a circuit need, and whether they are at hand.
     *
     * @param list<string> $missing
     *
     * @return list<Tool>
     */
    private function tools(CircuitModel $circuit, array $missing): array
    {
        $words = new Words($circuit);
        $keys = [];
        foreach ($circuit->tests as $test) {
            $keys += array_fill_keys($test->tools, true);
        }

        return array_map(
            static fn(string $key): Tool => new Tool(
                key: $key,
                label: $words->tool($key),
                atHand: !in_array($key, $missing, true),
            ),
            array_map(strval(...), array_keys($keys)),
        );
    }

    /** Asked every other second by a bench that is seen. */
    public function pulse(Job $job): JsonResponse
    {
        return response()->json(['pulse' => Pulse::of($job)]);
    }

    /** @return list<CannotShown> */
    private static function cannot(Job $job, CircuitModel $circuit): array
    {
        $words = new Words($circuit);
        $cannot = [];
        foreach ($job->ledger()->all(EntryKind::Cannot) as $one) {
            $test = $circuit->tests[$one->text('test')] ?? null;
            if ($test !== null) {
                $cannot[] = new CannotShown(
                    id: $one->id,
                    test: $test->key,
                    title: $words->test($test),
                    because: $one->text('because'),
                    note: $one->text('note') === '' ? null : $one->text('note'),
                    at: $one->at,
                );
            }
        }

        return $cannot;
    }

    /** Notes which tools a person has not at hand; those that this circuit does not need stay as they were. */
    public function tool(Request $request, Job $job): RedirectResponse
    {
        $data = $request->validate(['tool' => ['required', 'string', 'max:40'], 'atHand' => ['required', 'boolean']]);
        $user = $this->user($request);
        $known = array_column($this->tools($job->circuit(), []), 'key');
        if (!in_array($data['tool'], $known, true)) {
            throw ValidationException::withMessages([
                'tool' => 'No test of this circuit needs that tool. Reload the page.',
            ]);
        }
        $missing = array_values(array_diff($user->missing_tools ?? [], [$data['tool']]));
        $user->update(['missing_tools' => $data['atHand'] ? $missing : [...$missing, $data['tool']]]);

        return back(303);
    }
}
