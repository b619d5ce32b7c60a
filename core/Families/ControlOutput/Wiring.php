<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

use Ispira\Core\Circuit\Contactor;
use Ispira\Core\Circuit\Element;
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

    /** Ω for a metre of one wire of the field cable. */
    private const OHMS_PER_METRE = 0.021;

    /** What else hangs on the transformer, in Ω: the board itself, and everything at once. */
    private const BOARD_OHMS = 90.0;
    private const ALL_LOADS_OHMS = 27.0;

    /** What couples an output that nothing hangs on, in Ω. */
    private const GHOST_OHMS = 10e6;

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
            Element::resistor('drain', 'fused', '0', Element::OPEN_OHMS),
            Element::resistor('thermostat', 'fused', 'call', Element::OPEN_OHMS),
            Element::resistor('call-input', 'call', '0', 2200.0),
            Element::resistor('contact', 'fused', 'out', Element::OPEN_OHMS),
            Element::resistor('weld', 'fused', 'out', Element::OPEN_OHMS),
            Element::resistor('terminal', 'out', 'lead', 0.05),
            Element::resistor('wire', 'lead', 'coil-in', 0.6),
            Element::resistor('chafe', 'coil-in', '0', Element::OPEN_OHMS),
            Element::resistor('chafe-live', 'R', 'coil-in', Element::OPEN_OHMS),
            // What a meter shows at the output while nothing hangs on it.
            Element::resistor('ghost', 'R', 'out', self::GHOST_OHMS),
            Element::resistor('stray', 'out', '0', self::GHOST_OHMS),
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

    private function coil(float $size, float $apart = 1.0): Contactor
    {
        $va = ($this->coilVa ?? ($this->relay ? self::RELAY_VA : self::COIL_VA)) * $size;
        $sealed = (24.0 * 24.0) / $va;

        return Contactor::of(
            0.12 * $sealed,
            $sealed * self::APART_SHARE * $apart,
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
        $lifted = Adjustment::opened('terminal');

        return [
            new SetUp('off', 'off'),
            new SetUp('call', 'call'),
            new SetUp('all', 'all'),
            new SetUp('lifted', 'call', [$lifted], 'lifted'),
            new SetUp('idle', 'off', [$lifted], 'lifted'),
            new SetUp('fuse-out', 'off', [Adjustment::opened('fuse')], 'fuse-out'),
            new SetUp('test-load', 'call', [$lifted, Adjustment::set('test-load.ohms', 33.0)], 'test-load'),
            new SetUp(
                'known',
                'call',
                [$lifted, Adjustment::set('known-lead.ohms', 0.05)],
                'known',
                mover: 'known-coil',
            ),
            SetUp::isolated('isolated', 'off', 'isolated'),
            SetUp::isolated('dead', 'off', 'dead', [$lifted]),
            SetUp::isolated('coil-off', 'off', 'coil-off', [Adjustment::opened('wire'), Adjustment::opened('common')]),
        ];
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $metres = $this->metres;
        $wire = static fn(string $name): Unknown => $metres === null
            ? Populations::unknown($name, 'field wire')
            : Populations::unknown($name, 'field wire of length', self::OHMS_PER_METRE * $metres);

        return [
            Populations::level('volts', 'secondary unloaded'),
            Populations::unknown('source', 'transformer regulation', $this->sourceOhms()),
            $wire('wire'),
            $wire('common'),
            match (true) {
                $this->coilVa !== null => Populations::unknown('coil', 'typed VA'),
                $this->relay => Populations::unknown('coil', 'relay VA', 1.0 / self::RELAY_VA),
                default => Populations::unknown('coil', 'contactor VA', 1.0 / self::COIL_VA),
            },
            Populations::unknown('copper', $this->relay ? 'relay coil' : 'contactor coil'),
            Populations::unknown('apart', 'coil apart'),
            Populations::level('pullIn', 'pull-in'),
            Populations::level('dropOut', 'drop-out of pull-in'),
            Populations::unknown('board', 'other loads'),
            Populations::unknown('input', 'input of a board'),
            Populations::unknown('ghost', 'idle output'),
            Populations::unknown('stray', 'stray of an idle wire'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $light = ConductorKind::LightContact;

        return [
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.02),
            Conductor::of('thermostat', $light, 'thermostat', 0.02)->madeByPosition(),
            Conductor::of('contact', $light, 'board')->madeByPosition(),
            Conductor::of('terminal', $light, 'field-wire', 0.03)
                ->opening(0.02)
                ->seen(Observation::changing('wiggle-wire', 0.3)),
            Conductor::of('wire', ConductorKind::FieldWire, 'field-wire')->valuedByFamily(),
            Conductor::of('common', ConductorKind::FieldWire, 'common-wire')->valuedByFamily(),
        ];
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $coil = $this->coil($u['coil'], $u['apart']);
        $values = [
            'transformer.volts' => $u['volts'],
            'transformer.ohms' => $u['source'],
            'wire.ohms' => $u['wire'],
            'common.ohms' => $u['common'],
            'board-load.ohms' => self::BOARD_OHMS * $u['board'],
            'call-input.ohms' => $u['input'],
            'ghost.ohms' => $u['ghost'],
            'stray.ohms' => $u['stray'],
        ];
        foreach ($coil->parameters() as $name => $value) {
            $values["contactor.$name"] = $value;
        }
        $values['contactor.ohms'] = $u['copper'];
        $values['contactor.pullInVolts'] = $u['pullIn'];
        $values['contactor.dropOutVolts'] = $u['pullIn'] * min(0.95, max(0.2, $u['dropOut']));

        return $values;
    }
}
