<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Instruments\Leads;
use App\Learning\LessonShown;
use App\Learning\OwnTerms;
use App\Models\CatalogueEntry;
use App\Models\MeterAddress;
use App\Models\User;
use App\Models\Workshop;
use App\Procedures\WorkshopLibrary;
use Illuminate\Contracts\Auth\Factory;
use Illuminate\Http\Request;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\Shown\MeterName;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Repair\Fit\CataloguePart;

/**
 * The workshop of the person who is signed in.
 */
final readonly class StoredWorkplace implements Workplace
{
    public function __construct(private Factory $auth, private Request $request, private WorkshopLibrary $library) {}

    public function units(): DisplayUnits
    {
        return $this->user()->displayUnits();
    }

    public function labourPerHour(): float
    {
        return $this->workshop()->labour_per_hour;
    }

    public function comeBackHours(): float
    {
        return $this->workshop()->come_back_hours;
    }

    public function missingTools(): array
    {
        return array_values(
            array_unique([...$this->workshop()->missing_tools ?? [], ...$this->user()->missing_tools ?? []]),
        );
    }

    public function meters(): array
    {
        return array_values(
            $this->workshop()
                ->meters()
                ->orderBy('name')
                ->get()
                ->map(static fn(MeterAddress $meter): MeterName => new MeterName(id: $meter->id, name: $meter->name))
                ->all(),
        );
    }

    public function leadOhms(): float
    {
        return Leads::ohms($this->request->session());
    }

    public function parts(): array
    {
        return array_values(
            $this->workshop()
                ->parts()
                ->get()
                ->map(static fn(CatalogueEntry $entry): CataloguePart => $entry->toCore())
                ->all(),
        );
    }

    public function procedures(): array
    {
        return $this->library->of($this->workshop());
    }

    public function lessons(JobState $job): array
    {
        if ($job->practice !== null) {
            return [];
        }
        $lessons = LessonShown::of($this->workshop(), $job->family, trim((string) $job->head->model));

        return array_column($lessons, 'lesson');
    }

    public function terms(JobState $job): Terms
    {
        // A make-believe unit is worked with what ships.
        if ($job->practice !== null) {
            return new Terms();
        }
        // A page weighs its tests and ways several times: what they take is read once for a request.
        $attributes = request()->attributes;
        $kept = "terms $job->family";
        $own = $attributes->get($kept);
        if (!($own instanceof OwnTerms)) {
            $own = OwnTerms::of($this->workshop(), $job->family);
            $attributes->set($kept, $own);
        }

        return $own->learned($job->circuit, (string) $job->head->model)->terms();
    }

    public function today(): string
    {
        return now()->toDateString();
    }

    private function workshop(): Workshop
    {
        return $this->user()->workshop;
    }

    private function user(): User
    {
        $user = $this->auth->guard()->user();

        return $user instanceof User ? $user : abort(401);
    }
}
