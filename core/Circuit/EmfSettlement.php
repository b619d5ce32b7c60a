<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the EMFs at which motors and speed modules settle on a linear network.
 *
 * Every branch with an EMF is a port. With EMFs e the port currents are i = i0 − G·e, where
 * G follows from one solve a port. The equations of the speed modules are linear in their
 * own EMFs, so they are eliminated first; then the shafts are settled one after the other,
 * each in closed form, until no EMF changes. For brushed motors on a network of resistances
 * this is a descent on a convex function and so converges to the only solution: with G
 * symmetric and positive definite the torque balance is the minimum of
 * ½·eᵀGe − i0ᵀe + Σ(Tf·|ω| + b·ω²/2 + c·|ω|³/3).
 */
final class EmfSettlement
{
    private const MOST_ROUNDS = 2000;

    /** Change of an EMF in V under which a round counts as the last. */
    private const SETTLED = 1e-12;

    /** Conductance in S under which a port carries no current whatever its EMF. */
    private const NO_PATH = 1e-13;

    /** @var array<int, array<int, int>> motor branch → its ports with the place of their EMF constants */
    private array $shafts = [];

    /** @var array<int, int> compound motor branch → branch of its shunt */
    private array $compounds = [];

    /** @var array<int, int> module output branch → its input branch */
    private array $modules = [];

    /**
     * @param list<Element>                    $branches
     * @param array<string, int>               $numbers  branch by element id
     * @param list<array{0: int, 1: int}>      $ends
     * @param array<string, int>               $slots    by "element.parameter"
     */
    public function __construct(private readonly array $branches, array $numbers, private readonly array $ends, private readonly array $slots)
    {
        foreach ($branches as $number => $element) {
            match ($element->type) {
                ElementType::Motor => $this->shafts[$number][$number] = $slots["$element->id.emfConstant"],
                ElementType::Winding => $this->shafts[$numbers[$element->partner] ?? 0][$number] = $slots["$element->id.emfConstant"],
                ElementType::CompoundMotor => $this->compounds[$number] = $numbers[$element->partner] ?? 0,
                ElementType::ModuleOutput => $this->modules[$number] = $numbers[$element->partner] ?? 0,
                default => null,
            };
        }
    }

    /**
     * Settles everything and adds the EMFs' share to the potentials.
     *
     * @param array<int, float> $conductances by live branch
     * @param array<int, float> $values
     * @param array<int, float> $volts        by live node, with all EMFs at zero
     *
     * @param-out array<int, float> $volts
     *
     * @return array{0: array<int, float>, 1: array<int, float>} EMF in V by port, and speed in rad/s by motor branch
     */
    public function settle(LiveNetwork $network, array $conductances, array $values, array &$volts, ?PotentialForest $joined): array
    {
        $speeds = array_fill_keys([...array_keys($this->shafts), ...array_keys($this->compounds)], 0.0);
        $ports = array_filter($this->ports(), static fn (int $port): bool => isset($network->liveBranches[$port]));
        $stalled = [];
        foreach ($ports as $port) {
            [$from, $to] = $this->ends[$port];
            $offset = $joined === null ? 0.0 : $joined->offset($from) - $joined->offset($to);
            $stalled[$port] = ($this->across($network, $volts, $port) + $offset) * $conductances[$port];
        }
        $modules = array_filter($this->modules, static fn (int $output): bool => isset($network->liveBranches[$output]), \ARRAY_FILTER_USE_KEY);
        if ($modules === [] && $this->allStand($stalled, $values)) {
            return [[], $speeds];
        }
        [$response, $coupling] = $this->couple($network, $conductances, $ports);
        $linear = $this->withoutModules($modules, $stalled, $coupling, $values);
        [$emf, $turning] = $this->turn($linear['stalled'], $linear['coupling'], $values);
        foreach ($linear['fixed'] as $port => $fixed) {
            $emf[$port] = $fixed;
            foreach ($linear['following'][$port] as $other => $share) {
                $emf[$port] += $share * ($emf[$other] ?? 0.0);
            }
        }
        foreach ($emf as $port => $size) {
            foreach ($response[$port] ?? [] as $node => $perVolt) {
                $volts[$node] += $perVolt * $size;
            }
        }

        return [$emf, $turning + $speeds];
    }

