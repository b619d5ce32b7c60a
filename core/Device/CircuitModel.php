<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Drawing\Sheet;

/**
 * Everything the engine and the pages need to know about one circuit.
 *
 * The netlist's own values are those of the sound circuit at rest: everything plugged in,
 * key on, selector off, no meter or lamp connected.
 */
final readonly class CircuitModel
{
    /** Raise this when predictions of the same declaration change. */
    private const VERSION = 9;

    /** Identifies the circuit: equal hashes predict alike. */
    public string $hash;

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

    /** @var list<Unknown> what nobody knows exactly about this circuit */
    public array $unknowns;

    /** @var list<Learnable> */
    public array $learnables;

    public Texts $texts;

    private Conductors $conducting;

    /** @var array<string, Observation> by key */
    public array $observations;

    /**
     * @param list<mixed>          $identity  family, and what else decides the circuit and is not declared in it
     * @param string               $supply    element parameter that is the supply voltage at no load
     * @param list<Unknown>        $unknowns  what nobody knows exactly about this circuit
     * @param \Closure(array<string, float>): array<string, float> $assign element parameters ("element.parameter") for
     *     values of the unknowns
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
     * @param list<Conductor>      $conductors what carries current and may come to carry it badly
     * @param Safety               $safety     what is dangerous about it
     * @param list<Fault>          $hookUp     how a part alone on the bench may be connected wrongly, by their odds
     * @param list<Learnable>      $learnables values that are told once readings have taught them; those of elements
     *     that this circuit does not have are left out
     */
    public function __construct(
        public array $identity,
        public Netlist $netlist,
        public string $supply,
        array $unknowns,
        private \Closure $assign,
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
        Texts $texts,
        public Safety $safety,
        array $conductors = [],
        array $learnables = [],
        public array $hookUp = [],
    ) {
        $this->learnables = self::present($learnables, $netlist);
        $this->conducting = new Conductors($conductors, $netlist, $places);
        $this->unknowns = $unknowns = [...$unknowns, ...$this->conducting->unknowns()];
        $this->texts = $texts->over(Conductors::texts());
        $faults = $this->conducting->faults($faults);
        $setUps = array_map(static fn(SetUp $s): SetUp => $s->isolated ? $s->withoutSources($netlist) : $s, $setUps);
        $this->hash = hash(
            'xxh128',
            serialize([$identity, self::VERSION, $netlist, $positions, $setUps, $tests, $faults, $unknowns]),
        );
        $this->positions = array_column($positions, null, 'key');
        $this->setUps = array_column($setUps, null, 'key');
        $this->tests = array_column($tests, null, 'key');
        foreach ($tests as $test) {
            $safety->check($test, $this->setUps[$test->setUp]);
        }
        $this->observations = array_column($observations, null, 'key');
        $this->faults = array_column($faults, null, 'key');
        $this->parts = array_column($parts, null, 'key');
    }

    /**
     * @param array<string, float> $unknowns values of the unknowns
     *
     * @return array<string, float> element parameters ("element.parameter")
     */
    public function assigned(array $unknowns): array
    {
        return $this->conducting->assigned(($this->assign)($unknowns), $unknowns);
    }

    /** The same with an element that its declaration does not have, for trials; its faults and tests stay. */
    public function withElement(Element $element): self
    {
        return $this->with(
            ['with', $element->id],
            netlist: new Netlist([...array_values($this->netlist->elements), $element]),
        );
    }

    /**
     * The same in other respects.
     *
     * @param list<mixed>           $identity what tells it from this one
     * @param list<Test>|null       $tests
     * @param list<Fault>|null      $faults   those of its conductors among them
     * @param list<FaultPair>|null  $pairs
     * @param list<CauseCheck>|null $causeChecks
     * @param list<Part>|null       $parts
     * @param list<SetUp>|null      $setUps
     */
    public function with(
        array $identity,
        ?Netlist $netlist = null,
        ?array $tests = null,
        ?array $faults = null,
        ?array $pairs = null,
        ?array $causeChecks = null,
        ?array $parts = null,
        ?array $setUps = null,
    ): self {
        return new self(
            identity: [...$this->identity, ...$identity],
            netlist: $netlist ?? $this->netlist,
            supply: $this->supply,
            unknowns: $this->unknowns,
            assign: $this->assigned(...),
            positions: array_values($this->positions),
            setUps: $setUps ?? array_values($this->setUps),
            tests: $tests ?? array_values($this->tests),
            observations: array_values($this->observations),
            faults: $faults ?? array_values($this->faults),
            pairs: $pairs ?? $this->pairs,
            parts: $parts ?? array_values($this->parts),
            causeChecks: $causeChecks ?? $this->causeChecks,
            accessMinutes: $this->accessMinutes,
            places: $this->places,
            sheet: $this->sheet,
            texts: $this->texts,
            safety: $this->safety,
            learnables: $this->learnables,
            hookUp: $this->hookUp,
        );
    }

    /**
     * @param list<Learnable> $learnables
     *
     * @return list<Learnable>
     */
    private static function present(array $learnables, Netlist $netlist): array
    {
        $has = static function (string $parameter) use ($netlist): bool {
            [$element, $name] = explode('.', $parameter, 2);

            return isset($netlist->elements[$element]->parameters[$name]);
        };

        return array_values(
            array_filter(
                $learnables,
                static fn(Learnable $l): bool => \count(array_filter($l->parameters, $has)) === \count($l->parameters),
            ),
        );
    }

    /** Whether a test looks at a part, or measures it or at its ends. */
    public function touches(Test $test, string $part): bool
    {
        foreach ($this->faults as $fault) {
            if ($fault->part !== $part) {
                continue;
            }
            if ($test->probe->quantity === Quantity::Observation) {
                if (isset($fault->observed[$test->probe->at])) {
                    return true;
                }
                continue;
            }
            $element = $this->netlist->elements[$fault->element] ?? null;
            $ends = $element === null ? [] : array_diff([$element->id, $element->from, $element->to], ['0']);
            if (array_intersect([$test->probe->at, $test->probe->against], $ends) !== []) {
                return true;
            }
        }

        return false;
    }

    /** The last position, the highest speed of a fan, with everything plugged in. */
    public function highest(): SetUp
    {
        return $this->setUps[(string) array_key_last($this->positions)];
    }

    /** What stands at a place of it: volts, or the vacuum of hoses. */
    public function potential(): Quantity
    {
        return $this->texts->find('potential.unit') === Quantity::Vacuum->unit() ? Quantity::Vacuum : Quantity::Volts;
    }

    /** Whether a meter reads a quantity of it as alternating, which has no sign. */
    public function alternates(Quantity $quantity): bool
    {
        return $this->netlist->alternates() && \in_array($quantity, [Quantity::Volts, Quantity::Amps], true);
    }

    /** The speed-map test of a position. */
    public function speedTest(string $position): Test
    {
        return $this->tests["speed@$position"];
    }

    /** A test that listens to what moves in a set-up. */
    public function movingTest(string $setUpKey): Test
    {
        return new Test("moving@$setUpKey", '', $setUpKey, Probe::speed($this->moverIn($this->setUps[$setUpKey])), 0.0);
    }

    /**
     * Minutes of a test with what must still be reached for it.
     *
     * @param list<string> $opened places already reached
     */
    public function minutes(Test $test, array $opened): float
    {
        $minutes = $test->minutes;
        foreach (array_diff($test->access, $opened) as $place) {
            $minutes += $this->accessMinutes[$place];
        }

        return $minutes;
    }

    /** @return list<string> keys of the cautions before a test */
    public function cautions(Test $test): array
    {
        $setUp = $this->setUps[$test->setUp] ?? null;

        return $setUp === null ? $test->cautions : $this->safety->cautions($test, $setUp, $this->kindIn($test));
    }

    /** What is right during a test. */
    public function kindIn(Test $test): PositionKind
    {
        return $this->kindOf($this->setUps[$test->setUp]);
    }

    /** What is right in a set-up. */
    public function kindOf(SetUp $setUp): PositionKind
    {
        return $setUp->kind ?? $this->positions[$setUp->position]->kind;
    }

    /** The element that moves in a set-up. */
    public function moverIn(SetUp $setUp): string
    {
        return $setUp->mover ?? $this->positions[$setUp->position]->mover;
    }

    /** The set-up in which a mover goes fastest: that of its last position. */
    public function fullSpeedSetUp(string $mover): SetUp
    {
        $last = null;
        foreach ($this->positions as $key => $position) {
            if ($position->mover === $mover || $last === null) {
                $last = $this->setUps[(string) $key];
            }
        }

        return $last ?? throw new \LogicException('A circuit without positions.');
    }

    /**
     * The mover whose full speed a heard speed is compared with: the one of the test's position, when the test watches
     * another that stands for it.
     */
    public function fullSpeedMover(Test $test): string
    {
        foreach ($this->positions as $position) {
            if ($position->mover === $test->probe->at) {
                return $test->probe->at;
            }
        }

        return $this->positions[$this->setUps[$test->setUp]->position]->mover;
    }
}
