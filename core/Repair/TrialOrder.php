<?php

declare(strict_types=1);

namespace Ispira\Core\Repair;

/**
 * In which order remedies are tried at the least expected cost, when exactly one of several suspects is true.
 *
 * Each attempt that is reached costs its money, and one that fails a come-back. Remedies may overlap: an assembly
 * cures what its module would, so an order by chance over cost is not enough. Found exactly over all sets of
 * what was tried (dynamic programming over subsets), for at most {@see MOST} options.
 */
final readonly class TrialOrder
{
    public const MOST = 8;

    /** Chance under which a suspect is left out. */
    private const NEGLIGIBLE = 1e-6;

    /**
     * @param list<Attempt> $attempts in their order
     * @param float         $money    expected to a machine that runs
     */
    private function __construct(public array $attempts, public float $money)
    {
    }

    /**
     * @param list<RemedyOption>   $options
     * @param array<string, float> $chances  by remedy of the suspect, adding up to 1
     * @param float                $comeBack money lost with an attempt that fails, beside its own
     */
    public static function best(array $options, array $chances, float $comeBack): self
    {
        $options = \array_slice($options, 0, self::MOST);
        $count = \count($options);
        $alive = array_keys(array_filter($chances, static fn (float $chance): bool => $chance > self::NEGLIGIBLE));
        $left = [];
        for ($set = 0; $set < 1 << $count; ++$set) {
            $left[$set] = self::left($options, $set, $alive, $chances);
        }
        $nothing = $left[(1 << $count) - 1];
        $cost = $next = [];
        for ($set = (1 << $count) - 1; $set >= 0; --$set) {
            // Nothing more is gained once what is left cannot be cured by any of them.
            $cost[$set] = $left[$set] - $nothing <= self::NEGLIGIBLE ? 0.0 : \INF;
            $next[$set] = null;
            for ($one = 0; $one < $count && $cost[$set] > 0.0; ++$one) {
                $after = $set | 1 << $one;
                if ($after === $set) {
                    continue;
                }
                $money = $left[$set] * $options[$one]->money + $left[$after] * $comeBack + $cost[$after];
                if ($money < $cost[$set]) {
                    [$cost[$set], $next[$set]] = [$money, $one];
                }
            }
        }
        $attempts = [];
        for ($set = 0; $next[$set] !== null; $set = $after) {
            $after = $set | 1 << $next[$set];
            $attempts[] = new Attempt($options[$next[$set]], $left[$set], $left[$set] - $left[$after]);
        }

        return new self($attempts, $cost[0]);
    }

    /**
     * Chance that the machine still does not run once a set of options was tried.
     *
     * @param list<RemedyOption>   $options
     * @param list<string>         $alive
     * @param array<string, float> $chances
     */
    private static function left(array $options, int $set, array $alive, array $chances): float
    {
        $left = 0.0;
        foreach ($alive as $suspect) {
            foreach ($options as $one => $option) {
                if (($set >> $one & 1) === 1 && \in_array($suspect, $option->cures, true)) {
                    continue 2;
                }
            }
            $left += $chances[$suspect];
        }

        return $left;
    }
}