    /**
     * Torque for each rad/s by which the currents of a shaft's own EMFs brake it, in N·m·s.
     *
     * @param array<int, float> $conductances
     * @param array<int, float> $values
     */
    public function braking(LiveNetwork $network, array $conductances, array $values, int $motor): float
    {
        $ports = array_values(array_filter(array_keys($this->shafts[$motor] ?? []), static fn (int $port): bool => isset($network->liveBranches[$port])));
        [, $coupling] = $this->couple($network, $conductances, $ports);

        return $this->fall($motor, $coupling, $values);
    }

    /** @return list<int> */
    private function ports(): array
    {
        $ports = [];
        foreach ($this->shafts as $windings) {
            array_push($ports, ...array_keys($windings));
        }
        foreach ($this->compounds as $armature => $shunt) {
            array_push($ports, $armature, $shunt);
        }
        foreach ($this->modules as $output => $input) {
            array_push($ports, $output, $input);
        }

        return array_values(array_unique($ports));
    }

    /**
     * @param array<int, float> $stalled
     * @param array<int, float> $values
     */
    private function allStand(array $stalled, array $values): bool
    {
        foreach ($this->shafts as $motor => $windings) {
            $torque = 0.0;
            foreach ($windings as $port => $slot) {
                $torque += $values[$slot] * ($stalled[$port] ?? 0.0);
            }
            if (abs($torque) > $values[$this->slots[$this->branches[$motor]->id.'.frictionTorque']]) {
                return false;
            }
        }
        foreach ($this->compounds as $armature => $shunt) {
            $motor = $this->compoundAt($armature, $values);
            if (($motor['seriesConstant'] * ($stalled[$armature] ?? 0.0) + $motor['fieldConstant'] * ($stalled[$shunt] ?? 0.0)) * ($stalled[$armature] ?? 0.0) > $motor['frictionTorque']) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<int, float> $conductances
     * @param list<int>|array<int, int> $ports live ones
     *
     * @return array{0: array<int, array<int, float>>, 1: array<int, array<int, float>>} potentials for a volt of each port's EMF, and the fall of each port's current for it, in S
     */
    private function couple(LiveNetwork $network, array $conductances, array $ports): array
    {
        $response = [];
        $coupling = [];
        foreach ($ports as $port) {
            if ($this->branches[$port]->type->hasEmf()) {
                [$from, $to] = $this->ends[$port];
                $injected = [];
                LiveNetwork::inject($injected, $network->representative[$from], $network->representative[$to], $conductances[$port]);
                $response[$port] = $network->potentials($injected);
            }
        }
        foreach ($ports as $port) {
            foreach ($response as $other => $volts) {
                $coupling[$port][$other] = (($port === $other ? 1.0 : 0.0) - $this->across($network, $volts, $port)) * $conductances[$port];
            }
        }

        return [$response, $coupling];
    }

    /**
     * Eliminates the EMFs of the speed modules.
     *
     * @param array<int, int>               $modules live outputs with their inputs
     * @param array<int, float>             $stalled
     * @param array<int, array<int, float>> $coupling
     * @param array<int, float>             $values
     *
     * @return array{stalled: array<int, float>, coupling: array<int, array<int, float>>, fixed: array<int, float>, following: array<int, array<int, float>>}
     */
    private function withoutModules(array $modules, array $stalled, array $coupling, array $values): array
    {
        if ($modules === []) {
            return ['stalled' => $stalled, 'coupling' => $coupling, 'fixed' => [], 'following' => []];
        }
        $unknown = [];
        foreach ($modules as $output => $input) {
            $unknown[] = $output;
            if (isset($stalled[$input])) {
                $unknown[] = $input;
            }
        }
        $others = array_values(array_diff(array_keys(reset($coupling) ?: []), $unknown));
        // Each row is an equation in the EMFs: coefficients by port, and its constant under "".
        $rows = [];
        foreach ($modules as $output => $input) {
            array_push($rows, ...$this->moduleRows($output, $input, $stalled, $coupling, $values));
        }
        $solution = LinearSystem::solve($rows, $unknown, $others);
        $fixed = [];
        $following = [];
        foreach ($unknown as $number => $port) {
            $fixed[$port] = $solution[$number][0];
            foreach ($others as $column => $other) {
                $following[$port][$other] = $solution[$number][$column + 1];
            }
            $following[$port] ??= [];
        }
        $reduced = [];
        foreach ($stalled as $port => $current) {
            foreach ($unknown as $module) {
                $stalled[$port] -= $coupling[$port][$module] * $fixed[$module];
            }
            foreach ($others as $other) {
                $reduced[$port][$other] = $coupling[$port][$other];
                foreach ($unknown as $module) {
                    $reduced[$port][$other] += $coupling[$port][$module] * $following[$module][$other];
                }
            }
        }

        return ['stalled' => $stalled, 'coupling' => $reduced, 'fixed' => $fixed, 'following' => $following];
    }

    /**
     * The two equations of a module, or one where its supply side is cut off.
     *
     * @param array<int, float>             $stalled
     * @param array<int, array<int, float>> $coupling
     * @param array<int, float>             $values
     *
     * @return list<array<int|string, float>> coefficient by port; the constant under "right"
     */
    private function moduleRows(int $output, int $input, array $stalled, array $coupling, array $values): array
    {
        $id = $this->branches[$output]->id;
        $at = fn (string $name): float => $values[$this->slots["$id.$name"]];
        $duty = max(min($at('duty'), $at('mostDuty')), $at('leastDuty'));
        $fed = isset($stalled[$input]);
        $noCurrent = static fn (int $port): array => $coupling[$port][$port] < self::NO_PATH ? [$port => 1.0, 'right' => 0.0] : $coupling[$port] + ['right' => $stalled[$port]];
        if (!$fed || $duty < SpeedModule::OFF_UNDER) {
            return $fed ? [$noCurrent($output), $noCurrent($input)] : [$noCurrent($output)];
        }
        // Supply side: i_in + share·i_out = 0.
        $share = $at('linear') > 0.5 ? 1.0 : $duty;
        $supply = ['right' => $stalled[$input] + $share * $stalled[$output]];
        // Motor side: e_out − D·(R_in·i_in + e_in) = −(1 − D)·Vd.
        $inner = $values[$this->slots[$this->branches[$input]->id.'.ohms']];
        $motor = ['right' => $duty * $inner * $stalled[$input] - (1.0 - $duty) * ($at('linear') > 0.5 ? 0.0 : $at('diodeVolts'))];
        foreach ($coupling[$input] as $port => $fall) {
            $supply[$port] = $fall + $share * $coupling[$output][$port];
            $motor[$port] = $duty * $inner * $fall + ($port === $output ? 1.0 : 0.0) - ($port === $input ? $duty : 0.0);
        }

        return [$motor, $supply];
    }

    /**
     * Settles the shafts.
     *
     * @param array<int, float>             $stalled
     * @param array<int, array<int, float>> $coupling
     * @param array<int, float>             $values
     *
     * @return array{0: array<int, float>, 1: array<int, float>} EMF by port, speed by motor branch
     */
    private function turn(array $stalled, array $coupling, array $values): array
    {
        $emf = [];
        $speeds = [];
        $several = \count($this->shafts) + \count($this->compounds) > 1;
        for ($round = 0; $round < self::MOST_ROUNDS; ++$round) {
            $largest = 0.0;
            foreach ($this->shafts as $motor => $windings) {
                $live = array_intersect_key($windings, $stalled);
                $torque = 0.0;
                foreach ($live as $port => $slot) {
                    $torque += $values[$slot] * self::withOthers($port, $live, $stalled, $coupling, $emf);
                }
                $speeds[$motor] = $this->settledSpeed($motor, $torque, $this->fall($motor, $coupling, $values), $values);
                foreach ($live as $port => $slot) {
                    $volts = $values[$slot] * $speeds[$motor];
                    $largest = max($largest, abs($volts - ($emf[$port] ?? 0.0)));
                    $emf[$port] = $volts;
                }
            }
            foreach ($this->compounds as $armature => $shunt) {
                if (!isset($stalled[$armature])) {
                    continue;
                }
                $own = [$armature => true];
                $shuntCurrent = isset($stalled[$shunt]) ? self::withOthers($shunt, $own, $stalled, $coupling, $emf) : 0.0;
                [$speeds[$armature], $volts] = CompoundMotor::settled(self::withOthers($armature, $own, $stalled, $coupling, $emf), $coupling[$armature][$armature], $shuntCurrent, $coupling[$shunt][$armature] ?? 0.0, $this->compoundAt($armature, $values));
                $largest = max($largest, abs($volts - ($emf[$armature] ?? 0.0)));
                $emf[$armature] = $volts;
            }
            if (!$several || $largest < self::SETTLED) {
                break;
            }
        }

        return [$emf, $speeds];
    }

    /**
     * Current of a port with the EMFs of other machines as they stand and its own machine's at zero.
     *
     * @param array<int, mixed>             $own      ports of its own machine
     * @param array<int, float>             $stalled
     * @param array<int, array<int, float>> $coupling
     * @param array<int, float>             $emf
     */
    private static function withOthers(int $port, array $own, array $stalled, array $coupling, array $emf): float
    {
        $current = $stalled[$port];
        foreach ($emf as $other => $volts) {
            $current -= isset($own[$other]) ? 0.0 : $coupling[$port][$other] * $volts;
        }

        return $current;
    }

    /**
     * Fall of a shaft's torque for each rad/s, through its own EMFs, in N·m·s.
     *
     * @param array<int, array<int, float>> $coupling
     * @param array<int, float>             $values
     */
    private function fall(int $motor, array $coupling, array $values): float
    {
        $fall = 0.0;
        foreach ($this->shafts[$motor] ?? [] as $port => $slot) {
            foreach ($this->shafts[$motor] as $other => $otherSlot) {
                $fall += $values[$slot] * $values[$otherSlot] * ($coupling[$port][$other] ?? 0.0);
            }
        }

        return $fall;
    }

    /** @param array<int, float> $values */
    private function settledSpeed(int $motor, float $torque, float $fall, array $values): float
    {
        $id = $this->branches[$motor]->id;

        return BrushedMotor::settledSpeed($torque, $fall, 1.0, $values[$this->slots["$id.frictionTorque"]], $values[$this->slots["$id.fanConstant"]], $values[$this->slots["$id.brakingConstant"]]);
    }

    /**
     * @param array<int, float> $values
     *
     * @return array{seriesConstant: float, fieldConstant: float, frictionTorque: float, brakingConstant: float, fanConstant: float}
     */
    private function compoundAt(int $branch, array $values): array
    {
        $id = $this->branches[$branch]->id;

        return [
            'seriesConstant' => $values[$this->slots["$id.seriesConstant"]],
            'fieldConstant' => $values[$this->slots["$id.fieldConstant"]],
            'frictionTorque' => $values[$this->slots["$id.frictionTorque"]],
            'brakingConstant' => $values[$this->slots["$id.brakingConstant"]],
            'fanConstant' => $values[$this->slots["$id.fanConstant"]],
        ];
    }

    /** @param array<int, float> $volts by live node */
    private function across(LiveNetwork $network, array $volts, int $branch): float
    {
        [$from, $to] = $this->ends[$branch];

        return $volts[$network->representative[$from]] - $volts[$network->representative[$to]];
    }
}
