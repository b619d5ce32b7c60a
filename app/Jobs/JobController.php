<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Asked;
use App\Http\Controller;
use App\Learning\WhatWasReplaced;
use App\Models\Job;
use App\Models\Unit;
use App\Models\User;
use App\Models\Workshop;
use App\Repair\RepairView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Acts\MapStates;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Finder;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\EntryKind;

final class JobController extends Controller
{
    /** How many units are offered while a name is typed, and how many of its jobs one shows. */
    private const MOST_UNITS = 8;
    private const MOST_PAST = 4;

    public function __construct(
        private readonly FamilyRegistry $families,
        private readonly WhatWasReplaced $replaced,
    ) {}

    public function index(Request $request, JobList $list): JobsPage
    {
        return $list->page($request, $this->user($request));
    }

    public function create(Request $request): NewJobPage
    {
        $user = $this->user($request);
        $name = trim(Asked::text($request, 'unit', 120));
        $model = trim(Asked::text($request, 'model', 120));
        $unit = $name === '' ? null : KnownUnits::named($user->workshop, $name);

        return new NewJobPage(
            families: $this->familyChoices(),
            units: array_values(
                KnownUnits::like($user->workshop, $name, self::MOST_UNITS)
                    ->map(static fn(Unit $one): UnitNamed => new UnitNamed($one->name, $one->place, $one->model))
                    ->all(),
            ),
            name: $name,
            model: $model,
            unit: $unit === null ? null : $this->unitShown($unit),
            known: self::knownCircuit($user->workshop, $unit, $model),
            start: $this->start($request),
            finder: Finder::steps(),
        );
    }

    private function unitShown(Unit $unit): UnitShown
    {
        $past = $unit
            ->jobs()
            ->with(['replacements', 'entries'])
            ->latest('created_at')
            ->limit(self::MOST_PAST)
            ->get();

        return new UnitShown(
            id: $unit->id,
            name: $unit->name,
            place: $unit->place,
            model: $unit->model,
            note: $unit->note,
            history: array_values(
                $past
                    ->map(static fn(Job $job): PastJob => PastJob::of($job->setRelation('workshop', $unit->workshop)))
                    ->all(),
            ),
            again: $this->replaced->before($unit, now(), null),
        );
    }

    /** The circuit of the newest job of that unit, or of a unit of that model. */
    private static function knownCircuit(Workshop $workshop, ?Unit $unit, string $model): ?KnownCircuit
    {
        $model = $unit === null ? $model : (string) $unit->model;
        $job =
            $unit?->jobs()->latest('created_at')->first() ??
            ($model === '' ? null : $workshop->jobs()->where('model', $model)->latest('created_at')->first());

        return $job === null ? null : new KnownCircuit(family: $job->family, parameters: new Keyed($job->parameters));
    }

    /**
     * The map and the questions of the circuit chosen so far.
     */
    private function start(Request $request): IntakeStart
    {
        $asked = Asked::text($request, 'family', 60);
        $usual = (string) $this->user($request)->workshop->usualFamily();
        $key = match (true) {
            $this->families->has($asked) => $asked,
            $this->families->has($usual) => $usual,
            default => (string) array_key_first($this->families->all()),
        };
        $family = $this->families->get($key);
        try {
            $circuit = $family->circuit($family->parameters()->read($request->array('parameters')));
        } catch (ParameterError) {
            $circuit = $family->circuit($family->parameters()->read([]));
        }

        return new IntakeStart(
            family: $key,
            cells: JobShown::cells($circuit),
            questions: JobShown::questions($circuit),
            parts: array_map(
                static fn(string $part): Choice => new Choice(value: $part, label: $circuit->texts->get("parts.$part")),
                array_keys($circuit->parts),
            ),
            asked: $this->families->has($asked),
            shape: new Keyed(array_map(strval(...), array_filter($request->array('parameters'), is_scalar(...)))),
        );
    }

    /** @return list<FamilyChoice> */
    private function familyChoices(): array
    {
        $choices = [];
        foreach ($this->families->all() as $key => $family) {
            $choices[] = new FamilyChoice(
                key: $key,
                name: $family->texts()->get('name'),
                summary: $family->texts()->get('summary'),
                parameters: FieldShown::ofCircuit($family),
            );
        }

        return $choices;
    }

    public function store(OpenJobRequest $request, OpenJob $open): RedirectResponse
    {
        $family = Asked::text($request, 'family');
        if (!$this->families->has($family)) {
            throw ValidationException::withMessages(['family' => 'Choose the kind of circuit.']);
        }
        $given = $request->input('parameters', []);
        try {
            $parameters = $this->families
                ->get($family)
                ->parameters()
                ->read(is_array($given) ? $given : []);
        } catch (ParameterError $error) {
            throw ValidationException::withMessages(['parameters' => $error->getMessage()]);
        }
        $circuit = $this->families->get($family)->circuit($parameters);
        $kind = JobKind::tryFrom(Asked::text($request, 'kind')) ?? JobKind::Fault;
        if ($kind === JobKind::LoosePart && !isset($circuit->parts[Asked::text($request, 'part')])) {
            throw ValidationException::withMessages(['part' => 'Choose the part that lies on the bench.']);
        }
        $data = $request->validated();
        if ($kind === JobKind::LoosePart) {
            $label = $circuit->texts->get('parts.' . Asked::text($request, 'part'));
            $data['unitName'] = $data['unitName'] ?? '' ?: "Loose part: $label";
            $data['complaint'] = $data['complaint'] ?? '' ?: 'Is it still good?';
        }
        $answers = $kind->hasMap() ? Answers::read($request->input('answers'), $circuit) : [];
        $states = $kind->hasMap()
            ? MapStates::read($request->input('states'), $circuit, answered: $answers !== [] || !$kind->needsMap())
            : [];
        $job = $open($this->user($request), $data, $family, $parameters, $states, $answers);

        return $this->whereItStands($job);
    }

    public function show(Job $job): RedirectResponse
    {
        return $this->whereItStands($job);
    }

    public function complaint(Job $job): ComplaintPage
    {
        $circuit = $job->circuit();

        return new ComplaintPage(
            job: JobView::head($job),
            strip: (new JobShown(JobStates::of($job)))->strip(),
            history: array_values(
                $job->unit
                    ->jobs()
                    ->whereKeyNot($job->id)
                    ->latest()
                    ->get()
                    ->map(
                        static fn(Job $other): OtherJob => new OtherJob(
                            id: $other->id,
                            number: JobView::number($other),
                            complaint: $other->complaint,
                            stage: $other->stage,
                        ),
                    )
                    ->all(),
            ),
            also: RepairView::entries($job->ledger(), EntryKind::Also),
            corrected: RepairView::entries($job->ledger(), EntryKind::Corrected),
            handedOver: RepairView::entries($job->ledger(), EntryKind::HandedOver),
            reopened: RepairView::entries($job->ledger(), EntryKind::Reopened),
            people: array_values(
                $job->workshop
                    ->users()
                    ->whereNull('disabled_at')
                    ->whereKeyNot($job->owner_id)
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(User $one): Choice => new Choice(
                            value: (string) $one->id,
                            label: "$one->name, {$one->role->value}",
                        ),
                    )
                    ->all(),
            ),
            unitId: $job->practice_fault === null ? $job->unit_id : null,
            openedBy: $job->workshop->names()[$job->user_id] ?? '',
            open: $job->stage !== JobStage::Closed,
        );
    }
}
