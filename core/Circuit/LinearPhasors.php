<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * An alternating-current circuit with everything in it held as it is, solved for each set of its sources.
 */
final readonly class LinearPhasors
{
    /**
     * @param string                                      $shape       which elements are open
     * @param list<array{0: int, 1: int}>                 $conductive  pairs of nodes
     * @param array<string, array{0: float, 1: float}>    $admittances by conducting element, in S
     * @param array<string, array{0: float, 1: float}>    $emfs        of the sources, in V
     * @param list<list<array{0: float, 1: float}>>       $bySet       potentials in V: of the sources alone, of one volt a turn of flux in the main winding alone, and in the auxiliary winding alone
     */
    public function __construct(
        public string $shape,
        private array $conductive,
        public array $admittances,
        public array $emfs,
        public array $bySet,
    ) {
    }

    public function islands(int $nodes): PotentialForest
    {
        $islands = new PotentialForest($nodes);
        foreach ($this->conductive as [$a, $b]) {
            $islands->join($a, $b, 0.0);
        }

        return $islands;
    }
}
