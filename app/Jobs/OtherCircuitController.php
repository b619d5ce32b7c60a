<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use App\Models\Reading;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Acts\MapStates;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\CircuitChange;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\Shown\Question;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\JobShown;

/**
 * A job whose circuit turns out to be another one: what would stay and what would not, before anything changes.
 */
final class OtherCircuitController extends Controller
{
    public function __construct(private readonly FamilyRegistry $families) {}

    public function edit(Request $request, Job $job): OtherCircuitPage|RedirectResponse
    {
        $refusal = CircuitChange::refusal(JobStates::of($job));
        if ($refusal !== null) {
            return $this->whereItStands($job, $refusal);
        }
        $asked = $request->query('family');
        $key = is_string($asked) && $this->families->has($asked) ? $asked : $job->family;
        $family = $this->families->get($key);
        $given = $request->query('values');
        [$values, $problems] = self::values($family, is_array($given) ? $given : $this->carried($job, $family));
        $circuit = $family->circuit($values);
        $change = new CircuitChange($job->circuit(), $circuit, $key === $job->family);
        $stay = $job->readings->filter(static fn(Reading $one): bool => $change->keeps($one->toCore()));
        $go = $job->readings->diff($stay);
        $said = static fn(Reading $one): string => $change->said($one->toCore());
        $kept = $stay->filter(static fn(Reading $one): bool => $one->strike === null);
        $states = $kept
            ->filter(static fn(Reading $one): bool => str_starts_with($one->test, 'speed@'))
            ->mapWithKeys(
                static fn(Reading $one): array => [substr($one->test, 6) => SpeedState::from((string) $one->choice)],
            );

        return new OtherCircuitPage(
            job: JobView::head($job),
            families: FamilyHead::all($this->families),
            family: $key,
            now: $job->circuit()->texts->get('name'),
            fields: FieldShown::ofCircuit($family),
            values: new Keyed($values),
            problems: new Keyed($problems),
            kept: array_values($stay->map($said)->all()),
            setAside: array_values($go->map($said)->all()),
            cells: JobShown::cells($circuit),
            states: new Keyed($states->all()),
            questions: array_values(
                array_filter(
                    JobShown::questions($circuit),
                    static fn(Question $one): bool => !$kept->contains('test', $one->test),
                ),
            ),
        );
    }

    public function update(Request $request, Job $job, ChangeCircuit $change): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'family' => ['required', 'string', 'max:60'],
            'values' => ['nullable', 'array', 'max:40'],
            'reason' => ['nullable', 'string', 'max:250'],
        ]);
        $this->families->has($data['family']) ||
            throw ValidationException::withMessages(['family' => 'Choose the kind of circuit.']);
        $family = $this->families->get($data['family']);
        try {
            $values = $family->parameters()->typed($request->array('values'));
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
        $circuit = $family->circuit($values);
        // Positions whose reading stays are not asked again.
        $states = MapStates::read($request->input('states'), $circuit, answered: true);
        $answers = Answers::read($request->input('answers'), $circuit);
        $change(
            $this->user($request),
            $job,
            strtolower($data['id']),
            $family,
            $values,
            $states,
            $answers,
            $data['reason'] ?? '',
        );
        $job->refresh();

        return $job->stage === JobStage::Bench ? redirect("/jobs/$job->id/bench", 303) : $this->whereItStands($job);
    }

    /**
     * @param array<array-key, mixed> $given
     *
     * @return array{0: array<string, mixed>, 1: array<string, string>} values, and messages where one cannot be read
     */
    private static function values(Family $family, array $given): array
    {
        try {
            return [$family->parameters()->read($given), []];
        } catch (ParameterError $error) {
            return [
                $family->parameters()->read(array_diff_key($given, $error->messages)),
                array_intersect_key($error->messages, $family->parameters()->parameters),
            ];
        }
    }

    /** @return array<string, mixed> what was typed of the circuit so far, where the other one asks the same */
    private function carried(Job $job, Family $family): array
    {
        $old = $this->families->get($job->family)->parameters()->parameters;
        $same = array_filter(
            $family->parameters()->parameters,
            static fn($one): bool => isset($old[$one->key]) &&
                $old[$one->key]->kind === $one->kind &&
                $old[$one->key]->unit === $one->unit,
        );
        $carried = array_intersect_key($job->parameters, $same);

        return array_diff_key($carried, self::values($family, $carried)[1]);
    }
}
