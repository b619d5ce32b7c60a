<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\RandomSource;

/**
 * A path between two places that no drawing joins: a fault that no family lists.
 */
final readonly class Leak
{
    private const ELEMENT = 'foreign';

    public function __construct(public string $from, public string $to, public float $ohms) {}

    public static function drawn(CircuitModel $circuit, RandomSource $chance): self
    {
        [$from, $to] = self::apart($circuit, $chance);

        return new self($from, $to, exp($chance->between(log(0.2), log(50.0))));
    }

    public function element(): Element
    {
        return Element::resistor(self::ELEMENT, $this->from, $this->to, $this->ohms);
    }

    /** A circuit that has the leak, without it: what is right there. */
    public static function without(): Hypothesis
    {
        return new Hypothesis(HypothesisList::NOTHING_WRONG, [], [], 1.0, [Adjustment::opened(self::ELEMENT)]);
    }

    /** @return list<string> remedies that find it: whoever names what the leak hangs on has found it */
    public function right(CircuitModel $circuit): array
    {
        return [
            HypothesisList::SOMETHING_ELSE,
            ...self::partsAt($circuit, $this->from),
            ...self::partsAt($circuit, $this->to),
        ];
    }

    /**
     * Two places that a meter reaches and no element joins: a leak between others would be a fault of what lies there.
     *
     * @return array{0: string, 1: string}
     */
    private static function apart(CircuitModel $circuit, RandomSource $chance): array
    {
        $reached = [];
        foreach ($circuit->tests as $test) {
            if ($test->probe->against !== '') {
                $reached[$test->probe->at] = true;
                $reached[$test->probe->against] = true;
            }
        }
        $joined = [];
        foreach ($circuit->netlist->elements as $element) {
            $joined["$element->from|$element->to"] = $joined["$element->to|$element->from"] = true;
        }
        $nodes = array_map(strval(...), array_keys($reached));
        while (true) {
            [$from, $to] = $chance->shuffled($nodes);
            if (!isset($joined["$from|$to"])) {
                return [$from, $to];
            }
        }
    }

    /** @return list<string> parts with an element at a node; ground and the supply are everywhere */
    private static function partsAt(CircuitModel $circuit, string $node): array
    {
        $parts = [];
        foreach ($circuit->netlist->elements as $element) {
            if (
                !\in_array($node, ['0', 'battery', 'R', 'L'], true) &&
                \in_array($node, [$element->from, $element->to], true)
            ) {
                array_push($parts, ...self::partsOf($circuit, $element->id));
            }
        }

        return $parts;
    }

    /** @return list<string> */
    public static function partsOf(CircuitModel $circuit, string $element): array
    {
        $parts = [];
        foreach ($circuit->faults as $fault) {
            if ($fault->element === $element) {
                $parts[$fault->part] = $fault->part;
            }
        }

        return array_values($parts);
    }
}
