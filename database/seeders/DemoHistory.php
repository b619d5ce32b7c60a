<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Jobs\StoredJobFile;
use App\Models\Job;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Learning\SimulatedWorkshop;

/**
 * A year of closed jobs of the demo: worked once by the engine on simulated units of a world of its own, and kept in a
 * file, since working them takes minutes.
 */
final readonly class DemoHistory
{
    public const FILE = 'database/seeders/history.json';

    private const JOBS = 60;
    private const SEED = 20261;

    /** How far the town's world lies from the shipped one, see SimulatedWorkshop. */
    private const APART = 0.9;

    /** The day as of which the file is made: it is moved to the day on which the demo is loaded. */
    private const MADE_ON = '2026-11-01';

    /** Name, place, model and family of the units, and how many jobs each weighs. */
    private const UNITS = [
        ['Van 1, crew heater', 'harbour office', 'Tarn 12 cabin heater', 'stepped-blower', 5],
        ['Van 2, crew heater', 'harbour office', 'Tarn 12 cabin heater', 'stepped-blower', 4],
        ['Van 4, crew heater', 'harbour office', 'Tarn 12 cabin heater', 'stepped-blower', 4],
        ['Van 6, crew heater', 'harbour office', 'Tarn 12 cabin heater', 'stepped-blower', 4],
        ['Van 8, crew heater', 'harbour office', 'Tarn 12 cabin heater', 'stepped-blower', 3],
        ['Bakery van 2, cab heater', 'bakery', 'Ovel cab unit', 'stepped-blower', 3],
        ['Post van 2, wipers', 'harbour office', 'Ovel wiper I5', 'wiper-interval', 4],
        ['Post van 3, wipers', 'harbour office', 'Ovel wiper I5', 'wiper-interval', 4],
        ['Van 4, radiator fans', 'harbour office', 'Tarn 12 front end', 'radiator-fan', 4],
        ['Van 6, radiator fans', 'harbour office', 'Tarn 12 front end', 'radiator-fan', 3],
        ['Van 8, climate blower', 'harbour office', 'Tarn 20 climate', 'electronic-blower', 3],
        ['Town hall, furnace', 'town hall', 'Kelda F 20', 'tapped-blower', 4],
        ['School, library furnace', 'school', 'Kelda F 20', 'tapped-blower', 3],
        ['Quay hotel, air handler', 'quay hotel', 'Kelda AH 40', 'control-output', 3],
        ['Quay hotel, split unit', 'quay hotel', 'Sund S 9', 'five-wire-fan', 2],
        ['Town hall, split unit', 'town hall', 'Sund S 9', 'five-wire-fan', 2],
        ['Quay hotel, boiler', 'quay hotel', 'Brann B 24', 'flue-fan', 3],
        ['School minibus 2, blend doors', 'school', 'Ovel doors 5', 'air-door', 3],
    ];

    private const PEOPLE = ['Iska Moren' => 0.5, 'Runa Tveld' => 0.2, 'Dav Ollin' => 0.3];

    public function __construct(private FamilyRegistry $families, private JobFileFormat $format) {}

    /** Loads what stands in the file, as if it ended some days ago. */
    public function load(Workshop $workshop): void
    {
        $data = json_decode(File::get(base_path(self::FILE)), true, 64, \JSON_THROW_ON_ERROR);
        /** @var array<string, User> $people */
        $people = $workshop->users()->get()->keyBy('name')->all();
        $days = (int) Carbon::parse(self::MADE_ON)->diffInDays(Carbon::today());
        foreach (is_array($data) ? $data : [] as $one) {
            $file = $this->format->read((string) json_encode(self::moved($one['job'], $days)));
            $user = $people[$one['by']];
            $job = StoredJobFile::import($user, $file);
            foreach ($job->replacements()->get() as $number => $replaced) {
                $replaced->update(['verdict' => $one['verdicts'][$number] ?? null]);
            }
            foreach (['readings', 'repair_entries', 'replacements'] as $table) {
                foreach ($people as $name => $person) {
                    DB::table($table)
                        ->where('job_id', $job->id)
                        ->where('author', $name)
                        ->update(['user_id' => $person->id, 'author' => null]);
                }
            }
            $job->refresh()->recountOpen();
            Job::query()
                ->whereKey($job->id)
                ->update(['updated_at' => $job->closed_at]);
        }
    }

    /** @return list<array{by: string, job: array<string, mixed>, verdicts: list<array<string, mixed>>}> worked anew */
    public function make(): array
    {
        $chance = new RandomSource(self::SEED);
        $weights = [];
        foreach (self::UNITS as $number => $unit) {
            $weights["unit $number"] = (float) $unit[4];
        }
        $made = $engines = $worlds = [];
        $days = 362.0;
        while (count($made) < self::JOBS) {
            [$name, $place, $model, $family] = self::UNITS[(int) substr($chance->pick($weights), 5)];
            $kind = $this->families->get($family);
            $parameters = $kind->parameters()->read(DemoUnits::circuitOf($model));
            $circuit = $kind->circuit($parameters);
            $engines[$model] ??= new Engine(new MemoryStore());
            $worlds[$family] ??= new SimulatedWorkshop(
                $circuit,
                new RandomSource(self::SEED + count($worlds)),
                self::APART,
            );
            $opened = Carbon::parse(self::MADE_ON)
                ->subDays((int) $days)
                ->setTime(8 + (int) $chance->between(0.0, 6.0), (int) $chance->between(0.0, 60.0));
            $by = $chance->pick(self::PEOPLE);
            $job = new HistoryJob(
                $by,
                $family,
                $parameters,
                $circuit,
                $engines[$model],
                $worlds[$family]->next(),
                $chance,
                $opened,
            );
            if (!$job->work()) {
                continue;
            }
            $made[] = [
                'by' => $by,
                'job' => $this->format->toArray($job->file($name, $place, $model)),
                'verdicts' => $job->verdicts(),
            ];
            $days -= $chance->between(1.0, 10.0) * (360.0 / (5.5 * self::JOBS));
            $days = max(4.0, $days);
        }

        return $made;
    }

    /** Every moment and day in it so many days later. */
    private static function moved(mixed $data, int $days): mixed
    {
        if (is_array($data)) {
            return array_map(static fn(mixed $one): mixed => self::moved($one, $days), $data);
        }
        if (!is_string($data)) {
            return $data;
        }

        return match (true) {
            preg_match('/^\d{4}-\d\d-\d\d$/', $data) === 1 => Carbon::parse($data)->addDays($days)->toDateString(),
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/', $data) === 1 => Carbon::parse($data)
                ->addDays($days)
                ->toIso8601String(),
            default => $data,
        };
    }
}
