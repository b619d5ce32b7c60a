<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * What is learned of how long, how dear and how lasting things are.
 */
enum TermKind: string
{
    case Test = 'test';
    case Access = 'access';
    case Fitting = 'fitting';
    case Price = 'price';
    case Lead = 'lead';
    case ComeBack = 'come-back';
    case Life = 'life';

    /** How many observations the shipped term is worth. */
    public function strength(): float
    {
        return match ($this) {
            self::Test, self::Access, self::Fitting => 4.0,
            self::Price => 2.0,
            self::Lead => 3.0,
            self::ComeBack => 20.0,
            self::Life => 2.0,
        };
    }

    /** Whether it is noted as a multiple of what ships. */
    public function isRatio(): bool
    {
        return match ($this) {
            self::Test, self::Access, self::Fitting, self::Price => true,
            default => false,
        };
    }

    /** Between which a term may be pinned. */
    public function most(): float
    {
        return match ($this) {
            self::ComeBack => 1.0,
            self::Life => 60.0,
            self::Lead => 365.0,
            self::Price => 100_000.0,
            default => 600.0,
        };
    }
}
