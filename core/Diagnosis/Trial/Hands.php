<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * Somebody who knows the machine and does what the words of a test say: where the leads go, what comes off, what is
 * bridged, in which position.
 *
 * What is known of the machine stands in hands/, one file a family, in terms of its elements and their ends. It was
 * written from the words and the drawings, not from the tests' own declarations, and is compared with those: words
 * that lead elsewhere than the circuit that is computed are a defect.
 */
final class Hands
{
    /** @var list<list<string>> a pattern that the words match, and what is then done; all that match are done */
    private array $doing;

    /** @var list<list<string>> a pattern, and where the leads go; the first that matches counts */
    private array $leads;

    /** @var list<list<string>> a pattern, and one of the key of the position that it names; the first that matches counts */
    private array $positions;

    private readonly Words $words;

    /** @var array<string, true> elements that the machine itself opens and closes, or that may fail */
    private readonly array $working;

    private function __construct(private readonly CircuitModel $circuit, string $family)
    {
        /** @var array{doing: list<list<string>>, leads: list<list<string>>, positions: list<list<string>>} $known */
        $known = json_decode(
            (string) file_get_contents(__DIR__ . "/hands/$family.json"),
            true,
            flags: \JSON_THROW_ON_ERROR,
        );
        ['doing' => $this->doing, 'leads' => $this->leads, 'positions' => $this->positions] = $known;
        $this->words = new Words($circuit);
        $working = [];
        foreach ($circuit->positions as $position) {
            foreach ($position->adjustments as $adjustment) {
                $working[explode('.', $adjustment->parameter)[0]] = true;
            }
        }
        foreach ($circuit->faults as $fault) {
            $working[$fault->element] = true;
        }
        $this->working = $working;
    }

    public static function of(CircuitModel $circuit): self
    {
        return new self($circuit, (string) (\is_string($circuit->identity[0]) ? $circuit->identity[0] : ''));
    }

    /** The circuit with its tests done as their words say: keys, faults and machines are the same. */
    public function circuit(): CircuitModel
    {
        $tests = $setUps = [];
        foreach ($this->circuit->tests as $test) {
            if ($test->probe->quantity === Quantity::Observation) {
                $tests[] = $test;
                continue;
            }
            $setUp = $this->setUp($test);
            $setUps[] = $setUp;
            $tests[] = $test->doneIn($setUp->key, $this->probe($test));
        }

        return $this->circuit->with(
            ['by hand'],
            tests: $tests,
            setUps: [...array_values($this->circuit->setUps), ...$setUps],
        );
    }

    /** Words of set-up and test together, as they stand on a card. */
    private function said(Test $test): string
    {
        $setUp = $this->circuit->setUps[$test->setUp];

        return ($setUp->text === null ? '' : $this->circuit->texts->get("setups.$setUp->text") . ' | ') .
            $this->words->test($test);
    }

    private function setUp(Test $test): SetUp
    {
        $declared = $this->circuit->setUps[$test->setUp];
        $said = $this->said($test);
        $position = $this->position($said, $declared->position);
        $adjustments = [];
        $dead = false;
        foreach ($this->doing as $deeds) {
            $pattern = array_shift($deeds);
            if (preg_match("~$pattern~", $said, $found) === 1 && $this->are($deeds)) {
                foreach (self::unasked($deeds) as $deed) {
                    $deed = self::filled($deed, ['position' => $position] + $found);
                    $dead = $dead || $deed === 'dead';
                    $adjustments = [...$adjustments, ...$this->done($deed, $declared)];
                }
            }
        }

        $setUp = new SetUp(
            "by hand: $test->key",
            $position,
            array_values($adjustments),
            $declared->text,
            $declared->kind,
            $declared->mover,
            $declared->atRest,
            // Isolated is what its words make dead, and no more: safety is checked on that.
            $dead && $declared->isolated,
            $declared->fedFrom,
            $declared->still,
            watchesDrive: $declared->watchesDrive,
        );

        return $dead ? $setUp->withoutSources($this->circuit->netlist) : $setUp;
    }

    /** The one that the words name; where they name none, that of the test. */
    private function position(string $said, string $declared): string
    {
        foreach ($this->positions as [$pattern, $key]) {
            if (preg_match("~$pattern~", $said, $found) === 1) {
                $wanted = self::filled($key, $found);
                foreach ($this->circuit->positions as $position => $_) {
                    if (preg_match("~^(?:$wanted)$~", (string) $position) === 1) {
                        return (string) $position;
                    }
                }
                throw new \LogicException("\"$said\" names a position that is not there: $wanted");
            }
        }

        return $declared;
    }

    /** @return array<string, Adjustment> by parameter, so that what is done later counts */
    private function done(string $deed, SetUp $declared): array
    {
        [$what, $about] = [...explode(' ', $deed, 2), ''];
        $words = explode(' ', $about);

        return match ($what) {
            'dead' => [],
            'open' => $this->opened($words),
            'close' => ["$words[0].ohms" => Adjustment::set("$words[0].ohms", (float) $words[1])],
            'bridge' => $this->bridged($words[0], $words[1], (float) $words[2]),
            // Its watts stand on the circuit page: only its ends are of the hook-up.
            'load' => self::given(
                [explode('.', (string) array_key_first($this->bridged($words[0], $words[1], 0.0)))[0]],
                $declared,
            ),
            'set' => [$words[0] => Adjustment::set($words[0], (float) $words[1])],
            'none' => [$words[0] => Adjustment::atMost($words[0], 0.0)],
            'share' => [$words[0] => Adjustment::follow($words[0], $words[1], (float) $words[2] / 100.0)],
            // What is no hook-up: how a shaft is turned by hand, how a bench supply is set.
            'given' => self::given($words, $declared),
            default => throw new \LogicException("Nobody can do \"$deed\"."),
        };
    }

