<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Controller;
use App\Models\Exercise;
use App\Models\ExerciseSet;
use App\Models\Job;
use App\Models\User;
use App\People\Ability;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Practice\Rung;
use Ispira\Core\Practice\WatchFor;

/**
 * Exercises on make-believe units: what comes next, the ladders, sets of a lead, and what was done.
 */
final class PracticeController extends Controller
{
    private const MOST_LISTED = 40;

    /** The unit of the first four minutes: only its highest speed works, and it is not the pack. */
    private const FIRST = ['stepped-blower', 9];

    public function __construct(
        private readonly FamilyRegistry $families,
        private readonly MakeExercise $make,
        private readonly OwnExercises $own,
    ) {}

    public function show(Request $request): PracticePage
    {
        $user = $this->user($request);
        $over = $this->own->over($user);
        $next = $this->own->next($over, $user);
        $going = Exercise::query()
            ->where('workshop_id', $user->workshop_id)
            ->where('user_id', $user->id)
            ->whereNull('over_at')
            ->with(['job.unit'])
            ->orderByDesc('job_id')
            ->limit(self::MOST_LISTED)
            ->get();

        return new PracticePage(
            ladders: $this->ladders($over),
            usual: $user->workshop->usualFamily() ?? (string) array_key_first($this->families->all()),
            next: $next === null
                ? null
                : new NextShown(
                    $next->family,
                    $this->families->get($next->family)->texts()->get('name'),
                    $next->rung,
                    $next->rung->title(),
                    $next->why,
                ),
            going: $this->listed($going),
            over: $this->listed($over->take(self::MOST_LISTED)),
            sets: Sets::of($user, $this->families),
            replayed: RealFaults::families($user->workshop),
            watch: WatchFor::of(OwnExercises::weak($over)),
            teaches: $user->may(Ability::Teach),
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'mapId' => ['required', 'ulid'],
            'family' => ['required_without_all:set,rung', 'nullable', 'string', 'max:60'],
            'rung' => ['nullable', Rule::enum(Rung::class)],
            'set' => ['nullable', 'ulid'],
            'unit' => ['nullable', 'integer', 'between:0,50'],
            'real' => ['boolean'],
        ]);
        $user = $this->user($request);
        $ids = [strtolower($data['id']), strtolower($data['mapId'])];
        if (isset($data['set'])) {
            return $this->opened($this->ofSet($user, $ids, strtolower($data['set']), (int) ($data['unit'] ?? 0)));
        }
        $rung = Rung::tryFrom((string) ($data['rung'] ?? '')) ?? Rung::Map;
        $data['family'] = $rung === Rung::First ? self::FIRST[0] : $data['family'] ?? '';
        $this->families->has((string) $data['family']) ||
            throw ValidationException::withMessages(['family' => 'Choose the kind of circuit.']);
        $family = $this->families->get((string) $data['family']);
        // The same submit makes the same unit, whenever it arrives.
        $seed = $rung === Rung::First ? self::FIRST[1] : crc32($data['id']) & 0x7fffffff;
        $real = $request->boolean('real') ? RealFaults::one($user->workshop, $family->key(), $seed) : null;
        if ($request->boolean('real') && $real === null) {
            throw ValidationException::withMessages(['family' => 'No job of that kind is proven here yet.']);
        }
        $parameters = $family->parameters()->read($real['parameters'] ?? []);
        $circuit = $family->circuit($parameters);
        $kind = $real === null ? $rung->kind() : HiddenKind::Single;
        if (!$kind->isPossible($circuit)) {
            throw ValidationException::withMessages(['rung' => 'This circuit has no fault of that kind.']);
        }
        try {
            $made = PracticeChoice::of($circuit, $kind, $seed, $real['fault'] ?? null);
        } catch (\LogicException) {
            throw ValidationException::withMessages([
                'rung' => 'No such unit came about this time. Try it once more, or take another rung.',
            ]);
        }

        return $this->opened(
            ($this->make)(
                $user,
                $ids[0],
                $ids[1],
                $family,
                $parameters,
                $made,
                $real === null ? $rung : Rung::OwnWay,
                $kind,
                $real === null ? $rung->way() : PracticeWay::Own,
                $rung->guesses(),
            ),
        );
    }

    private function opened(Job $job): RedirectResponse
    {
        return redirect("/jobs/$job->id/bench", 303);
    }

    /** @param array{0: string, 1: string} $ids of the job and of its map */
    private function ofSet(User $user, array $ids, string $set, int $number): Job
    {
        $found = ExerciseSet::query()->where('workshop_id', $user->workshop_id)->findOrFail($set);
        $one = $found->units[$number] ?? abort(404);

        return DB::transaction(function () use ($user, $ids, $found, $number, $one): Job {
            // Each unit of a set is worked on once by each person.
            User::query()->whereKey($user->id)->lockForUpdate()->first();
            $begun = $found->exercises()->where('user_id', $user->id)->where('set_unit', $number)->first();
            if ($begun instanceof Exercise) {
                return $begun->job;
            }
            $family = $this->families->get($one['family']);
            $kind = HiddenKind::from($one['kind']);
            $parameters = $family->parameters()->read([]);

            return ($this->make)(
                $user,
                $ids[0],
                $ids[1],
                $family,
                $parameters,
                PracticeChoice::of($family->circuit($parameters), $kind, $one['seed']),
                Sets::rung($kind),
                $kind,
                $found->way,
                false,
                [$found, $number],
            );
        });
    }

    /**
     * @param iterable<Exercise> $over newest first
     *
     * @return list<LadderShown>
     */
    private function ladders(iterable $over): array
    {
        $states = [];
        foreach ($over as $one) {
            $states["{$one->job->family} {$one->rung->value}"] ??= $one->passed === true ? 'passed' : 'failed';
        }
        $ladders = [];
        foreach ($this->own->ladders() as $key => $rungs) {
            $texts = $this->families->get($key)->texts();
            $ladders[] = new LadderShown(
                $key,
                $texts->get('name'),
                $texts->get('summary'),
                array_map(
                    static fn(Rung $rung): RungShown => new RungShown(
                        $rung,
                        $rung->title(),
                        $rung->about(),
                        $states["$key $rung->value"] ?? 'open',
                    ),
                    $rungs,
                ),
            );
        }

        return $ladders;
    }

    /**
     * @param iterable<Exercise> $exercises
     *
     * @return list<ExerciseListed>
     */
    private function listed(iterable $exercises): array
    {
        $listed = [];
        foreach ($exercises as $one) {
            $listed[] = ExerciseListed::of($one, $this->families);
        }

        return $listed;
    }
}
