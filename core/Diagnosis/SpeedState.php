<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

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

    /** Speed ratio around which half of all people call it slow, and how sharply that changes. */
    private const SLOW_AT = 0.89;
    private const FAST_AT = 1.11;
    private const EAR = 0.03;

    /** @return list<self> the states that make sense where the fan should run or should stand */
    public static function possible(bool $shouldRun): array
    {
        return $shouldRun ? [self::Right, self::Slow, self::Fast, self::Dead, self::CutsOut] : [self::Right, self::Runs];
    }

    /**
     * Chance of each state for a speed, as a ratio to the speed that is right.
     *
     * @param float $ratio speed over the right speed; where the fan should stand, over full speed; NAN when it chatters
     *
     * @return array<string, float> by state, adds up to 1
     */
    public static function chances(float $ratio, bool $shouldRun): array
    {
        if (!$shouldRun) {
            $runs = is_nan($ratio) ? 0.9 : 0.01 + 0.97 * self::rising(abs($ratio), 0.06, 0.01);

            return ['right' => 1.0 - $runs, 'runs' => $runs];
        }
        if (is_nan($ratio)) {
            return ['right' => 0.02, 'slow' => 0.05, 'fast' => 0.01, 'dead' => 0.07, 'cuts-out' => 0.85];
        }
        // A fan that creeps is called dead by some; one that stands is called dead by nearly all.
        $turns = self::rising($ratio, 0.07, 0.015);
        $fast = self::rising($ratio, self::FAST_AT, self::EAR);
        $slow = 1.0 - self::rising($ratio, self::SLOW_AT, self::EAR);
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

    private static function rising(float $x, float $middle, float $width): float
    {
        return 1.0 / (1.0 + exp(($middle - $x) / $width));
    }
}
