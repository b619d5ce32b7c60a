<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\InductionMotor;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
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

    public function __construct(
        public bool $twoSpeeds,
        private float $line,
        private float $hertz,
        private ?float $fastOhms,
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
        }
        $elements[] = Element::inductionMotor('fast', 'plug-fast', 'plug-neutral', $this->motor());
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
            new SetUp('dead', 'off', $off, 'dead'),
            new SetUp('gas-shut', 'full', [], 'gas-shut'),
            new SetUp('unplugged', 'full', $off, 'unplugged'),
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
            Unknown::normal('volts', $this->line, 0.018 * $this->line),
            Unknown::factor('winding', 1.0, $this->fastOhms === null ? 0.3 : 0.05),
            Unknown::factor('ratio', 1.0, 0.06),
            Unknown::factor('fan', 1.0, 0.08),
            Unknown::factor('air', 1.0, 0.07),
        ];
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $motor = $this->motor();
        $values = [
            'line.volts' => $u['volts'],
            'fast.fanTorque' => $motor->fanTorque * $u['fan'],
            'fast.air' => $u['air'],
        ];
        foreach (['ohms', 'reactance', 'magnetising', 'rotorReactance'] as $name) {
            $values["fast.$name"] = $motor->parameters()[$name] * $u['winding'];
        }
        if ($this->twoSpeeds) {
            $values['slow.ohms'] = self::SLOW_OHMS * $motor->ohms * $u['winding'] * $u['ratio'];
            $values['slow.reactance'] = $motor->reactance * $u['winding'] * self::SLOW_TURNS ** 2;
        }

        return $values;
    }
}
