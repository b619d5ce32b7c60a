<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\InductionMotor;
use Ispira\Core\Circuit\Netlist;
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
 * Line – the control's output for each speed – a winding of the fan's motor – neutral; beside it the
 * pressure switch, which has to close before gas is allowed.
 */
final readonly class Wiring
{
    /** Impedance of the fast winding at rated speed, in Ω on 230 V, and shares of it. */
    private const IMPEDANCE = 420.0;
    private const OHMS = 0.15;
    private const REACTANCE = 0.15;
    private const MAGNETISING = 1.1;
    private const ROTOR_REACTANCE = 0.5;

    /** Turns and resistance of the slow winding over those of the fast one. */
    private const SLOW_TURNS = 1.3;
    private const SLOW_OHMS = 1.5;

    /** Share of the line left as voltage on the flux at rated speed. */
    private const EMF = 0.86;

    /** What couples an output that nothing hangs on, in Ω. */
    private const GHOST_OHMS = 30e6;

    /** Factor on what couples idle wires, against a 24 V circuit. */
    private const IDLE_SCALE = 10.0;

    public function __construct(
        public bool $twoSpeeds,
        private float $line,
        private float $hertz,
        private ?float $fastOhms,
        private bool $pressureKnown,
    ) {}

    private function impedance(): float
    {
        $ordinary = self::IMPEDANCE * ($this->line / 230.0) ** 2;

        return $this->fastOhms === null ? $ordinary : $this->fastOhms / self::OHMS;
    }

    /** A two-pole motor with shaded poles: it needs no auxiliary winding to start. */
    public function motor(): InductionMotor
    {
        $z = $this->impedance();
        $synchronous = 2.0 * \M_PI * $this->hertz;

        return new InductionMotor(
            self::OHMS * $z,
            self::REACTANCE * $z,
            self::MAGNETISING * $z,
            self::ROTOR_REACTANCE * $z,
            self::EMF * $this->line,
            0.0,
            startTorque: 0.5,
            synchronousSpeed: $synchronous,
            ratedSpeed: 0.895 * $synchronous,
        );
    }

    /** @return list<string> */
    public function speeds(): array
    {
        return $this->twoSpeeds ? ['slow', 'fast'] : ['fast'];
    }

    public function netlist(): Netlist
    {
        $z = $this->impedance();
        $elements = [
            Element::alternatingSource('line', 'L', '0', $this->line, 0.3),
            Element::resistor('fuse', 'L', 'fed', 0.05),
            Element::resistor('limit', 'fed', 'safe', 0.05),
        ];
        foreach ($this->speeds() as $speed) {
            $elements[] = Element::resistor("output-$speed", 'safe', "sent-$speed", Element::OPEN_OHMS);
            $elements[] = Element::resistor("wire-$speed", "sent-$speed", "plug-$speed", 0.05);
            // What a meter shows on it while nothing hangs on it.
            $elements[] = Element::resistor("ghost-$speed", 'safe', "sent-$speed", self::GHOST_OHMS);
            $elements[] = Element::resistor("stray-$speed", "sent-$speed", '0', self::GHOST_OHMS);
            // Where the wire is chafed on one that is always live.
            $elements[] = Element::resistor("chafe-$speed", 'fed', "plug-$speed", Element::OPEN_OHMS);
        }
        if ($this->twoSpeeds) {
            // Leads on each other's terminal, while they are not.
            $elements[] = Element::resistor('across-slow', 'sent-slow', 'plug-fast', Element::OPEN_OHMS);
            $elements[] = Element::resistor('across-fast', 'sent-fast', 'plug-slow', Element::OPEN_OHMS);
        }
        $elements[] = Element::inductionMotor('fast', 'plug-fast', 'plug-neutral', $this->motor())->offering([
            'draught' => 1.0,
        ]);
        if ($this->twoSpeeds) {
            $elements[] = Element::mainWinding(
                'slow',
                'plug-slow',
                'plug-neutral',
                self::SLOW_OHMS * self::OHMS * $z,
                self::REACTANCE * $z * self::SLOW_TURNS ** 2,
                self::SLOW_TURNS,
                'fast',
            );
        }

        return new Netlist([
            ...$elements,
            Element::resistor('neutral', 'plug-neutral', '0', 0.05),
            Element::resistor('case-leak', 'plug-neutral', 'case', Element::OPEN_OHMS),
            Element::resistor('bond', 'case', '0', 0.1),
        ]);
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $positions = [new Position('off', 'no call', PositionKind::Stands, [], 'fast')];
        if ($this->twoSpeeds) {
            $positions[] = new Position(
                'slow',
                'slow',
                PositionKind::Runs,
                [Adjustment::set('output-slow.ohms', 0.05)],
                'fast',
            );
        }
        $positions[] = new Position(
            'full',
            $this->twoSpeeds ? 'fast' : 'call',
            PositionKind::Runs,
            [Adjustment::set('output-fast.ohms', 0.05)],
            'fast',
        );

        return $positions;
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $off = [
            ...array_map(static fn(string $speed): Adjustment => Adjustment::opened("wire-$speed"), $this->speeds()),
            Adjustment::opened('neutral'),
        ];
        $setUps = [
            new SetUp('off', 'off'),
            new SetUp('full', 'full'),
            SetUp::isolated('isolated', 'off', 'isolated'),
            SetUp::isolated('dead', 'off', 'dead', $off),
            new SetUp('gas-shut', 'full', [], 'gas-shut'),
            new SetUp('unplugged', 'full', $off, 'unplugged', still: true),
            new SetUp('idle', 'off', $off, 'unplugged', still: true),
        ];
        if ($this->twoSpeeds) {
            $setUps[] = new SetUp('slow', 'slow');
        }

        return $setUps;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        return [
            Populations::level('volts', 'line', $this->line),
            ...$this->fastOhms === null
                ? [Populations::unknown('winding', 'flue winding'), Populations::unknown('copper', 'copper')]
                : [
                    Populations::unknown('winding', 'copper of known size'),
                    Populations::unknown('copper', 'typed resistance'),
                ],
            ...$this->twoSpeeds
                ? [
                    Populations::unknown('ratio', 'slow over fast winding', 1.0 / self::SLOW_OHMS),
                    Populations::unknown('turns', 'turns of a slow winding'),
                ]
                : [],
            Populations::unknown('fan', 'fan load'),
            Populations::unknown('ghost', 'idle output', self::IDLE_SCALE),
            Populations::unknown('stray', 'stray of an idle wire', self::IDLE_SCALE),
            Populations::unknown('draught', $this->pressureKnown ? 'draught of plate' : 'draught'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $plug = Observation::changing('wiggle-plug', 0.6);
        $conductors = [
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.01),
            Conductor::of('limit', ConductorKind::LightContact, 'limit', 0.02),
            Conductor::of('neutral', ConductorKind::HeavyWire, 'wiring', 0.02)->seen($plug),
        ];
        foreach ($this->speeds() as $speed) {
            $conductors[] = Conductor::of("wire-$speed", ConductorKind::HeavyWire, 'wiring', 0.015)->seen($plug);
            $conductors[] = Conductor::of("output-$speed", ConductorKind::LightContact, 'control', 0.02)
                ->madeByPosition()
                ->seen(Observation::changing('tap-control', 0.5));
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
        $motor = $this->motor();
        // A typed resistance says more of the copper than of the iron.
        $copper = $this->fastOhms === null ? $u['winding'] * $u['copper'] : $u['copper'];
        $values = [
            'line.volts' => $u['volts'],
            'fast.fanTorque' => $motor->fanTorque * $u['fan'],
            'fast.draught' => $u['draught'],
            'fast.ohms' => $motor->ohms * $copper,
        ];
        foreach (['reactance', 'magnetising', 'rotorReactance'] as $name) {
            $values["fast.$name"] = $motor->parameters()[$name] * $u['winding'];
        }
        foreach ($this->speeds() as $speed) {
            $values["ghost-$speed.ohms"] = $u['ghost'];
            $values["stray-$speed.ohms"] = $u['stray'];
        }
        if ($this->twoSpeeds) {
            $turns = self::SLOW_TURNS * $u['turns'];
            $values['slow.ohms'] = self::SLOW_OHMS * $motor->ohms * $copper * $u['ratio'];
            $values['slow.turns'] = $turns;
            $values['slow.reactance'] = $motor->reactance * $u['winding'] * $turns ** 2;
        }

        return $values;
    }
}
