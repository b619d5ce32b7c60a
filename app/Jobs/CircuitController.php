<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use App\Repair\RepairView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Job\CircuitChange;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\EntryKind;

final class CircuitController extends Controller
{
    public function __construct(private readonly FamilyRegistry $families) {}

    public function edit(Job $job, JobDiagnosis $diagnosis): CircuitPage
    {
        $state = JobStates::of($job);
        $circuit = $state->circuit;

        return new CircuitPage(
            job: JobView::head($job),
            strip: (new JobShown($state))->strip(),
            family: $circuit->texts->get('name'),
            fields: FieldShown::ofCircuit($this->families->get($job->family)),
            values: new Keyed($job->parameters),
            sheet: (new SoundCircuit($circuit))->sheet($circuit->highest()),
            learned: $diagnosis->learned($state),
            open: $job->stage !== JobStage::Closed,
            mayChange: CircuitChange::refusal($state) === null,
            changed: RepairView::entries($job->ledger(), EntryKind::OtherCircuit),
        );
    }

    public function update(Request $request, Job $job): RedirectResponse
    {
        if ($job->stage === JobStage::Closed) {
            return $this->refused($job, 'This job is closed. Its circuit stays as it was.');
        }
        $family = $this->families->get($job->family);
        try {
            $values = $family->parameters()->typed($request->array('values'));
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
        $circuit = $family->circuit($values);
        $lost = $job->readings
            ->filter(static fn($reading): bool => !isset($circuit->tests[$reading->test]))
            ->map(static fn($reading): string => $reading->test)
            ->unique();
        if ($lost->isNotEmpty()) {
            throw ValidationException::withMessages([
                'circuit' =>
                    'Readings were taken that this circuit does not have (' .
                    $lost->implode(', ') .
                    '). Follow "It is another circuit" to set them aside; nothing here was changed.',
            ]);
        }
        DB::transaction(static function () use ($job, $values): void {
            $job->update([
                'parameters' => $values,
                'stage' => $job->stage === JobStage::Circuit ? $job->kind->afterCircuit() : $job->stage,
            ]);
        });

        return $this->whereItStands($job->refresh());
    }
}
