<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\SetUp;

/**
 * Engine – supply hose – check valve – tank – control valve – a hose and a diaphragm for each door.
 *
 * Written as a circuit: kilopascals under the air outside stand for volts, flow for current, a
 * narrow hose for a resistance, a leak for a path to ground. A diaphragm is a coil: it pulls its
 * door from a certain vacuum on and lets go under a lower one. With no vacuum at all the doors
 * rest at the windscreen.
 */
final readonly class VacuumDoors implements Layout
{
    private const OPEN = Element::OPEN_OHMS;

    /** Doors and the position that pulls each. */
    public const DOORS = ['face', 'feet', 'fresh'];
    public const LABELS = [
        'windscreen' => 'windscreen',
        'face' => 'face',
        'feet' => 'feet',
        'fresh' => 'recirculate',
        'hill' => 'face, uphill',
    ];

    /** kPa under the air outside: idling engine, pulling hard, and what the tank then still holds. */
    private const ENGINE_KPA = 60.0;
    private const HILL_KPA = 8.0;
    private const TANK_KPA = 50.0;

    /** kPa at which a diaphragm moves its rod, and its rod with the door on it. */
    private const ROD_KPA = [16.0, 8.0];
    private const DOOR_KPA = [24.0, 12.0];
    private const NEVER_KPA = [400.0, 300.0];

    /** kPa for a unit of flow: hoses and their orifice, what a sound diaphragm seeps. */
    private const SUPPLY = 1.0;
    private const HOSE = 0.4;
    private const SEEPS = 1500.0;

    public function netlist(): Netlist
    {
        $r = static fn(string $id, string $from, string $to, float $ohms): Element => Element::resistor(
            $id,
            $from,
            $to,
            $ohms,
        );
        $elements = [
            Element::source('engine', 'manifold', '0', self::ENGINE_KPA, 0.2),
            $r('supply-hose', 'manifold', 'check', self::SUPPLY),
            $r('supply-leak', 'check', '0', self::OPEN),
            $r('check-valve', 'check', 'tank', 0.2),
            $r('check-stuck', 'check', 'tank', self::OPEN),
            Element::source('reserve', 'tank', '0', self::TANK_KPA, self::OPEN),
            $r('tank-leak', 'tank', '0', self::OPEN),
            $r('tank-hose', 'tank', 'head', self::HOSE),
            $r('head-leak', 'head', '0', self::OPEN),
            Element::source('hand-pump', 'pump', '0', self::ENGINE_KPA, 6.0),
        ];
        foreach (self::DOORS as $door) {
            $elements[] = $r("port-$door", 'head', "out-$door", self::OPEN);
            $elements[] = $r("port-stuck-$door", 'head', "out-$door", self::OPEN);
            $elements[] = $r("hose-$door", "out-$door", $door, self::HOSE);
            $elements[] = $r("port-leak-$door", "out-$door", '0', self::OPEN);
            $elements[] = $r("leak-$door", $door, '0', self::OPEN);
            $elements[] = Element::coil("rod-$door", $door, '0', self::SEEPS, ...self::ROD_KPA);
            $elements[] = Element::coil("door-$door", $door, '0', self::SEEPS, ...self::DOOR_KPA);
            $elements[] = $r("pump-$door", 'pump', $door, self::OPEN);
        }

        return new Netlist($elements);
    }

    public function supply(): string
    {
        return 'engine.volts';
    }

    public function unknowns(): array
    {
        $unknowns = [
            Populations::level('engine', 'engine vacuum'),
            Populations::level('held', 'vacuum held'),
            Populations::unknown('supply', 'supply hose'),
            Populations::unknown('seeps', 'seeping'),
            Populations::unknown('pull', 'pull of a diaphragm'),
            Populations::unknown('pump', 'hand pump'),
        ];
        foreach (['tank-hose', ...array_map(static fn(string $d): string => "hose-$d", self::DOORS)] as $hose) {
            $unknowns[] = Populations::unknown($hose, 'vacuum hose');
        }

        return $unknowns;
    }

    public function conductors(): array
    {
        return [];
    }

    public function assign(array $u): array
    {
        $values = [
            'engine.volts' => $u['engine'],
            'reserve.volts' => $u['engine'] * min(0.98, $u['held']),
            'supply-hose.ohms' => $u['supply'],
            'tank-hose.ohms' => $u['tank-hose'],
            'hand-pump.volts' => self::ENGINE_KPA * $u['pump'],
        ];
        foreach (self::DOORS as $door) {
            $values["hose-$door.ohms"] = $u["hose-$door"];
            foreach (['rod' => self::ROD_KPA, 'door' => self::DOOR_KPA] as $what => [$pulls, $drops]) {
                $values["$what-$door.ohms"] = self::SEEPS * $u['seeps'];
                $values["$what-$door.pullInVolts"] = $pulls * $u['pull'];
                $values["$what-$door.dropOutVolts"] = $drops * $u['pull'];
            }
        }

        return $values;
    }

    public function positions(): array
    {
        $positions = [new Position('windscreen', self::LABELS['windscreen'], PositionKind::Stands, [], 'door-face')];
        foreach (self::DOORS as $door) {
            $positions[] = new Position(
                $door,
                self::LABELS[$door],
                PositionKind::Holds,
                [Adjustment::set("port-$door.ohms", 0.1)],
                "door-$door",
            );
        }
        $hill = [
            Adjustment::set('port-face.ohms', 0.1),
            Adjustment::set('engine.volts', self::HILL_KPA),
            Adjustment::opened('check-valve'),
            Adjustment::set('reserve.ohms', 6.0),
        ];
        $positions[] = new Position('hill', self::LABELS['hill'], PositionKind::Holds, $hill, 'door-face');

        return $positions;
    }

    public function setUps(): array
    {
        $setUps = array_map(static fn(string $key): SetUp => new SetUp($key, $key), array_keys(self::LABELS));
        $setUps[] = SetUp::isolated('dead', 'windscreen', 'dead');
        $setUps[] = new SetUp('clamp-head', 'windscreen', [Adjustment::opened('tank-hose')], 'clamp-head');
        foreach (self::DOORS as $door) {
            $setUps[] = new SetUp("clamp-$door", $door, [Adjustment::opened("hose-$door")], "clamp-$door");
            $setUps[] = new SetUp(
                "pump-$door",
                'windscreen',
                [Adjustment::opened("hose-$door"), Adjustment::set("pump-$door.ohms", 0.05)],
                "pump-$door",
                PositionKind::Holds,
                "door-$door",
                isolated: true,
                fedFrom: ['hand-pump'],
            );
        }

        return $setUps;
    }

    /** @return list<Adjustment> that leave a door or its rod where it is, whatever pulls */
    public static function never(string $what): array
    {
        return [
            Adjustment::set("$what.pullInVolts", self::NEVER_KPA[0]),
            Adjustment::set("$what.dropOutVolts", self::NEVER_KPA[1]),
        ];
    }

    /** The engine runs beside the hands: belts and fan turn. */
    public function safety(): Safety
    {
        return new Safety([Hazard::Moving], ['engine-off'], ['engine-runs'], runs: [], mayStart: []);
    }

    public function tests(): array
    {
        return VacuumTests::all($this->positions());
    }

    public function observations(): array
    {
        return VacuumFaults::observations();
    }

    public function faults(): array
    {
        return VacuumFaults::all();
    }

    public function parts(): array
    {
        return VacuumFaults::parts();
    }

    public function causeChecks(): array
    {
        return array_map(
            static fn(string $door): CauseCheck => new CauseCheck("actuator-$door", "by-hand-$door", 'door'),
            self::DOORS,
        );
    }

    public function accessMinutes(): array
    {
        return ['engine' => 1.0, 'glovebox' => 3.0, 'head' => 7.0];
    }

    public function sheet(): Sheet
    {
        return VacuumDrawing::sheet();
    }
}
