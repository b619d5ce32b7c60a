<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One degree of a fault.
 */
final readonly class Severity
{
    /**
     * @param list<Adjustment>     $adjustments
     * @param array<array-key, string> $acts       position → position whose contacts the control really makes
     */
    public function __construct(public array $adjustments, public array $acts = [], public float $share = 1.0) {}

    /**
     * The only degree of a fault.
     *
     * @return array{self}
     */
    public static function only(Adjustment ...$adjustments): array
    {
        return [new self(array_values($adjustments))];
    }

    /**
     * Even shares of degrees in which something is added to a parameter.
     *
     * @param non-empty-list<float> $amounts
     *
     * @return list<self>
     */
    public static function added(string $parameter, array $amounts): array
    {
        return array_map(
            static fn(float $amount): self => new self(
                [Adjustment::add($parameter, $amount)],
                share: 1.0 / \count($amounts),
            ),
            $amounts,
        );
    }
}
