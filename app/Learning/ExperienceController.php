<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Asked;
use App\Http\Controller;
use App\Models\TakenExperience;
use App\Models\Workshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Learning\Calibration;
use Ispira\Core\Learning\Counted;
use Ispira\Core\Learning\CountedFault;
use Ispira\Core\Learning\Experience;
use Ispira\Core\Learning\ExperienceFormat;
use Ispira\Core\Learning\OddsRow;
use Ispira\Core\Learning\StatedVerdict;

/**
 * What the workshop's own jobs say: odds beside those that ship, and whether verdicts hold as often as they state.
 */
final class ExperienceController extends Controller
{
    /** What a job of another workshop may count for, beside an own one. */
    private const WEIGHTS = ['0.1', '0.25', '0.5', '1'];

    /** Verdicts of so many jobs, the newest, tell how far stated odds hold: more would tell of how it was once. */
    private const MOST_VERDICTS = 1000;

    public function __construct(private readonly FamilyRegistry $families, private readonly ExperienceFormat $format) {}

    public function show(Request $request): ExperiencePage
    {
        $workshop = $this->user($request)->workshop;
        $own = OwnOdds::own($workshop);
        $families = $this->familiesOf($workshop, $own);
        $family = Asked::text($request, 'family', 60);
        $family = $this->families->has($family) ? $family : $families[0]->value ?? null;
        $own = array_values(array_filter($own, static fn(CountedFault $one): bool => $one->family === $family));
        $models = self::modelsOf($own);
        $model = Asked::text($request, 'model', 120);
        $model = in_array($model, array_column($models, 'value'), true) ? $model : '';
        $circuit = $family === null ? null : $this->circuit($workshop, $family, $model);
        $counts = $family === null ? [] : [...$own, ...OwnOdds::taken($workshop, $family)];
        $learned = $circuit === null ? null : OwnOdds::from($circuit, $counts, $model);

        return new ExperiencePage(
            families: $families,
            family: $family,
            models: $models,
            model: $model,
            odds: $learned === null || $circuit === null ? [] : self::rows($circuit, $learned->rows()),
            jobs: $learned?->jobs() ?? 0.0,
            elsewhere: Counted::faults($counts)->jobs() - ($learned?->jobs() ?? 0.0),
            strength: $learned?->strength() ?? 0.0,
            used: $workshop->odds === Workshop::OWN_ODDS,
            calibration: Calibration::of(self::verdicts($workshop)),
            taken: array_values($workshop->experiences()->get()->map(ExperienceShown::of(...))->all()),
        );
    }

    public function export(Request $request): Response
    {
        $workshop = $this->user($request)->workshop;
        $json = json_encode(
            $this->format->toArray(new Experience($workshop->name, now()->toDateString(), OwnOdds::own($workshop))),
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_THROW_ON_ERROR,
        );

        return response($json, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="experience.json"',
        ]);
    }

    public function import(Request $request, TakeExperience $take): RedirectResponse
    {
        $data = $request->validate(
            ['weight' => ['required', Rule::in(self::WEIGHTS)]],
            ['weight.*' => 'Choose what its jobs count for.'],
        );
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid()) {
            throw ValidationException::withMessages(['file' => 'Choose an experience file.']);
        }
        try {
            $given = $this->format->read($file->getContent());
        } catch (FileError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }
        $lead = $this->user($request);
        if (mb_strtolower($given->name) === mb_strtolower($lead->workshop->name)) {
            throw ValidationException::withMessages([
                'file' => 'This file is of a workshop with your own name: its jobs are counted already.',
            ]);
        }
        $taken = $take($lead, $given, (float) $data['weight']);

        return redirect('/experience', 303)->with(
            'notice',
            sprintf('Taken in: %s, %s jobs.', $taken->name, round($taken->jobs)),
        );
    }

    public function remove(Request $request, string $experience, TakeExperience $take): RedirectResponse
    {
        $take->remove($this->user($request), $experience);

        return redirect('/experience', 303)->with('notice', 'Removed: it counts no more.');
    }

    /**
     * @param list<CountedFault> $own
     *
     * @return list<CountedChoice> with the most jobs first; those that were only taken in as well
     */
    private function familiesOf(Workshop $workshop, array $own): array
    {
        $jobs = [];
        foreach ($own as $one) {
            $jobs[$one->family] = ($jobs[$one->family] ?? 0.0) + $one->jobs;
        }
        $taken = DB::table('experience_faults')
            ->whereIn('experience_id', TakenExperience::query()->where('workshop_id', $workshop->id)->select('id'))
            ->distinct()
            ->pluck('family');
        foreach ($taken as $family) {
            $jobs[(string) $family] ??= 0.0;
        }
        arsort($jobs);
        $choices = [];
        foreach ($jobs as $family => $count) {
            if ($this->families->has($family)) {
                $choices[] = new CountedChoice(
                    $family,
                    $this->families->get($family)->texts()->get('name'),
                    round($count, 1),
                );
            }
        }

        return $choices;
    }

    /**
     * @param list<CountedFault> $own of one family
     *
     * @return list<CountedChoice>
     */
    private static function modelsOf(array $own): array
    {
        $jobs = [];
        foreach ($own as $one) {
            if ($one->model !== '') {
                $jobs[$one->model] = ($jobs[$one->model] ?? 0.0) + $one->jobs;
            }
        }
        arsort($jobs);

        return array_map(
            static fn(string $model, float $count): CountedChoice => new CountedChoice(
                $model,
                $model,
                round($count, 1),
            ),
            array_map(strval(...), array_keys($jobs)),
            $jobs,
        );
    }

    /** That of its newest job, whose variant it is asked about. */
    private function circuit(Workshop $workshop, string $family, string $model): CircuitModel
    {
        $newest = $workshop
            ->jobs()
            ->where('family', $family)
            ->whereNull('part')
            ->when($model !== '', static fn($jobs) => $jobs->where('model', $model))
            ->latest('updated_at')
            ->first();
        $kind = $this->families->get($family);

        return $newest?->circuit() ?? $kind->circuit($kind->parameters()->read([]));
    }

    /**
     * @param list<OddsRow> $rows
     *
     * @return list<OddsShown>
     */
    private static function rows(CircuitModel $circuit, array $rows): array
    {
        $words = new Words($circuit);

        return array_map(
            static fn(OddsRow $one): OddsShown => new OddsShown(
                $one->remedy,
                $words->remedy($one->remedy),
                $one->shipped,
                $one->own,
                round($one->jobs, 1),
                $one->low,
                $one->high,
            ),
            $rows,
        );
    }

    /** @return list<StatedVerdict> the newest */
    private static function verdicts(Workshop $workshop): array
    {
        $kept = DB::table('job_results')
            ->where('workshop_id', $workshop->id)
            ->orderByDesc('closed_on')
            ->limit(self::MOST_VERDICTS)
            ->pluck('verdicts');

        return array_values(
            $kept->flatMap(static fn(mixed $json): array => StatedVerdict::list((string) $json))->all(),
        );
    }
}
