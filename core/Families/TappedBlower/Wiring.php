<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

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
use Ispira\Core\Families\Furnace\HeatRise;

/**
 * Line – door switch – one board relay for each call – tap wire – winding up to that tap – common;
 * beside it the thermostat's 24 V call, and the run capacitor in front of the auxiliary winding.
 */
final readonly class Wiring
{
    /** Call, and what it says on the thermostat's terminal. */
    private const TERMINALS = ['heat' => 'W', 'cool' => 'Y', 'fan' => 'G'];

    public function __construct(private TappedMotor $motor, private bool $fanTerminal, private HeatRise $rise) {}

    /** @return array<string, int> the tap that each call should run on */
    public function assignment(): array
    {
        $slowest = \count($this->motor->names()) - 1;
        $heat = $this->motor->taps === '3' ? 1 : $slowest - 1;

        return $this->fanTerminal ? ['heat' => $heat, 'cool' => 0, 'fan' => $slowest] : ['heat' => $heat, 'cool' => 0];
    }

    /** @return list<array{0: string, 1: string}> calls whose wires to the motor may rub through against each other */
    public function neighbours(): array
    {
        return $this->fanTerminal ? [['heat', 'cool'], ['cool', 'fan'], ['heat', 'fan']] : [['heat', 'cool']];
    }

    public static function terminal(string $call): string
    {
        return self::TERMINALS[$call];
    }

    public function tapNode(int $tap): string
    {
        return 'tap-' . $this->motor->names()[$tap];
    }

    /** The tap on which a heat wire that was moved stands: one slower, or faster where there is none. */
    public function wrongTap(): int
    {
        $heat = $this->assignment()['heat'];

        return $heat + 1 < \count($this->motor->names()) ? $heat + 1 : $heat - 1;
    }

    public function netlist(): Netlist
    {
        $elements = [
            Element::alternatingSource('line', 'L', '0', $this->motor->line, 0.25),
            Element::resistor('breaker', 'L', 'fed', 0.02),
            Element::resistor('door', 'fed', 'live', 0.02),
            Element::alternatingSource('transformer', 'R', '0', 27.0, 1.5),
            Element::resistor('transformer-load', 'R', '0', 90.0),
        ];
        foreach ($this->assignment() as $call => $tap) {
            $elements[] = Element::resistor("call-$call", 'R', self::TERMINALS[$call], Element::OPEN_OHMS);
            $elements[] = Element::resistor("input-$call", self::TERMINALS[$call], '0', 2200.0);
            $elements[] = Element::resistor("relay-$call", 'live', $call, Element::OPEN_OHMS);
            $elements[] = Element::resistor("wire-$call", $call, $this->tapNode($tap), 0.05);
        }
        $elements[] = Element::resistor('wrong-heat', 'heat', $this->tapNode($this->wrongTap()), Element::OPEN_OHMS);

        foreach ($this->neighbours() as [$call, $next]) {
            $elements[] = Element::resistor("touch-$call-$next", $call, $next, Element::OPEN_OHMS);
        }

        return new Netlist([...$elements, ...$this->windings()]);
    }

    /** @return list<Element> */
    private function windings(): array
    {
        $m = $this->motor;
        $elements = [
            Element::inductionMotor('main', $this->tapNode(0), 'middle', $m->motor())->offering(['heat' => 1.0]),
        ];
        foreach (array_keys(\array_slice($m->names(), 1)) as $before) {
            $turns = $m->turns($before + 1) - $m->turns($before);
            // A section of thinner wire: twice the resistance for its turns.
            $elements[] = Element::mainWinding(
                'section-' . ($before + 1),
                $this->tapNode($before + 1),
                $this->tapNode($before),
                2.0 * $turns * $m->mainOhms(),
                $turns * $m->mainReactance(),
                $turns,
                'main',
            );
            $elements[] = Element::resistor(
                'turns-' . ($before + 1),
                $this->tapNode($before + 1),
                $this->tapNode($before),
                Element::OPEN_OHMS,
            );
        }

        return [
            ...$elements,
            Element::resistor('protector', 'middle', 'common', 0.03),
            Element::resistor('common-wire', 'common', '0', 0.05),
            Element::resistor('capacitor-lead', $this->tapNode(0), 'capacitor-in', 0.02),
            Element::capacitor('capacitor', 'capacitor-in', 'auxiliary-end', $m->microfarads(), $m->hertz, 0.3),
            Element::auxiliaryWinding(
                'auxiliary',
                'auxiliary-end',
                'middle',
                $m->auxiliaryOhms(),
                $m->auxiliaryReactance(),
                TappedMotor::AUXILIARY_TURNS,
                'main',
            ),
            // The limit, and the capacitor by itself once it is off: only meters reach them.
            Element::resistor('limit', 'limit-a', 'limit-b', 0.1),
            Element::resistor('limit-lead', 'limit-b', '0', 1e6),
            Element::resistor('case-leak', 'middle', 'case', Element::OPEN_OHMS),
            Element::resistor('bond', 'case', '0', 0.1),
        ];
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $positions = [new Position('off', 'no call', PositionKind::Stands, [], 'main')];
        foreach (array_keys($this->assignment()) as $call) {
            $positions[] = new Position(
                $call,
                $call,
                PositionKind::Runs,
                [Adjustment::set("call-$call.ohms", 0.1), Adjustment::set("relay-$call.ohms", 0.03)],
                'main',
            );
        }
        // The fastest stands last: it is what others are compared with.
        usort($positions, fn(Position $a, Position $b): int => $this->rank($a->key) <=> $this->rank($b->key));

        return $positions;
    }

    private function rank(string $position): int
    {
        return ['off' => 0, 'fan' => 1, 'heat' => 2, 'cool' => 3][$position];
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $lead = [];
        foreach (array_keys($this->assignment()) as $call) {
            $lead[] = Adjustment::opened("wire-$call");
        }
        $apart = [
            ...$lead,
            Adjustment::opened('wrong-heat'),
            Adjustment::opened('common-wire'),
            Adjustment::opened('capacitor-lead'),
        ];
        $setUps = [
            new SetUp('off', 'off'),
            SetUp::isolated('isolated', 'off', 'isolated'),
            SetUp::isolated('dead', 'off', 'dead', $apart),
        ];
        foreach (array_keys($this->assignment()) as $call) {
            $setUps[] = new SetUp($call, $call);
            $setUps[] = new SetUp(
                "lifted-$call",
                $call,
                [Adjustment::opened("wire-$call"), Adjustment::opened('wrong-heat')],
                'lifted',
            );
        }
        // A push does for the start what the auxiliary winding does.
        $setUps[] = new SetUp('pushed', 'cool', [Adjustment::set('main.pushed', 1.0)], 'pushed');

        return $setUps;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $m = $this->motor;
        $known = $m->ampsKnown();

        return [
            Populations::level('volts', 'line', $m->line),
            $known ? Populations::unknown('size', 'impedance of plate') : Populations::unknown('size', 'tapped motor'),
            Populations::unknown('copper', $known ? 'copper of known size' : 'copper'),
            Populations::unknown('auxiliary', $known ? 'copper of known size' : 'copper'),
            ...$m->capacitorKnown() ? [] : [Populations::unknown('rated', 'rated capacitance')],
            Populations::unknown('capacitor', 'new capacitor'),
            Populations::unknown('fan', 'fan load'),
            Populations::unknown('taps', 'steps between taps'),
            Populations::level('secondary', 'secondary unloaded'),
            Populations::unknown('inputs', 'input of a board'),
            ...$this->rise->unknowns(),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $moved = Observation::changing('wiggle-wires', 0.6);
        $conductors = [
            Conductor::of('breaker', ConductorKind::HeavyContact, 'breaker', 0.01),
            Conductor::of('door', ConductorKind::HeavyContact, 'door-switch', 0.03),
            Conductor::of('common-wire', ConductorKind::HeavyWire, 'wires', 0.02)->seen($moved),
            Conductor::of('capacitor-lead', ConductorKind::Joint, 'wires', 0.02)->opening(0.03)->seen($moved),
        ];
        foreach (array_keys($this->assignment()) as $call) {
            $conductors[] = Conductor::of("wire-$call", ConductorKind::HeavyWire, 'wires', 0.015)->seen($moved);
            $conductors[] = Conductor::of("relay-$call", ConductorKind::HeavyContact, 'board', 0.02)
                ->madeByPosition()
                ->seen(['look-board' => FaultList::BROWN] + Observation::changing('tap-board', 0.5));
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
        $m = $this->motor;
        $motor = $m->motor();
        // A motor is made for the capacitor on its plate; what hangs there may have aged.
        $rated = $m->capacitorKnown() ? $m->microfarads() : ($m->microfarads() * $u['rated']) / $u['size'];
        $values = [
            'line.volts' => $u['volts'],
            'transformer.volts' => ($u['secondary'] * $u['volts']) / $m->line,
            'main.ohms' => $motor->ohms * $u['size'] * $u['copper'],
            'main.reactance' => $motor->reactance * $u['size'],
            'main.magnetising' => $motor->magnetising * $u['size'],
            'main.rotorReactance' => $motor->rotorReactance * $u['size'],
            'main.fanTorque' => $motor->fanTorque * $u['fan'],
            'main.tripAmps' => $motor->tripAmps / $u['size'],
            'main.auxiliarySiemens' => $m->auxiliarySiemens($rated, $u['size']),
            'main.heat' => $u['heat'] ?? 1.0,
            'auxiliary.ohms' => $m->auxiliaryOhms() * $u['size'] * $u['auxiliary'],
            'auxiliary.reactance' => $m->auxiliaryReactance() * $u['size'],
            'capacitor.microfarads' => $rated * $u['capacitor'],
        ];
        foreach (array_keys(\array_slice($m->names(), 1)) as $before) {
            $turns = ($m->turns($before + 1) - $m->turns($before)) * $u['taps'];
            $values['section-' . ($before + 1) . '.turns'] = $turns;
            $values['section-' . ($before + 1) . '.ohms'] = 2.0 * $turns * $m->mainOhms() * $u['size'] * $u['copper'];
            $values['section-' . ($before + 1) . '.reactance'] = $turns * $m->mainReactance() * $u['size'];
        }
        foreach (array_keys($this->assignment()) as $call) {
            $values["input-$call.ohms"] = $u['inputs'];
        }

        return $values;
    }
}
