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
     * Even slices of a range of degrees, on a logarithmic scale.
     *
     * @param \Closure(float, float): Adjustment $between what changes for a slice, from its least to its most
     * @param Adjustment                         ...$also what every degree has besides
     *
     * @return list<self>
     */
    private static function sliced(
        \Closure $between,
        float $least,
        float $most,
        int $slices,
        Adjustment ...$also,
    ): array {
        $sliced = [];
        $step = ($most / $least) ** (1.0 / $slices);
        for ($slice = 0; $slice < $slices; ++$slice) {
            $from = $least * $step ** $slice;
            $sliced[] = new self([$between($from, $from * $step), ...array_values($also)], share: 1.0 / $slices);
        }

        return $sliced;
    }

    /**
     * Resistance in a conductor of the circuit: in the degrees of its kind, see {@see Conductors::faults()}.
     *
     * @return array{self}
     */
    public static function resistance(string $element): array
    {
        return self::only(Adjustment::add("$element.ohms", 1.0));
    }

    /**
     * Degrees in which something is added to a parameter, from slight to severe.
     *
     * @return list<self>
     */
    public static function adding(
        string $parameter,
        float $least,
        float $most,
        int $slices = 4,
        Adjustment ...$also,
    ): array {
        return self::sliced(
            static fn(float $from, float $to): Adjustment => Adjustment::addedWithin($parameter, $from, $to),
            $least,
            $most,
            $slices,
            ...$also,
        );
    }

    /**
     * Degrees in which a parameter is multiplied by something between two factors above zero.
     *
     * @return list<self>
     */
    public static function scaling(
        string $parameter,
        float $least,
        float $most,
        int $slices = 4,
        Adjustment ...$also,
    ): array {
        return self::sliced(
            static fn(float $from, float $to): Adjustment => Adjustment::scaledWithin($parameter, $from, $to),
            $least,
            $most,
            $slices,
            ...$also,
        );
    }

    /**
     * Degrees in which a parameter takes the value of another one, times something between two factors.
     *
     * @return list<self>
     */
    public static function following(
        string $parameter,
        string $source,
        float $least,
        float $most,
        int $slices = 4,
        Adjustment ...$also,
    ): array {
        return self::sliced(
            static fn(float $from, float $to): Adjustment => Adjustment::followedWithin(
                $parameter,
                $source,
                $from,
                $to,
            ),
            $least,
            $most,
            $slices,
            ...$also,
        );
    }

    /**
     * Degrees in which a parameter is at most something between two values: leaks, shorts that are none quite.
     *
     * @return list<self>
     */
    public static function limiting(
        string $parameter,
        float $least,
        float $most,
        int $slices = 4,
        Adjustment ...$also,
    ): array {
        return self::sliced(
            static fn(float $from, float $to): Adjustment => Adjustment::atMostWithin($parameter, $from, $to),
            $least,
            $most,
            $slices,
            ...$also,
        );
    }

    /**
     * Ranges of degrees that grow together, slice by slice.
     *
     * @param list<self> $first
     * @param list<self> $second as many slices
     *
     * @return list<self>
     */
    public static function joined(array $first, array $second): array
    {
        return array_map(
            static fn(self $one, self $other): self => new self(
                [...$one->adjustments, ...$other->adjustments],
                $one->acts + $other->acts,
                $one->share,
            ),
            $first,
            $second,
        );
    }

    /**
     * Several ranges of one fault, each with its share of the cases.
     *
     * @param array{0: float, 1: list<self>} ...$ranges
     *
     * @return list<self>
     */
    public static function shared(array ...$ranges): array
    {
        $all = [];
        foreach ($ranges as [$share, $severities]) {
            foreach ($severities as $severity) {
                $all[] = new self($severity->adjustments, $severity->acts, $share * $severity->share);
            }
        }

        return $all;
    }

    /**
     * The same range of degrees in two slices, where more would only multiply.
     *
     * @param list<self> $severities
     *
     * @return list<self>
     */
    public static function coarse(array $severities): array
    {
        $count = \count($severities);
        if ($count <= 2) {
            return $severities;
        }
        $coarse = [];
        foreach ([intdiv($count, 4), $count - 1 - intdiv($count, 4)] as $slice) {
            $severity = $severities[$slice];
            $wider = array_map(
                static fn(Adjustment $a): Adjustment => $a->widened($count / 2.0),
                $severity->adjustments,
            );
            $coarse[] = new self($wider, $severity->acts, 0.5);
        }

        return $coarse;
    }
}
