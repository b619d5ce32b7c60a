<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

use Ispira\Core\Circuit\Contactor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Unknown;

/**
 * Transformer – board fuse – thermostat call – board relay contact – field wire – coil – common.
 */
final readonly class Wiring
{
    /** Ordinary contactor: about 8 VA sealed, four times that while it is apart. */
    private const COIL_VA = 8.0;

    /** A relay takes a quarter of that. */
    private const RELAY_VA = 2.2;

    private const SEALED_FACTOR = 0.35;
    private const APART_FACTOR = 0.6;
    private const APART_SHARE = 0.25;

    /** Ω for a metre of field cable there and back, and its usual length. */
    private const OHMS_PER_METRE = 0.042;
    private const METRES = 15.0;

    /** What else hangs on the transformer, in Ω: the board itself, and everything at once. */
    private const BOARD_OHMS = 90.0;
    private const ALL_LOADS_OHMS = 27.0;

    public function __construct(
        private bool $large,
        private bool $relay,
        private ?float $metres,
        private ?float $coilVa,
    ) {}

    public function netlist(): Netlist
    {
        return new Netlist([
            Element::alternatingSource('transformer', 'R', '0', 27.0, $this->sourceOhms()),
            Element::resistor('board-load', 'R', '0', self::BOARD_OHMS),
            Element::resistor('other-loads', 'R', '0', Element::OPEN_OHMS),
            Element::resistor('fuse', 'R', 'fused', 0.03),
            Element::resistor('thermostat', 'fused', 'call', Element::OPEN_OHMS),
            Element::resistor('call-input', 'call', '0', 2200.0),
            Element::resistor('contact', 'fused', 'out', Element::OPEN_OHMS),
            Element::resistor('weld', 'fused', 'out', Element::OPEN_OHMS),
            Element::resistor('wire', 'out', 'coil-in', 0.6),
            Element::resistor('chafe', 'coil-in', '0', Element::OPEN_OHMS),
            Element::contactor('contactor', 'coil-in', 'coil-out', $this->coil(1.0)),
            Element::resistor('common', 'coil-out', '0', 0.2),
            Element::resistor('test-load', 'out', '0', Element::OPEN_OHMS),
            Element::contactor('known-coil', 'known', '0', $this->coil(1.0)),
            Element::resistor('known-lead', 'out', 'known', Element::OPEN_OHMS),
        ]);
    }

    private function sourceOhms(): float
    {
        return $this->large ? 0.8 : 1.5;
    }

    private function coil(float $size): Contactor
    {
        $va = ($this->coilVa ?? ($this->relay ? self::RELAY_VA : self::COIL_VA)) * $size;
        $sealed = (24.0 * 24.0) / $va;

        return Contactor::of(
            0.12 * $sealed,
            $sealed * self::APART_SHARE,
            self::APART_FACTOR,
            $sealed,
            self::SEALED_FACTOR,
            18.5,
            10.0,
        );
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $call = [Adjustment::set('thermostat.ohms', 0.1), Adjustment::set('contact.ohms', 0.05)];

        return [
            new Position('off', 'no call', PositionKind::Stands, [], 'contactor'),
            new Position('call', 'call', PositionKind::Holds, $call, 'contactor'),
            new Position(
                'all',
                'call, all on',
                PositionKind::Holds,
                [
                    ...$call,
                    Adjustment::set(
                        'other-loads.ohms',
                        $this->large ? 0.5 * self::ALL_LOADS_OHMS : self::ALL_LOADS_OHMS,
                    ),
                ],
                'contactor',
            ),
        ];
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $lifted = Adjustment::opened('wire');

        return [
            new SetUp('off', 'off'),
            new SetUp('call', 'call'),
            new SetUp('all', 'all'),
            new SetUp('lifted', 'call', [$lifted], 'lifted'),
            new SetUp('test-load', 'call', [$lifted, Adjustment::set('test-load.ohms', 33.0)], 'test-load'),
            new SetUp(
                'known',
                'call',
                [$lifted, Adjustment::set('known-lead.ohms', 0.05)],
                'known',
                mover: 'known-coil',
            ),
            new SetUp('dead', 'off', [$lifted], 'dead'),
        ];
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        return [
            Unknown::normal('volts', 27.2, 0.6),
            Unknown::factor('source', 1.0, 0.18),
            Unknown::factor(
                'wire',
                $this->metres === null ? 1.0 : $this->metres / self::METRES,
                $this->metres === null ? 0.45 : 0.08,
            ),
            Unknown::factor('coil', 1.0, $this->coilVa === null ? 0.16 : 0.05),
            Unknown::normal('pullIn', 18.5, 0.7),
            Unknown::factor('board', 1.0, 0.3),
        ];
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $coil = $this->coil($u['coil']);
        $values = [
            'transformer.volts' => $u['volts'],
            'transformer.ohms' => $this->sourceOhms() * $u['source'],
            'wire.ohms' => self::OHMS_PER_METRE * self::METRES * $u['wire'],
            'board-load.ohms' => self::BOARD_OHMS * $u['board'],
        ];
        foreach ($coil->parameters() as $name => $value) {
            $values["contactor.$name"] = $value;
        }
        $values['contactor.pullInVolts'] = $u['pullIn'];

        return $values;
    }
}
