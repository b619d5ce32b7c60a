<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * In which order remedies are tried at the least expected cost, when exactly one of several suspects is true.
 *
 * Each attempt that is reached costs its money, and one that fails a come-back and what is lost with the wrong part.
 * Remedies may overlap: an assembly
 * cures what its module would, so an order by chance over cost is not enough. Found exactly over all sets of
 * what was tried (dynamic programming over subsets), for at most {@see MOST} options.
 */
final readonly class TrialOrder
{
    public const MOST = 10;

    /** Chance under which a suspect is left out. */
    private const NEGLIGIBLE = 1e-6;

    /**
     * @param list<Attempt> $attempts in their order
     * @param float         $money    expected to a machine that runs
     */
    private function __construct(public array $attempts, public float $money) {}

    /**
     * @param list<RemedyOption>   $options
     * @param array<string, float> $chances  by remedy of the suspect, adding up to 1
     * @param float                $comeBack money lost with an attempt that fails, beside its own
     */
    public static function best(array $options, array $chances, float $comeBack): self
    {
        $options = \array_slice($options, 0, self::MOST);
        $count = \count($options);
        $cured = self::byCure($options, $chances);
        $left = [];
        for ($set = 0; $set < 1 << $count; ++$set) {
            $left[$set] = 0.0;
            foreach ($cured as $by => $chance) {
                if (($by & $set) === 0) {
                    $left[$set] += $chance;
                }
            }
        }
        $nothing = $left[(1 << $count) - 1];
        $cost = $next = [];
        for ($set = (1 << $count) - 1; $set >= 0; --$set) {
            // Nothing more is gained once what is left cannot be cured by any of them.
            $cost[$set] = $left[$set] - $nothing <= self::NEGLIGIBLE ? 0.0 : \INF;
            $next[$set] = null;
            for ($one = 0; $one < $count && $cost[$set] > 0.0; ++$one) {
                $after = $set | (1 << $one);
                if ($after === $set) {
                    continue;
                }
                $money =
                    $left[$set] * $options[$one]->money +
                    $left[$after] * ($comeBack + $options[$one]->lost) +
                    $cost[$after];
                if ($money < $cost[$set]) {
                    [$cost[$set], $next[$set]] = [$money, $one];
                }
            }
        }
        $attempts = [];
        for ($set = 0; $next[$set] !== null; $set = $after) {
            $after = $set | (1 << $next[$set]);
            $attempts[] = new Attempt($options[$next[$set]], $left[$set], $left[$set] - $left[$after]);
        }

        return new self($attempts, $cost[0]);
    }

    /**
     * The chances of the suspects, added up by the set of options that would cure them.
     *
     * @param list<RemedyOption>   $options
     * @param array<string, float> $chances
     *
     * @return array<int, float>
     */
    private static function byCure(array $options, array $chances): array
    {
        $cured = [];
        foreach ($chances as $suspect => $chance) {
            $by = 0;
            foreach ($options as $one => $option) {
                $by |= \in_array($suspect, $option->cures, true) ? 1 << $one : 0;
            }
            $cured[$by] = ($cured[$by] ?? 0.0) + $chance;
        }

        return $cured;
    }
}
