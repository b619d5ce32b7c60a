<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\SearchWords;
use App\Learning\ProvenCounts;
use App\Models\Job;
use App\Models\User;
use App\Models\Workshop;
use App\People\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * A workshop as large as one likes, made of rows that are written at once: for measuring, not for looking at.
 *
 * Of every hundred jobs eight are under way, six wait for a part, and three each are due, have something lent or leave
 * something open, so that every page is full at a thousand jobs as well; each has a map and as many readings beside it
 * as make ten. Every unit comes twenty times.
 */
final class LargeWorkshop
{
    private const READINGS = 10;
    private const JOBS_A_UNIT = 20;
    private const AT_ONCE = 500;
    private const MOST_SECONDS = 180;
    private const FEW_PAGES = 50;

    private const STRIP = [
        ['key off', false, 'right', 'off, right'],
        ['0', false, 'right', 'off, right'],
        ['1', true, 'dead', 'dead'],
        ['2', true, 'dead', 'dead'],
        ['3', true, 'right', 'right'],
    ];
    private const MAP = ['key-off' => 'right', 'off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'right'];
    private const KINDS = ['Van', 'Bus', 'Ferry', 'Tractor', 'Oven', 'Boiler', 'Hall', 'Clinic', 'Store', 'Cabin'];
    private const REMEDIES = ['pack', 'motor', 'motor-plug', 'pack-plug', 'fuse'];
    private const COMPLAINTS = [
        'Heater weak on low',
        'Only the top speed blows',
        'Blower squeals and stops',
        'Fan never stops',
        'No air on second',
    ];

    public readonly Workshop $workshop;

    public readonly User $user;

    private int $jobs = 0;

    public function __construct()
    {
        $this->workshop = Workshop::query()->create(['name' => 'Made for measuring']);
        $this->user = $this->workshop->users()->create([
            'name' => 'Mette Maal',
            'email' => Str::ulid() . '@measuring.invalid',
            'password' => Str::random(40),
            'role' => Role::Lead,
        ]);
    }

    /** Lets it grow to so many jobs. */
    public function growTo(int $jobs): void
    {
        while ($this->jobs < $jobs) {
            $this->add(min(self::AT_ONCE, $jobs - $this->jobs));
        }
        foreach (
            [
                'units',
                'jobs',
                'job_terms',
                'speed_maps',
                'readings',
                'repair_entries',
                'job_results',
                'proven_counts',
                'noted_terms',
            ]
            as $table
        ) {
            DB::statement("analyze table $table");
        }
        $this->settle();
    }

    /** Waits until the database has written what it still holds in memory only: that would be timed as well. */
    private function settle(): void
    {
        for ($n = 0; $n < self::MOST_SECONDS; ++$n) {
            $left = DB::selectOne("show global status like 'Innodb_buffer_pool_pages_dirty'");
            if ((int) ($left->Value ?? 0) < self::FEW_PAGES) {
                return;
            }
            sleep(1);
        }
    }

    public function readings(): int
    {
        return $this->jobs * self::READINGS;
    }

    /** A job on the bench, and a unit. */
    public function someJob(): Job
    {
        return $this->workshop->jobs()->where('stage', JobStage::Bench)->orderBy('number')->firstOrFail();
    }

    public function remove(): void
    {
        do {
            $gone = DB::table('jobs')->where('workshop_id', $this->workshop->id)->limit(2000)->delete();
        } while ($gone > 0);
        DB::table('proven_counts')->where('workshop_id', $this->workshop->id)->delete();
        DB::table('units')->where('workshop_id', $this->workshop->id)->delete();
        // What was deleted stays in the full-text index until it is built anew.
        DB::statement('optimize table units');
        DB::table('users')->where('workshop_id', $this->workshop->id)->delete();
        $this->workshop->delete();
    }

    private function add(int $count): void
    {
        $units = $jobs = $words = $maps = $readings = $entries = $results = $proven = $terms = [];
        $names = $this->workshop->names();
        for ($n = 0; $n < $count; ++$n) {
            $number = ++$this->jobs;
            $unit = $this->unit(intdiv($number - 1, self::JOBS_A_UNIT));
            if (($number - 1) % self::JOBS_A_UNIT === 0) {
                $units[] = $unit;
            }
            $job = $this->job($number, $unit);
            $jobs[] = $job;
            foreach (
                SearchWords::of([
                    (string) $number,
                    $unit['name'],
                    $unit['place'],
                    $unit['model'],
                    $job['complaint'],
                    'Stepped-resistor blower',
                    ...array_values($names),
                ])
                as $term
            ) {
                $words[] = ['workshop_id' => $this->workshop->id, 'number' => $number, 'term' => $term];
            }
            $map = $this->id('1', $number);
            $maps[] = ['id' => $map, 'job_id' => $job['id'], 'kind' => 'before', 'taken_at' => $job['created_at']];
            array_push($readings, ...$this->readingsOf($job, $map, $number));
            $entries = [...$entries, ...$this->entriesOf($job, $number)];
            if ($job['outcome'] === 'repaired') {
                [$results[], $proven[], $terms[]] = $this->cameOf($job, $number);
            }
        }
        DB::transaction(static function () use (
            $units,
            $jobs,
            $words,
            $maps,
            $readings,
            $entries,
            $results,
            $proven,
            $terms,
        ): void {
            DB::table('units')->insert($units);
            foreach (array_chunk($jobs, 250) as $some) {
                DB::table('jobs')->insert($some);
            }
            foreach (array_chunk($words, 2000) as $some) {
                DB::table('job_terms')->insert($some);
            }
            DB::table('speed_maps')->insert($maps);
            foreach (array_chunk($readings, 1000) as $some) {
                DB::table('readings')->insert($some);
            }
            DB::table('repair_entries')->insert($entries);
            DB::table('job_results')->insert($results);
            DB::table('proven_faults')->insert($proven);
            DB::table('noted_terms')->insert($terms);
            ProvenCounts::add($proven);
        });
    }

    /** @return array<string, mixed> */
    private function unit(int $number): array
    {
        $kind = self::KINDS[$number % count(self::KINDS)];
        $columns = [
            'name' => "$kind $number",
            'place' => 'Quay ' . $number % 40,
            'model' => 'Tarn ' . $number % 20,
        ];

        return [
            'id' => $this->id('2', $number),
            'workshop_id' => $this->workshop->id,
            'words' => SearchWords::indexed(array_values($columns)),
            'created_at' => self::moment($number * self::JOBS_A_UNIT),
            'updated_at' => self::moment($number * self::JOBS_A_UNIT),
        ] + $columns;
    }

    /**
     * @param array<string, mixed> $unit
     *
     * @return array<string, mixed>
     */
    private function job(int $number, array $unit): array
    {
        $of = $number % 100;
        $stage = match (true) {
            $of < 5 => JobStage::Bench,
            $of < 7 => JobStage::Proof,
            $of < 8 => JobStage::Circuit,
            default => JobStage::Closed,
        };
        $closed = $stage === JobStage::Closed;

        return [
            'id' => $this->id('3', $number),
            'workshop_id' => $this->workshop->id,
            'number' => $number,
            'unit_id' => $unit['id'],
            'model' => $unit['model'],
            'user_id' => $this->user->id,
            'owner_id' => $this->user->id,
            'kind' => 'fault',
            'stage' => $stage->value,
            'outcome' => $closed ? ($of >= 50 && $of < 53 ? 'temporary' : 'repaired') : null,
            'due_on' => $of >= 50 && $of < 53 ? now()->subDay()->toDateString() : null,
            'part_expected_on' => $of < 6 ? now()->addDays(3)->toDateString() : null,
            'lent_until' => $of >= 60 && $of < 63 ? now()->addDay()->toDateString() : null,
            'still_open' => $of >= 70 && $of < 73 ? 1 : 0,
            'complaint' => self::COMPLAINTS[$number % count(self::COMPLAINTS)],
            'family' => 'stepped-blower',
            'parameters' => '{"positions":"3"}',
            'strip' => json_encode(self::STRIP),
            'closed_at' => $closed ? self::moment($number) : null,
            'created_at' => self::moment($number),
            'updated_at' => self::moment($number),
        ];
    }

    /**
     * @param array<string, mixed> $job
     *
     * @return list<array<string, mixed>>
     */
    private function readingsOf(array $job, string $map, int $number): array
    {
        $rows = [];
        for ($n = 0; $n < self::READINGS; ++$n) {
            $position = array_keys(self::MAP)[$n] ?? null;
            $rows[] = [
                'id' => $this->id(dechex($n), $number * 16 + 7),
                'job_id' => $job['id'],
                'speed_map_id' => $position === null ? null : $map,
                'user_id' => $this->user->id,
                'test' => $position === null ? 'motor-volts@3' : "speed@$position",
                'choice' => $position === null ? null : self::MAP[$position],
                'number' => $position === null ? 11.8 + $n / 100 : null,
                'trust' => 'measured',
                'taken_at' => $job['created_at'],
            ];
        }

        return $rows;
    }

    /**
     * @param array<string, mixed> $job
     *
     * @return list<array<string, mixed>>
     */
    private function entriesOf(array $job, int $number): array
    {
        [$kind, $data] = match (true) {
            $number % 100 < 6 => [
                EntryKind::Ordered,
                ['what' => 'Resistor pack', 'expectedOn' => now()->addDays(3)->toDateString()],
            ],
            $number % 100 >= 60 && $number % 100 < 63 => [
                EntryKind::Loan,
                ['what' => 'Fan heater', 'to' => 'the driver', 'dueOn' => now()->addDay()->toDateString()],
            ],
            $number % 100 >= 70 && $number % 100 < 73 => [EntryKind::Also, ['what' => 'Lamp is dim']],
            default => [null, []],
        };

        return $kind === null
            ? []
            : [
                [
                    'id' => $this->id('f', $number),
                    'job_id' => $job['id'],
                    'user_id' => $this->user->id,
                    'kind' => $kind->value,
                    'data' => json_encode($data),
                    'noted_at' => $job['created_at'],
                ],
            ];
    }

    /**
     * @param array<string, mixed> $job
     *
     * @return array{array<string, mixed>, array<string, mixed>, array<string, mixed>} its result, what it proves, and
     *     what a test took on it
     */
    private function cameOf(array $job, int $number): array
    {
        $remedy = self::REMEDIES[$number % count(self::REMEDIES)];
        $of = array_intersect_key($job, array_flip(['workshop_id', 'family', 'model'])) + ['job_id' => $job['id']];

        return [
            $of + [
                'owner_id' => $job['owner_id'],
                'closed_on' => substr((string) $job['closed_at'], 0, 10),
                'right_first' => $number % 9 !== 0,
                'came_back' => false,
                'in_vain' => $number % 9 === 0,
                'minutes' => 20 + ($number % 30),
                'avoidable' => 30 + ($number % 50),
                'guessing' => 200 + ($number % 100),
                'verdicts' => json_encode([[$remedy, 0.98, true]]),
            ],
            $of + ['remedy' => $remedy, 'fault' => '', 'share' => 1.0],
            $of + [
                'kind' => 'test',
                'term' => 'motor-volts',
                'source' => '',
                'value' => 0.8 + ($number % 5) / 10,
                'unit_id' => '',
                'noted_on' => substr((string) $job['closed_at'], 0, 10),
            ],
        ];
    }

    /** The older a job, the smaller its number: one every twenty minutes. */
    private static function moment(int $number): string
    {
        return now()
            ->subYears(5)
            ->addMinutes($number * 20)
            ->format('Y-m-d H:i:s');
    }

    private function id(string $kind, int $number): string
    {
        return '0' .
            $kind .
            str_pad((string) $this->workshop->id, 6, '0', \STR_PAD_LEFT) .
            str_pad((string) $number, 18, '0', \STR_PAD_LEFT);
    }
}
