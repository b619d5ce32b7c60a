<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Reading\Reading;

/**
 * What was read in one visit to a set-up: a fault that comes and goes shows in all of it or in none.
 *
 * Readings of one set-up belong together, whenever they were taken, unless what the machine did meanwhile was noted
 * otherwise. So the order in which readings stand does not matter.
 */
final readonly class Visit
{
    /**
     * @param string            $key          tells it from the others
     * @param bool|null         $misbehaved   whether the machine misbehaved meanwhile; null when nobody noted it
     * @param list<Reading>     $judged       what was seen or heard
     * @param list<Measurement> $measurements numbers
     * @param array<string, int> $times       how often what was seen or heard was judged, by test
     */
    private function __construct(
        public string $key,
        public string $setUp,
        public ?bool $misbehaved,
        public array $judged,
        public array $measurements,
        private array $times,
    ) {}

    /**
     * @param list<Reading> $readings
     *
     * @return list<self>
     */
    public static function all(CircuitModel $circuit, array $readings): array
    {
        $groups = [];
        foreach ($readings as $reading) {
            $test = $circuit->tests[$reading->test];
            $noted = $reading->misbehaved === null ? '' : ($reading->misbehaved ? 'yes' : 'no');
            $kind = $test->probe->quantity->isNumber() ? 'numbers' : 'judged';
            $groups["$test->setUp|{$reading->trust->value}|$noted"][$kind][] = $reading;
        }
        $visits = [];
        foreach ($groups as $key => $group) {
            $any = [...$group['numbers'] ?? [], ...$group['judged'] ?? []][0];
            $visits[] = new self(
                $key,
                $circuit->tests[$any->test]->setUp,
                $any->misbehaved,
                $group['judged'] ?? [],
                Measurement::all($circuit, $group['numbers'] ?? []),
                array_count_values(array_column($group['judged'] ?? [], 'test')),
            );
        }

        return $visits;
    }

    /** How many of what was seen or heard are of one test: the same eyes and ears judge alike again. */
    public function times(string $test): int
    {
        return $this->times[$test] ?? 0;
    }
}
