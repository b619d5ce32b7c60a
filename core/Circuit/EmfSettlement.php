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
    private const SETTLED = 1e-10;

    /**
     * Rounds after which the settling leaps ahead, and the share of its last step but one that its last one may be for
     * that.
     */
    private const LEAP_EVERY = 3;
    private const MOST_OF_FIRST = 0.98;

    /** Conductance in S under which a port carries no current whatever its EMF. */
    private const NO_PATH = 1e-13;

    /** @var array<int, array<int, int>> motor branch → its ports with the place of their EMF constants */
    private array $shafts = [];

    /** @var array<int, int> compound motor branch → branch of its shunt */
    private array $compounds = [];

    /** @var array<int, int> module output branch → its input branch */
    private array $modules = [];

    /** @var array<int, bool> all ports, with whether they have an EMF */
    public readonly array $ports;

    /** @var array<int, array{0: int, 1: int, 2: int, 3: int, 4: int, 5: int}> places of duty, its limits, linear, diode volts and the input's resistance, by module output */
    private array $stages = [];

    /** @var array<int, float> speed zero by motor branch */
    public readonly array $standing;

    /** @var list<int> ends of the ports */
    public readonly array $nodes;

    /** @var array<int, array{0: int, 1: int, 2: int, 3: int}> places of friction, fan and braking constant and load torque, by motor branch */
    private array $loads = [];

    /**
     * @param list<Element>                    $branches
     * @param array<string, int>               $numbers  branch by element id
     * @param list<array{0: int, 1: int}>      $ends
     * @param array<string, int>               $slots    by "element.parameter"
     * @param list<int>                        $ohmsSlots place of each branch's resistance
     */
    public function __construct(
        private readonly array $branches,
        array $numbers,
        private readonly array $ends,
        private readonly array $slots,
        private readonly array $ohmsSlots,
    ) {
        $ports = [];
        $standing = [];
        foreach ($branches as $number => $element) {
            match ($element->type) {
                ElementType::Motor => ($this->shafts[$number][$number] = $slots["$element->id.emfConstant"]),
                ElementType::Winding => ($this->shafts[$numbers[$element->partner] ?? 0][$number] =
                    $slots["$element->id.emfConstant"]),
                ElementType::CompoundMotor => ($this->compounds[$number] = $numbers[$element->partner] ?? 0),
                ElementType::ModuleOutput => ($this->modules[$number] = $numbers[$element->partner] ?? 0),
                default => null,
            };
        }
        foreach ($this->shafts as $motor => $windings) {
            $standing[$motor] = 0.0;
            $ports += array_fill_keys(array_keys($windings), true);
            $id = $branches[$motor]->id;
            $this->loads[$motor] = [
                $slots["$id.frictionTorque"],
                $slots["$id.fanConstant"],
                $slots["$id.brakingConstant"],
                $slots["$id.loadTorque"],
            ];
        }
        foreach ($this->compounds as $armature => $shunt) {
            $standing[$armature] = 0.0;
            $ports += [$armature => true, $shunt => $branches[$shunt]->type->hasEmf()];
        }
        foreach ($this->modules as $output => $input) {
            $ports += [$output => true, $input => true];
            $id = $branches[$output]->id;
            $this->stages[$output] = [
                $slots["$id.duty"],
                $slots["$id.leastDuty"],
                $slots["$id.mostDuty"],
                $slots["$id.linear"],
                $slots["$id.diodeVolts"],
                $slots[$branches[$input]->id . '.ohms'],
            ];
        }
        $this->ports = $ports;
        $this->standing = $standing;
        $nodes = [];
        foreach ($ports as $port => $_) {
            array_push($nodes, ...$ends[$port]);
        }
        $this->nodes = array_values(array_unique($nodes));
    }

    /**
     * Settles everything.
     *
     * @param array<int, float> $values
     * @param array<int, float> $volts  by node of a port, with all EMFs at zero
     *
     * @return array{0: array<int, float>, 1: array<int, float>, 2: float} EMF in V by port, speed in rad/s by motor branch, and the largest torque at rest over what holds a shaft there
     */
    public function settle(PreparedNetwork $prepared, array $values, array $volts): array
    {
        $network = $prepared->network;
        $joined = $prepared->joined;
        $live = $network->liveBranches;
        $stalled = [];
        foreach ($this->ports as $port => $_) {
            if (isset($live[$port])) {
                [$from, $to] = $this->ends[$port];
                $offset = $joined === null ? 0.0 : $joined->offset($from) - $joined->offset($to);
                $stalled[$port] = ($this->across($network, $volts, $port) + $offset) / $values[$this->ohmsSlots[$port]];
            }
        }
        $modules = $this->modules === [] ? [] : array_intersect_key($this->modules, $live);
        $push = $modules === [] ? $this->push($stalled, $values) : null;
        if ($push !== null && $push <= 1.0) {
            return [[], $this->standing, $push];
        }
        $coupling = $prepared->coupling ??= $this->couple($prepared, $values, $stalled);
        $eliminated = [];
        foreach ($modules as $output => $input) {
            $eliminated += $this->eliminate($output, $input, $stalled, $coupling, $values);
        }
        $push ??= $this->push($stalled, $values);
        [$emf, $turning] = $this->turn($stalled, $coupling, $values);
        foreach (array_reverse($eliminated, true) as $port => [$fixed, $following]) {
            foreach ($following as $other => $share) {
                $fixed += $share * ($emf[$other] ?? 0.0);
            }
            $emf[$port] = $fixed;
        }

        return [$emf, $turning + $this->standing, $push];
    }

    /**
     * Torque for each rad/s by which the currents of a shaft's own EMFs brake it, in N·m·s.
     *
     * @param array<int, float> $values
     */
    public function braking(PreparedNetwork $prepared, array $values, int $motor): float
    {
        $coupling = $this->couple(
            $prepared,
            $values,
            array_intersect_key($this->shafts[$motor] ?? [], $prepared->network->liveBranches),
        );

        return $this->fall($motor, $coupling, $values);
    }

    /**
     * Largest torque on a shaft at rest over the friction that holds it: none turns while it is not above 1.
     *
     * @param array<int, float> $stalled
     * @param array<int, float> $values
     */
    private function push(array $stalled, array $values): float
    {
        $push = 0.0;
        foreach ($this->shafts as $motor => $windings) {
            $torque = 0.0;
            foreach ($windings as $port => $slot) {
                $torque += $values[$slot] * ($stalled[$port] ?? 0.0);
            }
            [$friction, , , $load] = $this->loads[$motor];
            $push = max($push, self::overFriction(abs($torque), $values[$friction] + $values[$load]));
        }
        foreach ($this->compounds as $armature => $shunt) {
            $motor = $this->compoundAt($armature, $values);
            $torque =
                ($motor['seriesConstant'] * ($stalled[$armature] ?? 0.0) +
                    $motor['fieldConstant'] * ($stalled[$shunt] ?? 0.0)) *
                ($stalled[$armature] ?? 0.0);
            $push = max($push, self::overFriction($torque, $motor['frictionTorque']));
        }

        return $push;
    }

    private static function overFriction(float $torque, float $friction): float
    {
        return $torque <= 0.0 ? 0.0 : ($friction > 0.0 ? $torque / $friction : \INF);
    }

    /**
     * @param array<int, float> $values
     * @param array<int, float|int> $ports live ones, as keys
     *
     * @return array<int, array<int, float>> fall of each port's current for a volt of each port's EMF, in S
     */
    private function couple(PreparedNetwork $prepared, array $values, array $ports): array
    {
        $network = $prepared->network;
        $response = [];
        $coupling = [];
        foreach ($ports as $port => $_) {
            if ($this->ports[$port]) {
                [$from, $to] = $this->ends[$port];
                $conductance = 1.0 / $values[$this->ohmsSlots[$port]];
                $injected = $prepared->noCurrent();
                $injected[$network->representative[$from]] += $conductance;
                $injected[$network->representative[$to]] -= $conductance;
                $response[$port] = $prepared->lateVolts($injected, true);
            }
        }
        foreach ($ports as $port => $_) {
            $conductance = 1.0 / $values[$this->ohmsSlots[$port]];
            foreach ($response as $other => $volts) {
                $coupling[$port][$other] =
                    (($port === $other ? 1.0 : 0.0) - $this->across($network, $volts, $port)) * $conductance;
            }
        }

        return $coupling;
    }

    /**
     * Eliminates the two EMFs of a speed module from the network.
     *
     * @param array<int, float>             $stalled  changed to what the other ports see
     * @param array<int, array<int, float>> $coupling changed likewise
     * @param array<int, float>             $values
     *
     * @param-out array<int, float>             $stalled
     * @param-out array<int, array<int, float>> $coupling
     *
     * @return array<int, array{0: float, 1: array<int, float>}> of each of its ports: its EMF, and how that follows the EMFs of others
     */
    private function eliminate(int $output, int $input, array &$stalled, array &$coupling, array $values): array
    {
        [$dutySlot, $least, $most, $linearSlot, $diode, $inner] = $this->stages[$output];
        $duty = max(min($values[$dutySlot], $values[$most]), $values[$least]);
        $out = $coupling[$output];
        $fed = isset($stalled[$input]);
        $dead = $fed && abs(self::noCurrent($input, $stalled, $coupling)[0]) < SpeedModule::DEAD_UNDER;
        if (!$fed || $dead || $duty < SpeedModule::OFF_UNDER) {
            // Off, or without a supply: neither side lets a current through, and its diode is no source.
            $own = [$output => self::noCurrent($output, $stalled, $coupling)];
            $this->follow($own, $stalled, $coupling);

            return $fed ? $own + $this->stopped($input, $stalled, $coupling, $own) : $own;
        }
        $in = $coupling[$input];
        $linear = $values[$linearSlot] > 0.5;
        // Supply side: i_in + share·i_out = 0. Motor side: e_out − D·(R_in·i_in + e_in) = −(1 − D)·Vd.
        $share = $linear ? 1.0 : $duty;
        $drop = $duty * $values[$inner];
        $supply = [
            $in[$input] + $share * $out[$input],
            $in[$output] + $share * $out[$output],
            $stalled[$input] + $share * $stalled[$output],
        ];
        $motor = [
            $drop * $in[$input] - $duty,
            $drop * $in[$output] + 1.0,
            $drop * $stalled[$input] - (1.0 - $duty) * ($linear ? 0.0 : $values[$diode]),
        ];
        $determinant = $motor[0] * $supply[1] - $motor[1] * $supply[0];
        if (abs($determinant) < self::NO_PATH) {
            // No current can flow on either side: any EMF at the supply will do.
            $supply = [1.0, 0.0, 0.0];
            $determinant = -$motor[1];
        }
        $ofInput = [];
        $ofOutput = [];
        foreach ($in as $other => $fall) {
            if ($other !== $input && $other !== $output) {
                $s = $supply[1] === 0.0 ? 0.0 : $fall + $share * $out[$other];
                $m = $drop * $fall;
                $ofInput[$other] = -($m * $supply[1] - $motor[1] * $s) / $determinant;
                $ofOutput[$other] = -($motor[0] * $s - $m * $supply[0]) / $determinant;
            }
        }
        $own = [
            $input => [($motor[2] * $supply[1] - $motor[1] * $supply[2]) / $determinant, $ofInput],
            $output => [($motor[0] * $supply[2] - $motor[2] * $supply[0]) / $determinant, $ofOutput],
        ];
        $this->follow($own, $stalled, $coupling);

        return $own;
    }

    /**
     * A port whose EMF lets no current through.
     *
     * @param array<int, float>             $stalled
     * @param array<int, array<int, float>> $coupling
     *
     * @return array{0: float, 1: array<int, float>}
     */
    private static function noCurrent(int $port, array $stalled, array $coupling): array
    {
        $own = $coupling[$port][$port] ?? 0.0;
        if ($own < self::NO_PATH) {
            return [0.0, []];
        }
        $following = [];
        foreach ($coupling[$port] as $other => $fall) {
            if ($other !== $port) {
                $following[$other] = -$fall / $own;
            }
        }

        return [$stalled[$port] / $own, $following];
    }

    /**
     * The input of a module that is off, once its output is eliminated.
     *
     * @param array<int, float>                                  $stalled
     * @param array<int, array<int, float>>                      $coupling
     * @param array<int, array{0: float, 1: array<int, float>}>  $output
     *
     * @param-out array<int, float>             $stalled
     * @param-out array<int, array<int, float>> $coupling
     * @param-out array<int, array{0: float, 1: array<int, float>}> $output
     *
     * @return array<int, array{0: float, 1: array<int, float>}>
     */
    private function stopped(int $input, array &$stalled, array &$coupling, array &$output): array
    {
        $own = [$input => self::noCurrent($input, $stalled, $coupling)];
        $this->follow($own, $stalled, $coupling);

        return $own;
    }

    /**
     * Takes eliminated ports out of the network.
     *
     * @param array<int, array{0: float, 1: array<int, float>}> $own
     * @param array<int, float>                                 $stalled
     * @param array<int, array<int, float>>                     $coupling
     *
     * @param-out array<int, float>             $stalled
     * @param-out array<int, array<int, float>> $coupling
     */
    private function follow(array $own, array &$stalled, array &$coupling): void
    {
        foreach ($own as $port => $_) {
            unset($stalled[$port], $coupling[$port]);
        }
        foreach ($coupling as $port => $falls) {
            foreach ($own as $eliminated => [$fixed, $following]) {
                $fall = $falls[$eliminated];
                unset($coupling[$port][$eliminated]);
                $stalled[$port] -= $fall * $fixed;
                foreach ($following as $other => $share) {
                    if (isset($coupling[$port][$other])) {
                        $coupling[$port][$other] += $fall * $share;
                    }
                }
            }
        }
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
        $emf = $speeds = $falls = $windingsOf = [];
        foreach ($this->shafts as $motor => $windings) {
            $windingsOf[$motor] = array_intersect_key($windings, $stalled);
            $falls[$motor] = $this->fall($motor, $coupling, $values);
        }
        $several = \count($this->shafts) + \count($this->compounds) > 1;
        $before = $earlier = [];
        for ($round = 1; $round <= self::MOST_ROUNDS; ++$round) {
            $largest = 0.0;
            foreach ($windingsOf as $motor => $live) {
                $torque = 0.0;
                foreach ($live as $port => $slot) {
                    $torque += $values[$slot] * self::withOthers($port, $live, $stalled, $coupling, $emf);
                }
                [$friction, $fan, $braking, $load] = $this->loads[$motor];
                $speeds[$motor] = BrushedMotor::settledSpeed(
                    $torque,
                    $falls[$motor],
                    1.0,
                    $values[$friction] + $values[$load],
                    $values[$fan],
                    $values[$braking],
                );
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
                $shuntCurrent = isset($stalled[$shunt])
                    ? self::withOthers($shunt, $own, $stalled, $coupling, $emf)
                    : 0.0;
                [$speeds[$armature], $volts] = CompoundMotor::settled(
                    self::withOthers($armature, $own, $stalled, $coupling, $emf),
                    $coupling[$armature][$armature],
                    $shuntCurrent,
                    $coupling[$shunt][$armature] ?? 0.0,
                    $this->compoundAt($armature, $values),
                );
                $largest = max($largest, abs($volts - ($emf[$armature] ?? 0.0)));
                $emf[$armature] = $volts;
            }
            if (!$several || $largest < self::SETTLED) {
                break;
            }
            if ($round % self::LEAP_EVERY === 0) {
                $emf = self::leapt($earlier, $before, $emf);
            }
            [$earlier, $before] = [$before, $emf];
        }

        return [$emf, $speeds];
    }

    /**
     * Where three rounds in a row seem to lead: Aitken's rule. The rounds after it settle what it misses.
     *
     * @param array<int, float> $earlier EMF by port, after the first of the rounds
     * @param array<int, float> $before
     * @param array<int, float> $emf
     *
     * @return array<int, float>
     */
    private static function leapt(array $earlier, array $before, array $emf): array
    {
        foreach ($emf as $port => $volts) {
            $first = ($before[$port] ?? 0.0) - ($earlier[$port] ?? 0.0);
            $second = $volts - ($before[$port] ?? 0.0);
            if (abs($second) < self::MOST_OF_FIRST * abs($first)) {
                $emf[$port] = $volts + ($second * $second) / ($first - $second);
            }
        }

        return $emf;
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
            'frictionTorque' => $values[$this->slots["$id.frictionTorque"]] + $values[$this->slots["$id.loadTorque"]],
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
