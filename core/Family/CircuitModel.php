<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

use Ispira\Core\Circuit\Netlist;

/**
 * Everything the engine and the pages need to know about one circuit.
 *
 * The netlist's own values are those of the sound circuit at rest: everything plugged in,
 * key on, selector off, no meter or lamp connected.
 */
final readonly class CircuitModel
{
    /** @var array<array-key, Position> by key */
    public array $positions;

    /** @var array<array-key, SetUp> by key */
    public array $setUps;

    /** @var array<string, Test> by key */
    public array $tests;

    /** @var array<string, Fault> by key */
    public array $faults;

    /** @var array<string, Part> by key */
    public array $parts;

    /** @var array<string, Observation> by key */
    public array $observations;

    /**
     * @param string               $hash      identifies family, version and values: equal hashes predict alike
     * @param string               $motor     id of the motor whose speed is heard
     * @param string               $supply    element parameter that is the supply voltage at no load
     * @param list<Unknown>        $unknowns  what nobody knows exactly about this circuit
     * @param \Closure(array<string, float>): array<string, float> $assign element parameters ("element.parameter") for values of the unknowns
     * @param list<Position>       $positions in the order of the selector, key-off and off first
     * @param list<SetUp>          $setUps
     * @param list<Test>           $tests
     * @param list<Observation>    $observations things seen, heard or felt
     * @param list<Fault>          $faults
     * @param list<FaultPair>      $pairs     cause and effect that occur together
     * @param list<Part>           $parts
     * @param list<CauseCheck>     $causeChecks
     * @param array<array-key, string> $places    where each node is found, in words
     * @param array<string, float> $accessMinutes minutes to reach each place named by a test
     */
    public function __construct(
        public string $hash,
        public Netlist $netlist,
        public string $motor,
        public string $supply,
        public array $unknowns,
        public \Closure $assign,
        array $positions,
        array $setUps,
        array $tests,
        array $observations,
        array $faults,
        public array $pairs,
        array $parts,
        public array $causeChecks,
        public array $accessMinutes,
        public array $places,
        public Sheet $sheet,
        public Texts $texts,
    ) {
        $this->positions = array_column($positions, null, 'key');
        $this->setUps = array_column($setUps, null, 'key');
        $this->tests = array_column($tests, null, 'key');
        $this->observations = array_column($observations, null, 'key');
        $this->faults = array_column($faults, null, 'key');
        $this->parts = array_column($parts, null, 'key');
    }

    /** The speed-map test of a position. */
    public function speedTest(string $position): Test
    {
        return $this->tests["speed@$position"];
    }

    /** Whether the fan runs during a test when nothing is wrong. */
    public function runsIn(Test $test): bool
    {
        $setUp = $this->setUps[$test->setUp];

        return $setUp->runs || $this->positions[$setUp->position]->runs;
    }
}
