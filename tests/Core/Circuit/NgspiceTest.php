<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\PhasorSolver;
use PHPUnit\Framework\TestCase;
use Tests\Core\Ngspice;

/**
 * Cross-check of random networks against an independent circuit simulator.
 *
 * Many networks go into one deck, each with node names of its own.
 */
final class NgspiceTest extends TestCase
{
    private const LINEAR = 500;
    private const ALTERNATING = 500;
    private const WITH_MOTORS = 500;

    public function testRandomLinearNetworks(): void
    {
        mt_srand(20);
        $netlists = [];
        for ($n = 0; $n < self::LINEAR; ++$n) {
            $netlists[] = $this->randomNetlist(mt_rand(3, 9), 0);
        }
        $this->compare($netlists, 1e-6, 1e-9);
    }

    public function testRandomNetworksWithMotors(): void
    {
        mt_srand(21);
        $netlists = [];
        for ($n = 0; $n < self::WITH_MOTORS; ++$n) {
            $netlists[] = $this->randomNetlist(mt_rand(3, 7), mt_rand(1, 2));
        }
        $this->compare($netlists, 1e-3, 2e-3);
    }

    public function testRandomAlternatingNetworks(): void
    {
        mt_srand(22);
        $deck = ['* random alternating networks', '.options reltol=1e-9 abstol=1e-14 vntol=1e-11 gmin=1e-15'];
        $wanted = [];
        $points = [];
        for ($number = 0; $number < self::ALTERNATING; ++$number) {
            $netlist = $this->alternatingNetlist(mt_rand(3, 8));
            $at = static fn(string $node): string => $node === '0' ? '0' : "x{$number}_$node";
            foreach ($netlist->elements as $element) {
                array_push($deck, ...$this->alternatingLines($element, "{$number}_$element->id", $at));
            }
            $points[] = (new PhasorSolver($netlist))->solve();
            foreach (\array_slice($netlist->nodes, 1) as $node) {
                $wanted[$at($node)] = [$number, $node];
            }
        }
        $deck = [
            ...$deck,
            '.control',
            'set numdgt=14',
            'ac lin 1 60 60',
            ...array_map(static fn(string $node): string => "print vm($node)", array_keys($wanted)),
            '.endc',
            '.end',
            '',
        ];
        foreach ($this->simulated($deck, '/vm\((x\d+_\w+)\) = (\S+)/', $wanted) as [, $node, $value]) {
            [$number, $name] = $wanted[$node];
            self::assertEqualsWithDelta(
                (float) $value,
                $points[$number]->voltageBetween($name, '0'),
                1e-9 + 1e-4 * abs((float) $value),
                "network $number, node $name",
            );
        }
    }

    private function alternatingNetlist(int $nodes): Netlist
    {
        $name = static fn(int $n): string => $n === 0 ? '0' : "n$n";
        $elements = [Element::alternatingSource('V0', 'n1', '0', $this->random(6, 240), $this->random(0.1, 3))];
        for ($n = 2; $n <= $nodes; ++$n) {
            $elements[] = Element::resistor("T$n", $name($n), $name(mt_rand(1, $n - 1)), 10 ** $this->random(-2, 3));
        }
        for ($n = 0; $n < $nodes; ++$n) {
            $a = mt_rand(1, $nodes);
            $b = mt_rand(0, $a - 1);
            $elements[] = Element::impedance(
                "Z$n",
                $name($a),
                $name($b),
                10 ** $this->random(-1, 2),
                $this->random(-200, 200),
            );
        }

        return new Netlist($elements);
    }

    /**
     * @param \Closure(string): string $at
     *
     * @return list<string>
     */
    private function alternatingLines(Element $element, string $id, \Closure $at): array
    {
        $a = $at($element->from);
        $b = $at($element->to);
        $p = $element->parameters;
        $turns = 2.0 * \M_PI * 60.0;

        return match ($element->type) {
            ElementType::AlternatingSource => ["V$id s$id $b dc 0 ac {$p['volts']}", "Rs$id $a s$id {$p['ohms']}"],
            ElementType::Impedance => [
                "R$id $a m$id {$p['ohms']}",
                $p['reactance'] > 0.0
                    ? "L$id m$id $b " . $p['reactance'] / $turns
                    : "C$id m$id $b " . -1.0 / ($turns * $p['reactance']),
                "Rl$id m$id 0 1e12",
            ],
            default => ["R$id $a $b {$p['ohms']}"],
        };
    }

    private function random(float $least, float $most): float
    {
        return $least + (($most - $least) * mt_rand()) / mt_getrandmax();
    }

