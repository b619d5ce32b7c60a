<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How a test lamp burns.
 */
enum LampState: string
{
    case Bright = 'bright';
    case Dim = 'dim';
    case Dark = 'dark';

    /**
     * Share of full voltage around which half of all people call a lamp bright, and lit at all; a lamp is dark long
     * before its voltage is gone.
     */
    private const BRIGHT_AT = 0.8;
    private const LIT_AT = 0.2;
    private const EYE = 0.035;

    /**
     * @param float $share of the voltage at which it burns brightest
     *
     * @return array<string, float> by state, adds up to 1
     */
    public static function chances(float $share): array
    {
        $lit = 1.0 / (1.0 + exp((self::LIT_AT - $share) / self::EYE));
        $bright = 1.0 / (1.0 + exp((self::BRIGHT_AT - $share) / self::EYE));
        $even = 0.005;

        return [
            'bright' => $even + 0.985 * $bright,
            'dim' => $even + 0.985 * max(0.0, $lit - $bright),
            'dark' => $even + 0.985 * (1.0 - $lit),
        ];
    }
}
