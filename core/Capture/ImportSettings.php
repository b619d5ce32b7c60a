<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * What a file does not say of itself.
 */
final readonly class ImportSettings
{
    /**
     * @param float|null $rate  samples a second, where the file has no times; null when it should say so itself
     * @param float      $volts at full scale of a sound file
     * @param float      $probe factor of the probe that was not set on the scope, such as 10
     */
    public function __construct(public ?float $rate = null, public float $volts = 1.0, public float $probe = 1.0) {}
}
