<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Job;
use App\Models\MeterAddress;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Instrument\Hold;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\MeterRange;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Instrument\Steadiness;

/**
 * What a meter shows while a test is on the bench: kept from look to look, until it is recorded or goes stale.
 */
final readonly class LiveMeter
{
    private const SAMPLES_A_LOOK = 3;
    private const KEPT_SAMPLES = 30;
    private const STALE_SECONDS = 20;

    public function __construct(private PredictionStore $store) {}

    /**
     * Looks at the meter once.
     *
     * @return array{now: Steadiness, held: Hold|null}
     *
     * @throws MeterTrouble
     */
    public function look(User $user, Job $job, CircuitModel $circuit, Test $test, MeterAddress $address): array
    {
        $function =
            MeterFunction::for($test, $circuit) ?? throw new MeterTrouble('A bench meter cannot read this: type it.');
        if ($job->test_on_bench !== $test->key) {
            Job::query()
                ->whereKey($job->id)
                ->toBase()
                ->update(['test_on_bench' => $test->key]);
        }
        $place = self::place($user, $job, $test, $address->id);
        $kept = Cache::get($place);
        $range =
            is_array($kept) && is_float($kept['range'] ?? null)
                ? $kept['range']
                : $this->range($circuit, $test, $function);
        $samples = OneVisit::of(
            $user,
            static fn(): array => $address->meter()->read($function, $range, self::SAMPLES_A_LOOK),
        );
        $before = is_array($kept) && is_array($kept['samples'] ?? null) ? $kept['samples'] : [];
        /** @var non-empty-list<float|null> $all */
        $all = array_slice([...array_values($before), ...$samples], -self::KEPT_SAMPLES);
        $now = Steadiness::of($all, $test->probe->quantity);
        $held = Hold::after(self::holdIn($kept), $now, $test->probe->quantity);
        Cache::put(
            $place,
            [
                'range' => $range,
                'samples' => $all,
                'held' => $held === null ? null : ['value' => $held->value, 'wandered' => $held->wandered],
                'now' => ['value' => $now->value, 'wandered' => $now->wanders],
            ],
            self::STALE_SECONDS,
        );

        return ['now' => $now, 'held' => $held];
    }

    /** What would be recorded: the held value, else the last one; null when the meter was not read for a while. */
    public function toRecord(User $user, Job $job, Test $test, MeterAddress $address): ?Hold
    {
        $kept = Cache::get(self::place($user, $job, $test, $address->id));

        return self::holdIn($kept) ?? self::holdIn(is_array($kept) ? ['held' => $kept['now'] ?? null] : null);
    }

    /** Lets go of what is held, so that the next reading starts anew. */
    public function letGo(User $user, Job $job, Test $test, string $meter): void
    {
        Cache::forget(self::place($user, $job, $test, $meter));
    }

    private static function holdIn(mixed $kept): ?Hold
    {
        $held = is_array($kept) ? $kept['held'] ?? null : null;
        if (!is_array($held)) {
            return null;
        }
        $value = $held['value'] ?? null;

        return new Hold(is_float($value) ? $value : null, ($held['wandered'] ?? false) === true);
    }

    private function range(CircuitModel $circuit, Test $test, MeterFunction $function): float
    {
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $predictions = new Predictions($circuit, $sound, $this->store);
        $range = MeterRange::for($predictions->few($sound, $test), $function);
        $predictions->keep();

        return $range;
    }

    private static function place(User $user, Job $job, Test $test, string $meter): string
    {
        return "live|$user->id|$job->id|$meter|$test->key";
    }
}
