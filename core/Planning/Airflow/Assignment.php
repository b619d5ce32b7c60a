<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * Which call runs on which tap.
 */
final readonly class Assignment
{
    /** Airflow in m³/s for each W of cooling: 400 CFM a ton of 3517 W. */
    public const COOLING_FLOW = (400.0 * 0.3048 ** 3) / 60.0 / 3517.0;

    public const COOLING_LEAST = (350.0 / 400.0) * self::COOLING_FLOW;
    public const COOLING_MOST = (450.0 / 400.0) * self::COOLING_FLOW;

    /** @param array<string, string> $taps by call: heat, cool, fan */
    public function __construct(public array $taps) {}

    /**
     * Heat on the tap whose rise stands nearest to the middle of the plate's range, cooling on the faster one nearest
     * to
     * 400 CFM a ton, the fan on the slowest that is left. No tap twice: two calls at once would feed two taps.
     *
     * @param list<TapResult>           $results
     * @param array{0: float, 1: float} $range   of the rise, in K
     * @param float|null                $cooling W; null without cooling
     *
     * @return self|null null when no tap gives a rise inside the range
     */
    public static function proposed(array $results, array $range, ?float $cooling, bool $fan): ?self
    {
        $usable = array_values(array_filter($results, static fn(TapResult $r): bool => $r->flow !== null));
        $inside = array_values(array_filter($usable, static fn(TapResult $r): bool => $r->isInside($range)));
        usort(
            $inside,
            static fn(TapResult $a, TapResult $b): int => abs((float) $a->rise - array_sum($range) / 2.0) <=>
                abs((float) $b->rise - array_sum($range) / 2.0),
        );
        if ($inside === []) {
            return null;
        }
        $taps = ['heat' => $inside[0]->tap];
        foreach ($cooling === null ? [] : $inside as $heat) {
            $faster = array_values(
                array_filter($usable, static fn(TapResult $r): bool => (float) $r->flow > (float) $heat->flow),
            );
            usort(
                $faster,
                static fn(TapResult $a, TapResult $b): int => abs((float) $a->flow - $cooling * self::COOLING_FLOW) <=>
                    abs((float) $b->flow - $cooling * self::COOLING_FLOW),
            );
            if ($faster !== []) {
                $taps = ['heat' => $heat->tap, 'cool' => $faster[0]->tap];
                break;
            }
        }
        if ($fan) {
            $left = array_values(
                array_filter($usable, static fn(TapResult $r): bool => !\in_array($r->tap, $taps, true)),
            );
            usort($left, static fn(TapResult $a, TapResult $b): int => (float) $a->flow <=> (float) $b->flow);
            if ($left !== []) {
                $taps['fan'] = $left[0]->tap;
            }
        }

        return new self($taps);
    }

    /**
     * Two calls on one tap, where there are any.
     *
     * @return array{0: string, 1: string, 2: string}|null the calls and the tap
     */
    public function joined(): ?array
    {
        $seen = [];
        foreach ($this->taps as $call => $tap) {
            if (isset($seen[$tap])) {
                return [$seen[$tap], $call, $tap];
            }
            $seen[$tap] = $call;
        }

        return null;
    }

    /**
     * What has to move: call, from, to.
     *
     * @return list<array{0: string, 1: string, 2: string}>
     */
    public function movesTo(self $other): array
    {
        $moves = [];
        foreach ($other->taps as $call => $tap) {
            $now = $this->taps[$call] ?? null;
            if ($now !== null && $now !== $tap) {
                $moves[] = [$call, $now, $tap];
            }
        }

        return $moves;
    }
}
