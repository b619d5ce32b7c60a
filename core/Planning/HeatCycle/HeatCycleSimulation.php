<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * Runs a furnace through its calls with a fan control.
 *
 * Between two events everything is linear: the metal relaxes exponentially, and the limit follows it as a
 * second exponential. Each step takes that closed form; the limit's opening and closing are found inside the
 * step by bisection on it, so that the step length only decides how finely the course is drawn.
 */
final readonly class HeatCycleSimulation
{
    private const HALVINGS = 40;

    /** Two time constants nearer than this share count as one. */
    private const ALIKE = 1e-6;

    /** @param float $step s, at most */
    public function __construct(
        private Furnace $furnace,
        private FanControl $control,
        private Calls $calls,
        private float $step = 1.0,
    ) {}

    /**
     * @param bool $traced    whether the course is kept
     * @param bool $untilTrip whether the first trip ends it
     */
    public function run(bool $traced = true, bool $untilTrip = false): HeatCycle
    {
        $f = $this->furnace;
        $metal = $limit = $f->airTemperature;
        $closed = true;
        $trips = $trace = [];
        $lockedOut = null;
        $hottest = $hottestLimit = $metal;
        $in = $out = $time = 0.0;
        $end = $this->calls->length() + max($this->control->runOn, 300.0);
        while ($time < $end) {
            $burner = $closed && $lockedOut === null && $this->calls->isCalling($time);
            $fan = $this->fanRuns($time) || (!$closed && $this->calls->limitRunsFan);
            if ($traced) {
                $trace[] = [$time, $metal, $limit, $fan, $burner, $closed];
            }
            $step = min($this->step, $this->untilSwitch($time), $end - $time);
            [$nextMetal, $nextLimit] = $this->after($step, $metal, $limit, $fan, $burner);
            $passes = static fn(float $at): bool => $closed ? $at >= $f->opens : $at <= $f->closes;
            if ($passes($nextLimit)) {
                [$low, $high] = [0.0, $step];
                for ($halving = 0; $halving < self::HALVINGS; ++$halving) {
                    $middle = 0.5 * ($low + $high);
                    [$low, $high] = $passes($this->after($middle, $metal, $limit, $fan, $burner)[1])
                        ? [$low, $middle]
                        : [$middle, $high];
                }
                $step = max($high, 1e-9);
                [$nextMetal, $nextLimit] = $this->after($step, $metal, $limit, $fan, $burner);
                $closed = !$closed;
                if (!$closed && ($this->calls->isCalling($time + $step) || $this->calls->countsIdleTrips)) {
                    $trips[] = $time + $step;
                    $lockedOut ??= \count($trips) >= $this->calls->lockOutAfter ? $time + $step : null;
                }
            }
            $in += $burner ? $f->burner * $step : 0.0;
            $out += $f->conductance($fan) * $this->excess($step, $metal, $fan, $burner);
            [$metal, $limit, $time] = [$nextMetal, $nextLimit, $time + $step];
            $hottest = max($hottest, $metal);
            $hottestLimit = max($hottestLimit, $limit);
            if ($untilTrip && $trips !== []) {
                break;
            }
        }

        return new HeatCycle(
            $trace,
            $trips,
            $lockedOut,
            $hottest,
            $hottestLimit,
            $in,
            $out,
            $f->metal * ($metal - $f->airTemperature),
        );
    }

    private function fanRuns(float $time): bool
    {
        $period = $this->calls->on + $this->calls->off;
        $at = fmod(min($time, $this->calls->length()), $period);
        $ended =
            $time >= $this->calls->length()
                ? $time - $this->calls->length() + $this->calls->off
                : $at - $this->calls->on;
        if ($time < $this->calls->length() && $at < $this->calls->on) {
            // A run-on from the call before may still last when the next one begins.
            return $at >= $this->control->startDelay ||
                ($time >= $period && $at + $this->calls->off < $this->control->runOn);
        }

        return $ended < $this->control->runOn && $this->calls->on > $this->control->startDelay;
    }

    /** Seconds until the call or the fan next changes by the clock. */
    private function untilSwitch(float $time): float
    {
        $period = $this->calls->on + $this->calls->off;
        $at = fmod($time, $period);
        $next = $period - $at;
        foreach (
            [
                $this->calls->on,
                $this->control->startDelay,
                $this->calls->on + $this->control->runOn,
                $this->control->runOn - $this->calls->off,
            ]
            as $event
        ) {
            $wait = fmod($event, $period) - $at;
            if ($wait > 1e-9) {
                $next = min($next, $wait);
            }
        }

        return max($next, 1e-9);
    }

    /**
     * Metal and limit after a time in which nothing switches.
     *
     * @return array{0: float, 1: float} °C
     */
    private function after(float $time, float $metal, float $limit, bool $fan, bool $burner): array
    {
        $f = $this->furnace;
        $conductance = $f->conductance($fan);
        $settled = $f->airTemperature + ($burner ? $f->burner / $conductance : 0.0);
        $relax = $f->metal / $conductance;
        $lag = $fan ? $f->lagMoving : $f->lagStill;
        $decay = exp(-$time / $relax);
        $ratio = $f->felt($f->airTemperature + 1.0, $fan) - $f->airTemperature;
        $target = $f->felt($settled, $fan);
        $away = $ratio * ($metal - $settled);
        // τ·Ts' = target + away·e^(−t/relax) − Ts
        $follow = exp(-$time / $lag);
        $drawn =
            abs($relax - $lag) < self::ALIKE * $lag
                ? (($away * $time) / $lag) * $follow
                : (($away * $relax) / ($relax - $lag)) * ($decay - $follow);

        return [$settled + ($metal - $settled) * $decay, $target + ($limit - $target) * $follow + $drawn];
    }

    /** Integral of the metal's excess over the air, in K·s. */
    private function excess(float $time, float $metal, bool $fan, bool $burner): float
    {
        $f = $this->furnace;
        $conductance = $f->conductance($fan);
        $settled = $burner ? $f->burner / $conductance : 0.0;
        $relax = $f->metal / $conductance;

        return $settled * $time + ($metal - $f->airTemperature - $settled) * $relax * (1.0 - exp(-$time / $relax));
    }
}
