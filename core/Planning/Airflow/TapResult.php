<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * What one tap does in a system.
 */
final readonly class TapResult
{
    /**
     * @param float|null $flow     m³/s; null when its curve does not cross the system's inside the table
     * @param float|null $pressure Pa
     * @param float|null $rise     K
     */
    public function __construct(
        public string $tap,
        public ?float $flow,
        public ?float $pressure,
        public ?float $rise,
    ) {}

    /**
     * @param list<TapCurve> $curves
     *
     * @return list<self> one a tap
     */
    public static function all(array $curves, SystemCurve $system, float $watts, float $density): array
    {
        return array_map(static function (TapCurve $curve) use ($system, $watts, $density): self {
            $point = $curve->crossing($system->k);

            return new self(
                $curve->tap,
                $point['flow'] ?? null,
                $point['pressure'] ?? null,
                $point === null ? null : AirHeating::rise($watts, $point['flow'], $density),
            );
        }, $curves);
    }

    /** @param array{0: float, 1: float} $range in K */
    public function isInside(array $range): bool
    {
        return $this->rise !== null && $this->rise >= $range[0] && $this->rise <= $range[1];
    }
}
