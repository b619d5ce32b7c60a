<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Learning\WorkingHours;

/**
 * @property int    $id
 * @property string $name
 * @property string $currency
 * @property float  $labour_per_hour
 * @property float  $come_back_hours
 * @property int    $last_job_number
 * @property int    $last_practice_number
 * @property int $again_months within which the same part again raises what lies upstream; 0 for never
 * @property string $odds OWN_ODDS, or those that ship
 * @property string|null $address  as it stands on sheets
 * @property string|null $contact
 * @property string|null $tax_line what a customer's sheet says of taxes
 * @property string $unit_system   of people who are invited
 * @property string $opens_at      as HH:MM
 * @property string $closes_at
 * @property string $time_zone    in which these are meant
 * @property list<string>|null $working_days "mon" to "sun"; null for the usual five
 * @property list<string>|null $missing_tools keys of tools that the workshop does not own
 */
final class Workshop extends Model
{
    public const OWN_ODDS = 'own';
    public const SHIPPED_ODDS = 'shipped';

    public const USUAL_DAYS = ['mon', 'tue', 'wed', 'thu', 'fri'];

    private const NEWEST = 100;

    protected $guarded = [];

    protected $casts = [
        'labour_per_hour' => 'float',
        'come_back_hours' => 'float',
        'last_job_number' => 'integer',
        'last_practice_number' => 'integer',
        'working_days' => 'array',
        'missing_tools' => 'array',
        'again_months' => 'integer',
    ];

    protected $attributes = [
        'currency' => 'EUR',
        'labour_per_hour' => 75,
        'come_back_hours' => 1.5,
        'unit_system' => DisplayUnits::METRIC,
        'opens_at' => '08:00',
        'closes_at' => '17:00',
        'time_zone' => 'UTC',
        'odds' => self::OWN_ODDS,
        'again_months' => 24,
    ];

    /** @return HasMany<Job, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(Job::class);
    }

    /** @return array<int, string> names of its persons, also of those who have left */
    public function names(): array
    {
        /** @var array<int, string> */
        return once(fn(): array => $this->users()->pluck('name', 'id')->all());
    }

    /** The kind of circuit that its newest jobs are about most often; null where it has none yet. */
    public function usualFamily(): ?string
    {
        $newest = $this->jobs()
            ->whereNull('practice_fault')
            ->latest('number')
            ->limit(self::NEWEST)
            ->toBase()
            ->select('family');
        $usual = DB::query()
            ->fromSub($newest, 'newest')
            ->groupBy('family')
            ->orderByRaw('count(*) desc')
            ->value('family');

        return \is_string($usual) ? $usual : null;
    }

    /** @return HasMany<Unit, $this> */
    public function units(): HasMany
    {
        return $this->hasMany(Unit::class);
    }

    /** @return HasMany<BenchRun, $this> */
    public function benchRuns(): HasMany
    {
        return $this->hasMany(BenchRun::class);
    }

    /** @return HasMany<WorkshopProcedure, $this> */
    public function procedures(): HasMany
    {
        return $this->hasMany(WorkshopProcedure::class);
    }

    /** @return HasMany<ProcedureRun, $this> */
    public function procedureRuns(): HasMany
    {
        return $this->hasMany(ProcedureRun::class);
    }

    /** @return HasMany<MeterAddress, $this> */
    public function meters(): HasMany
    {
        return $this->hasMany(MeterAddress::class);
    }

    /** @return HasMany<CatalogueEntry, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(CatalogueEntry::class)->orderBy('number');
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }

    /** @return HasMany<Invitation, $this> */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class);
    }

    /** @return HasMany<TakenExperience, $this> */
    public function experiences(): HasMany
    {
        return $this->hasMany(TakenExperience::class)->orderBy('name');
    }

    /** @return HasMany<AuditEntry, $this> */
    public function audit(): HasMany
    {
        return $this->hasMany(AuditEntry::class);
    }

    /**
     * @param list<string> $missingTools
     * @param list<string> $leftOut      tests that cannot be done
     */
    public function decisionSettings(array $missingTools = [], array $leftOut = []): DecisionSettings
    {
        return new DecisionSettings($this->labour_per_hour, $this->come_back_hours, $missingTools, [], $leftOut);
    }

    public function hours(): WorkingHours
    {
        return new WorkingHours(
            $this->opens_at,
            $this->closes_at,
            $this->working_days ?? self::USUAL_DAYS,
            new \DateTimeZone($this->time_zone),
        );
    }

    /** The next number of a job; call inside the transaction that stores the job. */
    public function takeJobNumber(): int
    {
        return $this->nextOf('last_job_number');
    }

    /** The same for practice, which takes no number of real work. */
    public function takePracticeNumber(): int
    {
        return Job::PRACTICE_FROM + $this->nextOf('last_practice_number');
    }

    /** @param 'last_job_number'|'last_practice_number' $counter */
    private function nextOf(string $counter): int
    {
        $locked = self::query()->whereKey($this->id)->lockForUpdate()->firstOrFail();
        $locked->increment($counter);

        return $locked->$counter;
    }

    /** @return HasMany<ExerciseSet, $this> */
    public function exerciseSets(): HasMany
    {
        return $this->hasMany(ExerciseSet::class);
    }

    /** @return HasMany<Exercise, $this> */
    public function exercises(): HasMany
    {
        return $this->hasMany(Exercise::class);
    }
}
