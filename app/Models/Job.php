<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\BuiltCircuit;
use App\Jobs\JobTerms;
use App\Learning\ResultOfJob;
use App\Practice\EndOfPractice;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Trial\Leak;
use Ispira\Core\Job\Again;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\Practice;
use Ispira\Core\Job\PracticeAct;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Job\ReplacedBefore;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\FollowUps;
use Ispira\Core\Repair\Work\JobOutcome;
use Ispira\Core\Repair\Work\StillOpen;

/**
 * @property string|null $test_on_bench key of the test at which the unit is being measured
 * @property string       $id
 * @property int          $workshop_id
 * @property int          $number
 * @property string       $unit_id
 * @property JobKind      $kind
 * @property JobStage     $stage
 * @property string       $complaint
 * @property string|null  $since
 * @property bool         $intermittent
 * @property int          $still_open how many things it leaves open
 * @property string|null  $replaced_before
 * @property string       $family
 * @property string       $model   of its unit; empty where none is noted
 * @property string|null  $part    the one on the bench, where the job is about a loose part
 * @property JobOutcome|null $outcome of a closed job
 * @property int|null     $owner_id whose job it is
 * @property Carbon|null  $part_expected_on when the next part that was ordered should be there
 * @property bool         $countersign_due  whether a trainee closed it, and nobody has countersigned
 * @property Carbon|null  $lent_until when the first thing that was lent with it should be back
 * @property list<Again|array<string, mixed>>|null $again what was replaced on the unit or its model not long before
 * @property list<array{string, bool, string|null, string|null}>|null $strip in small, see SmallStrip
 * @property User|null    $owner
 * @property Carbon|null  $due_on  when it has to be looked at again
 * @property array<string, mixed> $parameters
 * @property string|null  $practice_fault what is hidden in its unit, where that is a make-believe one
 * @property int|null     $practice_seed
 * @property Carbon|null  $closed_at
 * @property Carbon       $created_at
 * @property Carbon       $updated_at
 * @property Unit         $unit
 * @property Workshop     $workshop
 * @property \Illuminate\Database\Eloquent\Collection<int, Reading> $readings
 * @property \Illuminate\Database\Eloquent\Collection<int, SpeedMap> $maps
 * @property \Illuminate\Database\Eloquent\Collection<int, Replacement> $replacements
 * @property \Illuminate\Database\Eloquent\Collection<int, RepairEntry> $entries
 * @property \Illuminate\Database\Eloquent\Collection<int, ProcedureRun> $runs
 * @property \Illuminate\Database\Eloquent\Collection<int, ExerciseAct> $exerciseActs in the order done
 * @property Exercise|null $exercise where its unit is a make-believe one
 */
final class Job extends Model
{
    use HasUlids;

    /** Numbers above are those of practice. */
    public const PRACTICE_FROM = 1_000_000_000;

    protected $guarded = [];

    protected $attributes = ['countersign_due' => false];

    protected $casts = [
        'kind' => JobKind::class,
        'stage' => JobStage::class,
        'outcome' => JobOutcome::class,
        'due_on' => 'date:Y-m-d',
        'part_expected_on' => 'date:Y-m-d',
        'lent_until' => 'date:Y-m-d',
        'strip' => 'array',
        'again' => 'array',
        'countersign_due' => 'boolean',
        'intermittent' => 'boolean',
        'parameters' => 'array',
        'closed_at' => 'datetime',
        'number' => 'integer',
        'practice_seed' => 'integer',
    ];

    protected static function booted(): void
    {
        self::saving(static function (self $job): void {
            if (!$job->exists || $job->isDirty('unit_id')) {
                $job->model = trim((string) $job->unit()->value('model'));
            }
        });
        self::updating(static function (self $job): void {
            if ($job->isDirty(['family', 'parameters'])) {
                $job->strip = null;
            }
        });
        self::saved(static function (self $job): void {
            if (
                $job->wasRecentlyCreated ||
                $job->wasChanged(['unit_id', 'complaint', 'since', 'family', 'owner_id', 'user_id', 'number'])
            ) {
                JobTerms::note($job);
            }
            if ($job->practice_fault !== null && $job->wasChanged('stage') && $job->stage === JobStage::Closed) {
                EndOfPractice::closed($job);
            }
            if ($job->wasChanged(['stage', 'outcome', 'unit_id', 'owner_id', 'family', 'parameters'])) {
                ResultOfJob::note($job);
            }
        });
    }

