<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Something a person sees, hears or feels, with its possible outcomes.
 */
final readonly class Observation
{
    /**
     * @param array<string, float> $usual chance of each outcome when no fault says otherwise; adds up to 1
     */
    public function __construct(public string $key, public array $usual) {}

    /** The outcome that is likeliest on a sound machine. */
    public function usually(): string
    {
        return (string) array_search(max([0.0, ...array_values($this->usual)]), $this->usual, true);
    }

    /**
     * Chances of something that changes while a place is moved, warm or knocked, as an entry of a fault's observations.
     *
     * @return array<string, array<string, float>>
     */
    public static function changing(string $key, float $chance): array
    {
        return [$key => ['steady' => 1.0 - $chance, 'changes' => $chance]];
    }
}
