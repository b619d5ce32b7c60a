<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Which elements can carry current: those in a closed way that holds a source.
 */
final readonly class LiveParts
{
    private function __construct() {}

    /**
     * @param array<string, array{from: int, to: int, drives: bool}> $branches that conduct; node 0 is ground
     *
     * @return list<string> ids
     */
    public static function of(array $branches): array
    {
        $degree = [];
        foreach ($branches as ['from' => $a, 'to' => $b]) {
            $degree[$a] = ($degree[$a] ?? 0) + 1;
            $degree[$b] = ($degree[$b] ?? 0) + 1;
        }
        // What hangs on one node leads nowhere.
        do {
            $left = \count($branches);
            foreach ($branches as $id => ['from' => $a, 'to' => $b]) {
                if ($degree[$a] === 1 || $degree[$b] === 1) {
                    --$degree[$a];
                    --$degree[$b];
                    unset($branches[$id]);
                }
            }
        } while (\count($branches) < $left);

        return self::fed($branches);
    }

    /**
     * Parts that only ground joins work apart from each other.
     *
     * @param array<string, array{from: int, to: int, drives: bool}> $branches
     *
     * @return list<string>
     */
    private static function fed(array $branches): array
    {
        $most = 0;
        foreach ($branches as ['from' => $a, 'to' => $b]) {
            $most = max($most, $a, $b);
        }
        $parts = new PotentialForest($most + 1);
        foreach ($branches as ['from' => $a, 'to' => $b]) {
            if ($a !== 0 && $b !== 0) {
                $parts->join($a, $b, 0.0);
            }
        }
        $fed = [];
        foreach ($branches as ['from' => $a, 'to' => $b, 'drives' => $drives]) {
            if ($drives) {
                $fed[$parts->root($a === 0 ? $b : $a)] = true;
            }
        }
        $live = [];
        foreach ($branches as $id => ['from' => $a, 'to' => $b]) {
            if (isset($fed[$parts->root($a === 0 ? $b : $a)])) {
                $live[] = $id;
            }
        }

        return $live;
    }
}