    /** As it stands in the database now, and for nobody else to change until the transaction ends. */
    public function locked(): self
    {
        return self::query()->whereKey($this->id)->lockForUpdate()->firstOrFail();
    }

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Reading, $this> those of its circuit: what was set aside with another one is no longer its */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)
            ->whereDoesntHave('strike', static fn($strike) => $strike->where('set_aside', true))
            ->orderBy('sequence');
    }

    /** @return HasMany<SpeedMap, $this> */
    public function maps(): HasMany
    {
        return $this->hasMany(SpeedMap::class)->orderBy('taken_at');
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('taken_at')->orderBy('id');
    }

    /** @return HasMany<Capture, $this> */
    public function captures(): HasMany
    {
        return $this->hasMany(Capture::class)->orderBy('taken_at')->orderBy('id');
    }

    /** @return HasMany<Replacement, $this> */
    public function replacements(): HasMany
    {
        return $this->hasMany(Replacement::class)->orderBy('sequence');
    }

    /** @return HasMany<RepairEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(RepairEntry::class)->orderBy('sequence');
    }

    /** @return HasMany<ProcedureRun, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(ProcedureRun::class)->with('marks')->orderBy('started_at')->orderBy('id');
    }

    public function circuit(): CircuitModel
    {
        return app(BuiltCircuit::class)->of($this->family, $this->parameters, $this->part);
    }

    /** @return list<Again> */
    public function again(): array
    {
        return Again::list($this->again, 'job');
    }

    public function practice(): ?Practice
    {
        if ($this->practice_fault === null) {
            return null;
        }
        $exercise = $this->exercise;
        $leak = $exercise?->leak;

        return new Practice(
            $this->practice_fault,
            (int) $this->practice_seed,
            $exercise !== null,
            $leak === null ? null : new Leak($leak['from'], $leak['to'], (float) $leak['ohms']),
            $exercise->way ?? PracticeWay::Guided,
            $exercise->guesses ?? false,
            array_values($this->exerciseActs->map(static fn(ExerciseAct $one): PracticeAct => $one->toCore())->all()),
        );
    }

    /** @return HasOne<Exercise, $this> */
    public function exercise(): HasOne
    {
        return $this->hasOne(Exercise::class);
    }

    /** @return HasMany<ExerciseAct, $this> */
    public function exerciseActs(): HasMany
    {
        return $this->hasMany(ExerciseAct::class)->orderBy('sequence');
    }

    public function repairSheet(): RepairSheet
    {
        $family = app(FamilyRegistry::class)->get($this->family);

        return $family instanceof Repairable ? $family->repairSheet() : new RepairSheet();
    }

    /** Counts anew what it leaves open and waits for, so that lists find it. */
    public function recountOpen(): void
    {
        $open = $this->refresh()->stillOpen();
        $ledger = $this->ledger();
        $lent = array_map(static fn(Entry $one): string => $one->text('dueOn'), $ledger->lent());
        $expected = $ledger->onOrder()[0] ?? null;
        $this->still_open = count($open->items());
        $this->countersign_due = $open->isUnsigned();
        $this->lent_until = $lent === [] ? null : Carbon::parse(min($lent));
        $this->part_expected_on = $expected === null ? null : Carbon::parse($expected->text('expectedOn'));
        $this->updated_at = now();
        $this->save();
        if ($this->stage === JobStage::Closed || $this->replacements->isNotEmpty()) {
            ResultOfJob::note($this);
        }
    }

    /**
     * The money and means with which its tests are weighed.
     *
     * @param list<string> $missingTools
     */
    public function decisionSettings(array $missingTools = []): DecisionSettings
    {
        return $this->workshop->decisionSettings(
            $missingTools,
            array_map(static fn(Entry $one): string => $one->text('test'), $this->ledger()->all(EntryKind::Cannot)),
        );
    }

    /** What it leaves to be done. */
    public function stillOpen(): StillOpen
    {
        return new StillOpen($this->ledger(), FollowUps::of($this->repairSheet(), $this->caseFile()));
    }

    /** What was noted between verdict and closed job. */
    public function ledger(): Ledger
    {
        return Ledger::of(
            array_values(
                ($this->relationLoaded('entries') ? $this->entries : $this->entries()->get())
                    ->map(fn(RepairEntry $entry): Entry => $entry->toCore($this->workshop->names()))
                    ->all(),
            ),
        );
    }

    public function caseFile(): CaseFile
    {
        return new CaseFile(
            array_values($this->readings->map(static fn(Reading $reading) => $reading->toCore())->all()),
            array_values(
                $this->replacements->map(static fn(Replacement $replacement): string => $replacement->remedy)->all(),
            ),
            $this->intermittent,
            Again::replacedBefore($this->again(), ReplacedBefore::count($this->replaced_before)),
        );
    }
}
