<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Controller;
use App\Jobs\FamilyHead;
use App\Jobs\OpenJob;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Fault;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Practice\PracticeChoice;

/**
 * Jobs on make-believe units, to try a hand on.
 */
final class PracticeController extends Controller
{
    public function __construct(private readonly FamilyRegistry $families) {}

    public function show(Request $request): PracticePage
    {
        $families = $this->families->all();

        return new PracticePage(
            families: FamilyHead::all($this->families),
            wandering: array_values(
                array_map(
                    static fn(Family $one): string => $one->key(),
                    array_filter($families, static fn(Family $one): bool => self::wanders(self::usual($one))),
                ),
            ),
            usual: $this->user($request)->workshop->usualFamily() ?? (string) array_key_first($families),
        );
    }

    public function store(Request $request, OpenJob $open): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'mapId' => ['required', 'ulid'],
            'family' => ['required', 'string', 'max:60'],
            'intermittent' => ['boolean'],
        ]);
        $this->families->has($data['family']) ||
            throw ValidationException::withMessages(['family' => 'Choose the kind of circuit.']);
        $family = $this->families->get($data['family']);
        $circuit = self::usual($family);
        $intermittent = $request->boolean('intermittent');
        if ($intermittent && !self::wanders($circuit)) {
            throw ValidationException::withMessages(['intermittent' => 'No fault of this circuit comes and goes.']);
        }
        // The same submit makes the same unit, whenever it arrives.
        $made = PracticeChoice::of($circuit, $intermittent, crc32($data['id']) & 0x7fffffff);
        $name = 'Practice: ' . lcfirst($family->texts()->get('name'));
        $unit = $this->user($request)->workshop->units()->where('name', $name)->first();
        $job = $open(
            $this->user($request),
            [
                'id' => strtolower($data['id']),
                'mapId' => strtolower($data['mapId']),
                'unitId' => $unit?->id,
                'unitName' => $name,
                'complaint' => self::complaint($circuit, $made->states),
                'intermittent' => $intermittent,
            ],
            $family->key(),
            $family->parameters()->read([]),
            $made->states,
            $made->answers,
            $made->practice,
        );

        return $this->whereItStands($job);
    }

    private static function usual(Family $family): CircuitModel
    {
        return $family->circuit($family->parameters()->read([]));
    }

    private static function wanders(CircuitModel $circuit): bool
    {
        return array_filter($circuit->faults, static fn(Fault $one): bool => $one->comesAndGoes) !== [];
    }

    /** @param array<string, string> $states by position */
    private static function complaint(CircuitModel $circuit, array $states): string
    {
        $words = new Words($circuit);
        $said = [];
        foreach ($states as $key => $state) {
            $position = $circuit->positions[$key];
            if ($state !== 'right') {
                $said[lcfirst($words->state($state, $position->kind))][] = $position->label;
            }
        }
        $parts = array_map(
            static fn(string $state): string => implode(', ', $said[$state]) . ": $state",
            array_keys($said),
        );

        return $parts === [] ? 'Something is wrong with it, made up for practice.' : implode('; ', $parts) . '.';
    }
}
