<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use App\Models\Unit;
use App\Repair\RepairView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

final class JobController extends Controller
{
    private const MOST_LISTED = 100;

    /** @var array<string, list<array<string, mixed>>> cells of the circuits on a page, each read once */
    private array $cellsOf = [];

    public function __construct(private readonly FamilyRegistry $families) {}

    public function index(Request $request): Response
    {
        $search = trim($request->string('q')->limit(100, '')->toString());
        $query = $this->user($request)
            ->workshop->jobs()
            ->with(['unit', 'readings', 'maps', 'replacements'])
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
        $jobs = $query->get();

        return Inertia::render('Jobs', [
            'search' => $search,
            'jobs' => $jobs
                ->map(fn(Job $job): array => [...JobView::head($job), ...$this->stripInSmall($job)])
                ->values()
                ->all(),
        ]);
    }

    /** @return array<string, mixed> */
    private function stripInSmall(Job $job): array
    {
        $maps = JobView::maps($job);
        $current = array_values(array_filter($maps, static fn(array $map): bool => $map['kind'] !== 'remembered'));
        $positions = $this->cellsOf[$job->family . json_encode($job->parameters)] ??= JobView::cells($job->circuit());

        return [
            'positions' => $positions,
            'states' => (object) ($current === [] ? [] : $current[count($current) - 1]['states']),
        ];
    }

    public function create(Request $request): Response
    {
        $units = $this->user($request)
            ->workshop->units()
            ->with(['jobs' => static fn($jobs) => $jobs->with(['replacements', 'entries'])->latest()])
            ->orderBy('name')
            ->get();

        return Inertia::render('NewJob', [
            'families' => $this->familyChoices(),
            'units' => $units
                ->map(
                    static fn(Unit $unit): array => [
                        'id' => $unit->id,
                        'name' => $unit->name,
                        'place' => $unit->place,
                        'model' => $unit->model,
                        'history' => $unit->jobs
                            ->map(
                                static fn(Job $job): array => [
                                    'number' => JobView::number($job),
                                    'complaint' => $job->complaint,
                                    'stage' => $job->stage->value,
                                    'openedAt' => $job->created_at->toIso8601String(),
                                    'found' => array_map(
                                        static fn(Entry $found): string => $found->text('what') .
                                            ', ' .
                                            $found->text('condition'),
                                        $job->ledger()->all(EntryKind::Found),
                                    ),
                                    'replaced' => array_column(JobView::replacements($job, $job->circuit()), 'label'),
                                ],
                            )
                            ->values()
                            ->all(),
                        'circuit' =>
                            $unit->jobs->first() === null
                                ? null
                                : [
                                    'family' => $unit->jobs->first()->family,
                                    'parameters' => (object) $unit->jobs->first()->parameters,
                                ],
                    ],
                )
                ->values()
                ->all(),
            'models' => $this->circuitsByModel($request),
            'start' => $this->start($request),
        ]);
    }

    /**
     * The map and the questions of the circuit chosen so far.
     *
     * @return array<string, mixed>
     */
    private function start(Request $request): array
    {
        $asked = $request->string('family')->limit(60, '')->toString();
        $usual = (string) $this->user($request)
            ->workshop->jobs()
            ->groupBy('family')
            ->orderByRaw('count(*) desc')
            ->value('family');
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

        return [
            'family' => $key,
            'cells' => JobView::cells($circuit),
            'questions' => JobView::questions($circuit),
            'parts' => array_map(
                static fn(string $part): array => ['value' => $part, 'label' => $circuit->texts->get("parts.$part")],
                array_keys($circuit->parts),
            ),
        ];
    }

    /** @return array<string, array{family: string, parameters: object}> the latest circuit of each model */
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
            $models[(string) $job->unit->model] ??= [
                'family' => $job->family,
                'parameters' => (object) $job->parameters,
            ];
        }

        return $models;
    }

    /** @return list<array<string, mixed>> */
    private function familyChoices(): array
    {
        $choices = [];
        foreach ($this->families->all() as $key => $family) {
            $choices[] = [
                'key' => $key,
                'name' => $family->texts()->get('name'),
                'summary' => $family->texts()->get('summary'),
                'parameters' => CircuitController::fields($family),
            ];
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

    public function complaint(Job $job): Response
    {
        $circuit = $job->circuit();

        return Inertia::render('Complaint', [
            'job' => JobView::head($job),
            'strip' => JobView::strip($job, $circuit),
            'history' => $job->unit
                ->jobs()
                ->whereKeyNot($job->id)
                ->latest()
                ->get()
                ->map(
                    static fn(Job $other): array => [
                        'id' => $other->id,
                        'number' => JobView::number($other),
                        'complaint' => $other->complaint,
                        'stage' => $other->stage->value,
                    ],
                )
                ->values()
                ->all(),
            'also' => RepairView::entries($job->ledger(), EntryKind::Also),
            'open' => $job->stage !== JobStage::Closed,
        ]);
    }
}