    /**
     * @param list<string> $patterns names of elements, * for anything, "a-*~b-*" for each a- that has its b-
     *
     * @return array<string, Adjustment>
     */
    private function opened(array $patterns): array
    {
        $opened = [];
        foreach ($patterns as $pattern) {
            foreach ($this->elements($pattern) as $element) {
                $opened["$element->id.ohms"] = Adjustment::opened($element->id);
            }
        }

        return $opened;
    }

    /** @return list<Element> */
    private function elements(string $pattern): array
    {
        $parts = explode('~', $pattern);
        $named = $parts[0];
        $beside = $parts[1] ?? null;
        $wanted = '~^' . str_replace('\*', '(.*)', preg_quote($named, '~')) . '$~';
        $found = [];
        foreach ($this->circuit->netlist->elements as $element) {
            if (
                preg_match($wanted, $element->id, $part) === 1 &&
                ($beside === null || isset($this->circuit->netlist->elements[str_replace('*', $part[1], $beside)]))
            ) {
                $found[] = $element;
            }
        }

        return $found;
    }

    /**
     * Something put between two places: what the netlist keeps open there for it.
     *
     * @return array<string, Adjustment>
     */
    private function bridged(string $from, string $to, float $ohms): array
    {
        $ends = [$this->node($from), $this->node($to)];
        foreach ($this->circuit->netlist->elements as $element) {
            if (
                $element->type === ElementType::Resistor &&
                ($element->parameters['ohms'] ?? 0.0) >= Element::OPEN_OHMS &&
                !isset($this->working[$element->id]) &&
                \in_array($ends, [[$element->from, $element->to], [$element->to, $element->from]], true)
            ) {
                return ["$element->id.ohms" => Adjustment::set("$element->id.ohms", $ohms)];
            }
        }
        throw new \LogicException("Nothing can be put between $from and $to.");
    }

    /**
     * @param list<string> $patterns of elements
     *
     * @return array<string, Adjustment>
     */
    private static function given(array $patterns, SetUp $declared): array
    {
        $given = [];
        foreach ($declared->adjustments as $adjustment) {
            foreach ($patterns as $pattern) {
                if (fnmatch($pattern, explode('.', $adjustment->parameter)[0])) {
                    $given[$adjustment->parameter] = $adjustment;
                }
            }
        }

        return $given;
    }

    /** Where the leads or the clamp go. What is heard, or read off a part alone, has none. */
    private function probe(Test $test): Probe
    {
        $quantity = $test->probe->quantity;
        if (!\in_array($quantity, [Quantity::Volts, Quantity::Ohms, Quantity::Vacuum, Quantity::Amps], true)) {
            return $test->probe;
        }
        $said = $this->said($test);
        foreach ($this->leads as $ends) {
            $pattern = array_shift($ends);
            if (preg_match("~$pattern~", $said, $found) === 1 && $this->are($ends)) {
                $ends = array_map(static fn(string $end): string => self::filled($end, $found), self::unasked($ends));

                return match ($quantity) {
                    Quantity::Volts => Probe::volts($this->node($ends[0]), $this->node($ends[1])),
                    Quantity::Ohms => Probe::ohms($this->node($ends[0]), $this->node($ends[1])),
                    Quantity::Vacuum => Probe::vacuum($this->node($ends[0]), $this->node('earth')),
                    Quantity::Amps => Probe::amps($ends[0]),
                };
            }
        }
        throw new \LogicException("Nobody knows where the leads go: $said");
    }

    /**
     * Whether a machine is of the kind that is meant: "?a" has an element, "?!a" has none, "?a:1=b:2" two ends are one.
     *
     * @param list<string> $ends
     */
    private function are(array $ends): bool
    {
        $elements = $this->circuit->netlist->elements;
        foreach ($ends as $end) {
            if (!str_starts_with($end, '?')) {
                continue;
            }
            $asked = ltrim($end, '?!');
            $is = str_contains($asked, '=')
                ? $this->node(explode('=', $asked)[0]) === $this->node(explode('=', $asked)[1])
                : isset($elements[$asked]);
            if ($is === str_starts_with($end, '?!')) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<string> $all
     *
     * @return list<string> without what is asked of the machine
     */
    private static function unasked(array $all): array
    {
        return array_values(array_filter($all, static fn(string $one): bool => !str_starts_with($one, '?')));
    }

    /** @param string $end "element:1" for its first end, "element:2" for its second, "earth" */
    private function node(string $end): string
    {
        if ($end === 'earth') {
            return $this->circuit->netlist->ground;
        }
        [$id, $side] = explode(':', $end);
        $element = $this->circuit->netlist->elements[$id] ?? throw new \LogicException("There is no $id.");

        return $side === '1' ? $element->from : $element->to;
    }

    /** @param array<array-key, string> $found what a pattern caught, by number, and names besides */
    private static function filled(string $text, array $found): string
    {
        foreach ($found as $name => $value) {
            $text = str_replace('{' . $name . '}', $value, $text);
        }

        return $text;
    }
}
