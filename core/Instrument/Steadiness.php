<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * Whether a row of samples has come to rest, and on what.
 */
final readonly class Steadiness
{
    /** Samples at the end of the row that must agree. */
    private const AGREE = 5;

    /** Samples after which what did not come to rest counts as wandering. */
    private const PATIENCE = 15;

    /** Part of the meter's and hook-up's spread within which samples agree. */
    private const WITHIN = 0.6;

    /**
     * @param float|null $value   mean of the last samples, null for over-range
     * @param bool       $held    whether it has come to rest
     * @param bool       $wanders whether it should have by now and did not
     */
    private function __construct(public ?float $value, public bool $held, public bool $wanders) {}

    /** @param non-empty-list<float|null> $samples oldest first */
    public static function of(array $samples, Quantity $quantity): self
    {
        $last = \array_slice($samples, -self::AGREE);
        $numbers = array_values(array_filter($last, static fn(?float $one): bool => $one !== null));
        $patient = \count($samples) < self::PATIENCE;
        if ($numbers === []) {
            return new self(null, \count($last) === self::AGREE, false);
        }
        $mean = array_sum($numbers) / \count($numbers);
        if (\count($numbers) < \count($last)) {
            return new self($mean, false, !$patient);
        }
        $spread = max($numbers) - min($numbers);
        $held = \count($last) === self::AGREE && $spread <= self::WITHIN * MeterAccuracy::spread($quantity, $mean);

        return new self($mean, $held, !$held && !$patient);
    }
}
