<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\PositionKind;

/**
 * What a fan does in one position, as a person hears it against what is right for that step.
 */
enum SpeedState: string
{
    case Right = 'right';
    case Slow = 'slow';
    case Fast = 'fast';
    case Dead = 'dead';
    case CutsOut = 'cuts-out';
    case Runs = 'runs';

    /** It stops where it is instead of going to its place of rest. */
    case Stays = 'stays';

    /** It passes its place of rest, perhaps several times, before it stops. */
    case Overruns = 'overruns';

    /**
     * Speed ratios from which people call it slow and fast, and how sharply that changes: a quarter of them each, from
     * the sharpest ears to the dullest.
     */
    private const SLOW_AT = [0.93, 0.905, 0.87, 0.82];
    private const FAST_AT = [1.07, 1.095, 1.13, 1.18];
    private const EAR = 0.015;

    /** Kinds of ears: whoever calls one position slow from so much on does so in the next. */
    public const EARS = 4;

    /** The same for the way to the place of rest, which is short and judged loosely. */
    private const PARKS_SLOW_AT = 0.6;
    private const PARKS_FAST_AT = 1.25;
    private const PARKING_EAR = 0.05;
    private const RESTED = 0.2;

    /** @return list<self> the states that make sense where this is right */
    public static function possible(PositionKind $kind): array
    {
        return match ($kind) {
            PositionKind::Runs => [self::Right, self::Slow, self::Fast, self::Dead, self::CutsOut],
            PositionKind::Stands => [self::Right, self::Runs],
            PositionKind::Parks, PositionKind::ParksFromAnywhere => [
                self::Right,
                self::Slow,
                self::Fast,
                self::Stays,
                self::Overruns,
                self::Runs,
            ],
            PositionKind::Holds => [self::Right, self::Dead, self::CutsOut],
        };
    }

    /**
     * Chance of each state for what the mover does.
     *
     * @param float $ratio speed over the right speed; where it should stand, over full speed; where it should
     *                     park, see {@see Parking}; NAN when it chatters
     * @param int|null $ear  whose, from 0 to under {@see EARS}; anybody's when null
     *
     * @return array<string, float> by state, adds up to 1
     */
    public static function chances(float $ratio, PositionKind $kind, ?int $ear = null): array
    {
        return match ($kind) {
            PositionKind::Runs => self::running($ratio, $ear),
            PositionKind::Stands => self::standing($ratio),
            PositionKind::Parks => self::parking($ratio, self::RESTED),
            PositionKind::ParksFromAnywhere => self::parking($ratio, self::RESTED ** 3),
            PositionKind::Holds => self::holding($ratio),
        };
    }

    /** @return array<string, float> */
    private static function standing(float $ratio): array
    {
        $runs = is_nan($ratio) ? 0.9 : 0.01 + 0.97 * self::rising(abs($ratio), 0.06, 0.01);

        return ['right' => 1.0 - $runs, 'runs' => $runs];
    }

    /** @return array<string, float> */
    private static function holding(float $ratio): array
    {
        return match (true) {
            is_nan($ratio) => ['right' => 0.08, 'dead' => 0.05, 'cuts-out' => 0.87],
            abs($ratio) > 0.5 => ['right' => 0.965, 'dead' => 0.005, 'cuts-out' => 0.03],
            default => ['right' => 0.005, 'dead' => 0.985, 'cuts-out' => 0.01],
        };
    }

    /**
     * @param float $rested chance that what stands dead stood at its place of rest whenever it was tried
     *
     * @return array<string, float>
     */
    private static function parking(float $code, float $rested): array
    {
        $even = [
            'right' => 0.005,
            'slow' => 0.005,
            'fast' => 0.005,
            'stays' => 0.005,
            'overruns' => 0.005,
            'runs' => 0.005,
        ];
        if (is_nan($code)) {
            return array_fill_keys(array_keys($even), 1.0 / \count($even));
        }
        if ($code >= Parking::OVERRUNS) {
            return ['overruns' => 0.905, 'runs' => 0.075] + $even;
        }
        if ($code >= Parking::NEVER_STOPS) {
            return ['runs' => 0.965, 'overruns' => 0.015] + $even;
        }
        $turns = self::rising($code, 0.07, 0.015);
        $fast = self::rising($code, self::PARKS_FAST_AT, self::PARKING_EAR);
        $slow = 1.0 - self::rising($code, self::PARKS_SLOW_AT, self::PARKING_EAR);
        $right = max(0.0, 1.0 - $fast - $slow);
        $share = (0.97 * $turns) / ($right + $fast + $slow);

        return [
            // What stands dead may have stopped at its place of rest before.
            'right' => 0.005 + $right * $share + $rested * (1.0 - $turns),
            'slow' => 0.005 + $slow * $share,
            'fast' => 0.005 + $fast * $share,
            'stays' => 0.005 + (0.97 - $rested) * (1.0 - $turns),
            'overruns' => 0.005,
            'runs' => 0.005,
        ];
    }

    /** @return array<string, float> */
    private static function running(float $ratio, ?int $ear): array
    {
        if (is_nan($ratio)) {
            return ['right' => 0.02, 'slow' => 0.05, 'fast' => 0.01, 'dead' => 0.07, 'cuts-out' => 0.85];
        }
        // A fan that creeps is called dead by some; one that stands is called dead by nearly all.
        $turns = self::rising($ratio, 0.07, 0.015);
        $fast = self::called($ratio, self::FAST_AT, $ear);
        $slow = 1.0 - self::called($ratio, self::SLOW_AT, $ear);
        $right = max(0.0, 1.0 - $fast - $slow);
        $heard = 0.985 / ($right + $fast + $slow);
        $floor = 0.001;

        return [
            'right' => $floor + $turns * $right * $heard * 0.995,
            'slow' => $floor + $turns * $slow * $heard * 0.995 + (1.0 - $turns) * 0.02,
            'fast' => $floor + $turns * $fast * $heard * 0.995,
            'dead' => $floor + (1.0 - $turns) * 0.96,
            'cuts-out' => 0.011,
        ];
    }

    /** @param list<float> $thresholds of several people */
    private static function called(float $ratio, array $thresholds, ?int $ear): float
    {
        if ($ear !== null) {
            return self::rising($ratio, $thresholds[$ear], self::EAR);
        }
        $sum = 0.0;
        foreach ($thresholds as $threshold) {
            $sum += self::rising($ratio, $threshold, self::EAR);
        }

        return $sum / \count($thresholds);
    }

    private static function rising(float $x, float $middle, float $width): float
    {
        return 1.0 / (1.0 + exp(($middle - $x) / $width));
    }
}
