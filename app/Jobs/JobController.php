<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use App\Models\Unit;
use App\Models\User;
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
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\MapShown;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

final class JobController extends Controller
{
    private const MOST_LISTED = 100;

    /** @var array<string, list<Cell>> cells of the circuits on a page, each read once */
    private array $cellsOf = [];

    public function __construct(private readonly FamilyRegistry $families) {}

    public function index(Request $request): JobsPage
    {
        $search = trim($request->string('q')->limit(100, '')->toString());
        $query = $this->user($request)
            ->workshop->jobs()
            ->with(['unit', 'owner', 'readings', 'maps', 'replacements'])
            ->latest('updated_at')
            ->limit(self::MOST_LISTED);
        if ($search !== '') {
            $like = '%' . addcslashes($search, '%_\\') . '%';
            $number = preg_match('/^j?-?0*(\d+)$/i', $search, $found) === 1 ? (int) $found[1] : null;
            $query->where(static function ($where) use ($like, $number): void {
                $where
                    ->where('complaint', 'like', $like)
                    ->orWhereHas(
                        'unit',
                        static fn($unit) => $unit
                            ->where('name', 'like', $like)
                            ->orWhere('place', 'like', $like)
                            ->orWhere('model', 'like', $like),
                    );
                if ($number !== null) {
                    $where->orWhere('number', $number);
                }
            });
        }
        $jobs = $query->get()->each->setRelation('workshop', $this->user($request)->workshop);

        return new JobsPage(search: $search, jobs: array_values($jobs->map($this->listed(...))->all()));
    }

    private function listed(Job $job): JobListed
    {
        $maps = array_filter(
            JobShown::maps(JobStates::maps($job), JobStates::readings($job)),
            static fn(MapShown $map): bool => $map->kind !== MapKind::Remembered,
        );

        return new JobListed(
            job: JobView::head($job),
            positions: ($this->cellsOf[$job->family . json_encode($job->parameters)] ??= JobShown::cells(
                $job->circuit(),
            )),
            states: $maps === [] ? new Keyed([]) : end($maps)->states,
        );
    }

    public function create(Request $request): NewJobPage
    {
        $units = $this->user($request)
            ->workshop->units()
            ->whereDoesntHave('jobs', static fn($jobs) => $jobs->whereNotNull('practice_fault'))
            ->with(['jobs' => static fn($jobs) => $jobs->with(['replacements', 'entries'])->latest()])
            ->orderBy('name')
            ->get();

        return new NewJobPage(
            families: $this->familyChoices(),
            units: array_values(
                $units
                    ->map(
                        static fn(Unit $unit): UnitShown => new UnitShown(
                            id: $unit->id,
                            name: $unit->name,
                            place: $unit->place,
                            model: $unit->model,
                            history: array_values(
                                $unit->jobs
                                    ->map(
                                        static fn(Job $job): PastJob => new PastJob(
                                            number: JobView::number($job),
                                            complaint: $job->complaint,
                                            stage: $job->stage,
                                            openedAt: $job->created_at->toIso8601String(),
                                            found: array_map(
                                                static fn(Entry $found): string => $found->text('what') .
                                                    ', ' .
                                                    $found->text('condition'),
                                                $job->ledger()->all(EntryKind::Found),
                                            ),
                                            replaced: array_column(
                                                $job->replacements->isEmpty()
                                                    ? []
                                                    : JobShown::replaced($job->circuit(), JobStates::replaced($job)),
                                                'label',
                                            ),
                                        ),
                                    )
                                    ->all(),
                            ),
                            circuit: $unit->jobs->first() === null
                                ? null
                                : new KnownCircuit(
                                    family: $unit->jobs->first()->family,
                                    parameters: new Keyed($unit->jobs->first()->parameters),
                                ),
                        ),
                    )
                    ->all(),
            ),
            models: new Keyed($this->circuitsByModel($request)),
            start: $this->start($request),
            finder: Finder::steps(),
        );
    }

    /**
     * The map and the questions of the circuit chosen so far.
     */
    private function start(Request $request): IntakeStart
    {
        $asked = $request->string('family')->limit(60, '')->toString();
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

    /** @return array<string, KnownCircuit> the latest circuit of each model */
    private function circuitsByModel(Request $request): array
    {
        $jobs = $this->user($request)
            ->workshop->jobs()
            ->with('unit')
            ->whereHas('unit', static fn($unit) => $unit->whereNotNull('model'))
            ->latest()
            ->limit(500)
            ->get();
        $models = [];
        foreach ($jobs as $job) {
            $models[(string) $job->unit->model] ??= new KnownCircuit(
                family: $job->family,
                parameters: new Keyed($job->parameters),
            );
        }

        return $models;
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
        $family = $request->string('family')->toString();
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
        $kind = JobKind::tryFrom($request->string('kind')->toString()) ?? JobKind::Fault;
        if ($kind === JobKind::LoosePart && !isset($circuit->parts[$request->string('part')->toString()])) {
            throw ValidationException::withMessages(['part' => 'Choose the part that lies on the bench.']);
        }
        $data = $request->validated();
        if ($kind === JobKind::LoosePart) {
            $label = $circuit->texts->get('parts.' . $request->string('part')->toString());
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
            openedBy: $job->workshop->names()[$job->user_id] ?? '',
            open: $job->stage !== JobStage::Closed,
        );
    }
}
