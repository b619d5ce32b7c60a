<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Controller;
use App\Models\Exercise;
use App\Models\ExerciseSet;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Practice\PracticeTexts;

/**
 * What a lead sets, and what came of it: of each result only after who did it has seen it.
 */
final class TeachController extends Controller
{
    private const MOST_LISTED = 200;
    private const MOST_UNITS = 12;

    public function __construct(private readonly FamilyRegistry $families) {}

    public function show(Request $request): TeachPage
    {
        $workshop = $this->user($request)->workshop;
        $names = $workshop->names();
        $titles = $workshop->exerciseSets()->pluck('title', 'id');
        $of = $workshop->exercises()->whereNotNull('over_at');
        $kinds = [];
        foreach ($this->families->all() as $key => $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            foreach (HiddenKind::cases() as $kind) {
                if ($kind->isPossible($circuit)) {
                    $kinds[$key][] = new Choice($kind->value, PracticeTexts::get("kinds.$kind->value"));
                }
            }
        }
        $circuits = [];
        foreach ($this->families->all() as $key => $family) {
            $circuits[] = new CircuitKinds($key, $family->texts()->get('name'), $kinds[$key] ?? []);
        }

        return new TeachPage(
            circuits: $circuits,
            mostUnits: self::MOST_UNITS,
            sets: Sets::of($this->user($request), $this->families),
            results: array_values(
                (clone $of)
                    ->whereNotNull('seen_at')
                    ->with('job')
                    ->latest('over_at')
                    ->limit(self::MOST_LISTED)
                    ->get()
                    ->map(
                        fn(Exercise $one): ExerciseListed => ExerciseListed::of(
                            $one,
                            $this->families,
                            $names[$one->user_id] ?? '',
                            $one->set_id === null ? null : (string) $titles->get($one->set_id),
                        ),
                    )
                    ->all(),
            ),
            unseen: (clone $of)->whereNull('seen_at')->count(),
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'title' => ['required', 'string', 'max:120'],
                'way' => ['required', Rule::in([PracticeWay::Own->value, PracticeWay::Examination->value])],
                'units' => ['required', 'array', 'min:1', 'max:' . self::MOST_UNITS],
                'units.*.family' => ['required', 'string', 'max:60'],
                'units.*.kind' => ['required', Rule::enum(HiddenKind::class)],
            ],
            ['title.required' => 'Give it a title.', 'units.required' => 'Put at least one unit in.'],
        );
        $user = $this->user($request);
        $id = strtolower($data['id']);
        $units = [];
        foreach (array_values($data['units']) as $number => $unit) {
            if (!$this->families->has($unit['family'])) {
                throw ValidationException::withMessages(["units.$number.family" => 'Choose the kind of circuit.']);
            }
            $family = $this->families->get($unit['family']);
            $circuit = $family->circuit($family->parameters()->read([]));
            $kind = HiddenKind::from($unit['kind']);
            $seed = crc32("$id/$number") & 0x7fffffff;
            try {
                $kind->isPossible($circuit) || throw new \LogicException();
                PracticeChoice::of($circuit, $kind, $seed);
            } catch (\LogicException) {
                throw ValidationException::withMessages([
                    "units.$number.kind" => 'This circuit has no such fault that anybody notices: choose another.',
                ]);
            }
            $units[] = ['family' => $unit['family'], 'kind' => $kind->value, 'seed' => $seed];
        }
        ExerciseSet::query()->firstOrCreate(
            ['id' => $id, 'workshop_id' => $user->workshop_id],
            [
                'user_id' => $user->id,
                'title' => $data['title'],
                'way' => $data['way'],
                'units' => $units,
                'made_at' => now(),
            ],
        );

        return redirect('/practice/teach', 303)->with('notice', 'Set: everybody finds it under Practise.');
    }

    public function destroy(Request $request, string $set): RedirectResponse
    {
        $this->user($request)->workshop->exerciseSets()->findOrFail($set)->delete();

        return redirect('/practice/teach', 303)->with('notice', 'The set is gone. What was done of it stays.');
    }
}