    private function randomNetlist(int $nodes, int $motors): Netlist
    {
        $name = static fn(int $n): string => $n === 0 ? '0' : "n$n";
        $elements = [
            Element::source(
                'V0',
                'n1',
                '0',
                $this->random(6, 28),
                mt_rand(0, 1) === 0 ? 0.0 : $this->random(0.005, 0.5),
            ),
        ];
        for ($n = 2; $n <= $nodes; ++$n) {
            $elements[] = Element::resistor("T$n", $name($n), $name(mt_rand(1, $n - 1)), 10 ** $this->random(-2, 3));
        }
        for ($n = 0; $n < $nodes; ++$n) {
            $a = mt_rand(1, $nodes);
            $b = mt_rand(0, $a - 1);
            $elements[] =
                mt_rand(0, 5) === 0
                    ? Element::source("E$n", $name($a), $name($b), $this->random(-5, 5), $this->random(0.1, 3))
                    : (mt_rand(0, 4) === 0
                        ? Element::switch("S$n", $name($a), $name($b), mt_rand(0, 1) === 1, 0.004)
                        : Element::resistor("R$n", $name($a), $name($b), 10 ** $this->random(-1, 3)));
        }
        for ($n = 0; $n < $motors; ++$n) {
            $elements[] = Element::motor(
                "M$n",
                $name(mt_rand(1, $nodes)),
                '0',
                new BrushedMotor(
                    $this->random(0.1, 1),
                    $this->random(0.02, 0.05),
                    $this->random(0.005, 0.03),
                    $this->random(1e-6, 1e-5),
                    mt_rand(0, 1) * 2e-4,
                ),
            );
        }

        return new Netlist($elements);
    }

    /** @param list<Netlist> $netlists */
    private function compare(array $netlists, float $relative, float $absolute): void
    {
        $deck = ['* random networks', '.options reltol=1e-9 abstol=1e-14 vntol=1e-11 gmin=1e-15 itl1=2000'];
        $wanted = [];
        $points = [];
        foreach ($netlists as $number => $netlist) {
            $at = static fn(string $node): string => $node === '0' ? '0' : "x{$number}_$node";
            foreach ($netlist->elements as $element) {
                array_push($deck, ...$this->lines($element, "{$number}_$element->id", $at));
            }
            $points[] = $point = (new CircuitSolver($netlist))->solve();
            foreach ($netlist->nodes as $node) {
                // Where only an open branch leads, a simulator's potential is that of its leakage.
                if ($node !== '0' && $point->potential($node) !== null) {
                    $wanted[$at($node)] = [$number, $node];
                }
            }
        }
        $deck = [
            ...$deck,
            '.control',
            'set numdgt=14',
            'op',
            ...array_map(static fn(string $node): string => "print v($node)", array_keys($wanted)),
            '.endc',
            '.end',
            '',
        ];
        foreach ($this->simulated($deck, '/v\((x\d+_\w+)\) = (\S+)/', $wanted) as [, $node, $value]) {
            [$number, $name] = $wanted[$node];
            $own = $points[$number]->potential($name);
            self::assertEqualsWithDelta(
                (float) $value,
                $own,
                $absolute + $relative * abs((float) $value),
                "network $number, node $name",
            );
        }
    }

    /**
     * @param list<string>         $deck
     * @param array<string, mixed> $wanted by node
     *
     * @return list<array<string>> whole match, node, value
     */
    private function simulated(array $deck, string $pattern, array $wanted): array
    {
        $output = Ngspice::output($deck);
        preg_match_all($pattern, $output, $found, \PREG_SET_ORDER);
        self::assertCount(
            \count($wanted),
            $found,
            'The simulator did not answer for every node: ' .
                implode(' ', array_diff(array_keys($wanted), array_column($found, 1))) .
                substr($output, 0, 300),
        );

        return $found;
    }

    /**
     * @param \Closure(string): string $at
     *
     * @return list<string>
     */
    private function lines(Element $element, string $id, \Closure $at): array
    {
        $a = $at($element->from);
        $b = $at($element->to);
        $p = $element->parameters;
        if ($element->type === ElementType::Source) {
            return $p['ohms'] === 0.0
                ? ["V$id $a $b {$p['volts']}"]
                : ["V$id s$id $b {$p['volts']}", "Rs$id $a s$id {$p['ohms']}"];
        }
        if ($element->type === ElementType::Motor) {
            // Shaft speed as the voltage of a node into which the torques flow; friction as a steep tanh.
            return [
                "Rm$id $a e$id {$p['armatureOhms']}",
                "Vm$id e$id f$id 0",
                "Bm$id f$id $b V={$p['emfConstant']}*v(w$id)",
                "Bw$id 0 w$id I={$p['emfConstant']}*i(Vm$id)-{$p['frictionTorque']}*tanh(v(w$id)*500)-{$p['brakingConstant']}*v(w$id)-{$p['fanConstant']}*v(w$id)*abs(v(w$id))",
                "Rw$id w$id 0 1e12",
            ];
        }

        return ["R$id $a $b {$p['ohms']}"];
    }
}
