<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SpeedModule;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Unknown;

/**
 * The unit's board with its three supplies and its feedback input, five wires, and the motor with its electronics.
 *
 * The brushless motor counts as a direct-current motor behind a speed stage. It runs while bus and logic
 * supply are there. Its feedback is an open collector: about half the pull-up while it turns, nothing or all
 * of it while it stands. A board that gets no feedback stops it and tries again.
 */
final readonly class Wiring
{
    private const OPEN = Element::OPEN_OHMS;

    /** V of the logic supply, and between which the electronics work. */
    private const LOGIC = 15.0;
    private const LOGIC_FROM = 13.3;

    /** Command in V at which it starts, and at which it is full. */
    private const STARTS_AT = 2.1;
    private const FULL_AT = 5.9;

    private const COMMANDS = ['off' => 0.0, 'low' => 3.1, 'medium' => 4.2, 'high' => 5.6];

    /** Resistance that a pulsed open collector amounts to on a meter that averages: as much as the pull-up. */
    private const PULL_UP = 10e3;

    /** Torque of the fan in N·m at 1050 a minute. */
    private const TORQUE = 0.35;

    /** What is usual where nobody typed it: pulses a turn, and speed. */
    private const PULSES = 6.0;
    private const FULL_RPM = 1050.0;

    public function __construct(
        public float $bus,
        private ?float $pullUp,
        private ?float $pulses,
        private ?float $fullRpm,
        public bool $suppliesApart,
    ) {}

    public function fullSpeed(): float
    {
        return (($this->fullRpm ?? self::FULL_RPM) * \M_PI) / 30.0;
    }

    /** Pulses a second at full speed: n a turn. */
    public function fullHertz(): float
    {
        return (($this->fullRpm ?? self::FULL_RPM) / 60.0) * ($this->pulses ?? self::PULSES);
    }

    private function motor(float $size): BrushedMotor
    {
        $constant = (0.96 * $this->bus) / $this->fullSpeed();
        $torque = self::TORQUE * $size * (110.0 / $this->fullSpeed());

        return new BrushedMotor(
            (0.03 * $this->bus) / ($torque / $constant),
            $constant,
            0.03 * $torque,
            $torque / $this->fullSpeed() ** 2,
        );
    }

    public function netlist(): Netlist
    {
        return new Netlist([...$this->board(), ...self::wires(), ...$this->inside()]);
    }

    /** @return list<Element> */
    private function board(): array
    {
        return [
            Element::source('bus', 'bus', '0', $this->bus, 40.0),
            Element::resistor('bus-fuse', 'bus', 'board-vm', 0.3),
            Element::source('logic', 'logic', '0', self::LOGIC, 10.0),
            Element::resistor('logic-out', 'logic', 'board-vcc', 0.1),
            Element::source('command', 'command', '0', 0.0, 1000.0)->offering(self::COMMANDS),
            Element::resistor('command-out', 'command', 'board-vsp', 0.1),
            Element::source('pull-up-source', 'pull-up', '0', $this->pullUp ?? 15.0, 1.0),
            Element::resistor('pull-up', 'pull-up', 'board-fg', self::PULL_UP),
            // A supply of the bench in place of the board.
            Element::source('bench-bus', 'bench-vm', '0', $this->bus, 5.0),
            Element::resistor('bench-vm', 'bench-vm', 'vm', self::OPEN),
            Element::source('bench-logic', 'bench-vcc', '0', self::LOGIC, 2.0),
            Element::resistor('bench-vcc', 'bench-vcc', 'vcc', self::OPEN),
            Element::source('bench-command', 'bench-vsp', '0', 4.2, 500.0),
            Element::resistor('bench-vsp', 'bench-vsp', 'vsp', self::OPEN),
            Element::resistor('bench-fg', 'bench-vcc', 'fg', self::OPEN),
            Element::resistor('bench-gnd', 'gnd', '0', self::OPEN),
        ];
    }

    /** @return list<Element> */
    private static function wires(): array
    {
        return [
            ...array_map(
                static fn(string $function): Element => Element::resistor(
                    "wire-$function",
                    "board-$function",
                    $function,
                    0.1,
                ),
                ['vm', 'vcc', 'vsp', 'fg'],
            ),
            Element::resistor('wire-gnd', 'gnd', '0', 0.05),
            // Where the two lie on each other in the cable.
            Element::resistor('cable-chafe', 'vcc', 'vsp', self::OPEN),
        ];
    }

    /** @return list<Element> */
    private function inside(): array
    {
        return [
            Element::resistor('vm-leak', 'vm', 'gnd', 500e3),
            Element::resistor('vm-short', 'vm', 'gnd', self::OPEN),
            Element::coil('bus-there', 'vm', 'gnd', 1e6, 0.3 * $this->bus, 0.28 * $this->bus),
            Element::workContact('bus-contact', 'vm', 'guarded', 'bus-there', 0.001),
            Element::resistor('vcc-load', 'vcc', 'gnd', 1500.0),
            Element::resistor('vcc-short', 'vcc', 'gnd', self::OPEN),
            Element::coil('logic-there', 'vcc', 'gnd', 100e3, self::LOGIC_FROM, 12.8),
            Element::workContact('logic-contact', 'guarded', 'allowed', 'logic-there', 0.001),
            Element::restContact('retry-contact', 'allowed', 'inside', 'retry', 0.001),
            Element::moduleInput('module', 'inside', 'gnd'),
            Element::moduleOutput('stage', 'out', 'gnd', new SpeedModule(1.0, 0.0, 0.7), 'module'),
            Element::motor('motor', 'out', 'gnd', $this->motor(1.0))->offering(['pace' => 1.0]),
            Element::resistor('vsp-inside', 'vsp', 'vsp-in', 1.0),
            Element::resistor('vsp-leak', 'vsp', 'gnd', self::OPEN),
            Element::controlInput(
                'vsp-input',
                'vsp-in',
                'gnd',
                150e3,
                new Control('stage.duty', [
                    [self::STARTS_AT, 0.0],
                    [self::STARTS_AT + 0.05, 0.12],
                    [self::FULL_AT, 1.0],
                ]),
            ),
            Element::coil('turning', 'out', 'gnd', 3e6, 0.03 * $this->bus, 0.02 * $this->bus),
            Element::resistor('fg-transistor', 'fg', 'fg-inside', 50.0),
            Element::workContact('fg-pulses', 'fg-inside', 'gnd', 'turning', self::PULL_UP),
            Element::restContact('fg-still', 'fg-inside', 'fg-rest', 'turning', 1.0),
            Element::resistor('fg-rest', 'fg-rest', 'gnd', 1e6),
            Element::resistor('hall', 'fg-inside', 'by-hand', self::OPEN),
            Element::workContact('hall-fed', 'by-hand', 'gnd', 'logic-there', 1.0),
            // A board without feedback stops the motor and starts it again.
            Element::resistor('retry-feed', 'out', 'retry-in', self::OPEN),
            Element::coil('retry', 'retry-in', 'gnd', 3e6, 0.03 * $this->bus, 0.02 * $this->bus),
        ];
    }

    /** @return list<Position> */
    public function positions(): array
    {
        return array_map(
            static fn(string $key, float $volts): Position => new Position(
                $key,
                $key,
                $volts > 0.0 ? PositionKind::Runs : PositionKind::Stands,
                [
                    $volts > 0.0
                        ? Adjustment::follow('command.volts', "command.$key")
                        : Adjustment::set('command.volts', 0.0),
                ],
            ),
            array_keys(self::COMMANDS),
            self::COMMANDS,
        );
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $apart = [
            ...array_map(static fn(string $function): Adjustment => Adjustment::opened("wire-$function"), [
                'vm',
                'vcc',
                'vsp',
                'fg',
            ]),
            Adjustment::opened('wire-gnd'),
        ];
        $bench = [
            ...array_map(static fn(string $function): Adjustment => Adjustment::opened("wire-$function"), [
                'vm',
                'vcc',
                'vsp',
                'fg',
            ]),
            Adjustment::set('bench-vm.ohms', 1.0),
            Adjustment::set('bench-vcc.ohms', 0.1),
            Adjustment::set('bench-vsp.ohms', 0.1),
            Adjustment::set('bench-fg.ohms', self::PULL_UP),
            Adjustment::set('bench-gnd.ohms', 0.05),
            // On the bench nothing stops and starts it: that is the board's doing.
            Adjustment::opened('retry-feed'),
        ];

        return [
            ...array_map(static fn(string $key): SetUp => new SetUp($key, $key), array_keys(self::COMMANDS)),
            SetUp::isolated('isolated', 'off', 'isolated'),
            new SetUp('unplugged', 'high', $apart, 'unplugged', still: true),
            new SetUp('idle', 'off', $apart, 'unplugged', still: true),
            SetUp::isolated('dead', 'off', 'dead', $apart),
            // Neither board nor motor hangs on the feedback wire.
            SetUp::isolated('cable', 'off', 'cable', [
                Adjustment::opened('pull-up'),
                Adjustment::opened('fg-transistor'),
            ]),
            // The bus is off and proven; the logic supply alone lets the Hall sensors speak.
            new SetUp(
                'by-hand',
                'off',
                [
                    Adjustment::set('bus.volts', 0.0),
                    Adjustment::set('hall.ohms', self::PULL_UP),
                    Adjustment::opened('fg-rest'),
                ],
                'by-hand',
                still: true,
            ),
            new SetUp('bench', 'off', $bench, 'bench', PositionKind::Runs),
        ];
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        return [
            Populations::level('bus', 'rectified line', $this->bus),
            Populations::level('logic', 'logic supply'),
            Populations::unknown('motor', 'five-wire motor'),
            Populations::unknown('fan', 'fan load'),
            Populations::level('starts', 'command that starts'),
            Populations::level('full', 'command that is full'),
            Populations::level('low', 'low of a command'),
            Populations::level('high', 'high of a command'),
            Populations::unknown('output', 'signal output'),
            // How far a small supply gives way where it is loaded too much: some fold back to nearly nothing.
            Populations::unknown('logic-source', 'small supply'),
            ...$this->pulses === null ? [Populations::unknown('pace', 'pulses of a turn')] : [],
            ...$this->fullRpm === null ? [Populations::unknown('speed', 'speed of a fan')] : [],
            ...$this->pullUp === null ? [Populations::level('pull-up', 'pull-up')] : [],
            Populations::unknown('averaged', 'share of pulses'),
            Populations::unknown('vm-leak', 'leak of a bus pin'),
            Populations::unknown('vcc-load', 'load of a logic pin'),
            Populations::unknown('vsp-load', 'load of a command pin'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $plug = ['look-plug' => FaultList::PLUG] + Observation::changing('wiggle-plug', 0.7);
        $conductors = [
            Conductor::of('wire-vm', ConductorKind::Joint, 'cable')->seen($plug),
            Conductor::of('wire-gnd', ConductorKind::Joint, 'cable', 0.01)->seen($plug),
        ];
        foreach (['vcc', 'vsp', 'fg'] as $function) {
            $conductors[] = Conductor::of("wire-$function", ConductorKind::LightContact, 'cable', 0.01)->seen($plug);
        }

        return $conductors;
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $motor = $this->motor($u['motor']);
        $full = max($u['full'], $u['starts'] + 0.5);
        $slope = (self::FULL_AT - self::STARTS_AT) / ($full - $u['starts']);
        $at = static fn(float $share): float => $u['starts'] + $share * ($full - $u['starts']);
        $low = max(0.05, $u['low']);
        $high = max($low + 0.2, $u['high']);

        return [
            'bus.volts' => $u['bus'],
            'bench-bus.volts' => $u['bus'],
            'logic.volts' => $u['logic'],
            'logic.ohms' => $u['logic-source'],
            'bench-logic.volts' => $u['logic'],
            'logic-there.pullInVolts' => 0.86 * $u['logic'],
            'logic-there.dropOutVolts' => 0.82 * $u['logic'],
            'motor.armatureOhms' => $motor->armatureOhms,
            'motor.frictionTorque' => $motor->frictionTorque,
            'motor.fanConstant' => $motor->fanConstant * $u['fan'],
            'motor.pace' => ($u['pace'] ?? 1.0) * ($u['speed'] ?? 1.0),
            'command.ohms' => $u['output'],
            'command.low' => $at($low),
            'command.medium' => $at(0.5 * ($low + $high)),
            'command.high' => $at($high),
            'bench-command.volts' => $at(0.6),
            'vsp-input.gain' => $slope,
            'vsp-input.offset' => self::STARTS_AT - $slope * $u['starts'],
            'vsp-input.ohms' => $u['vsp-load'],
            'pull-up-source.volts' => $u['pull-up'] ?? ($this->pullUp ?? 15.0),
            'pull-up.ohms' => self::PULL_UP * $u['averaged'],
            'vm-leak.ohms' => $u['vm-leak'],
            'vcc-load.ohms' => $u['vcc-load'],
        ];
    }
}
