<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SpeedModule;
use Ispira\Core\Circuit\ThreeBrushMotor;
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
 * Stalk – speed wire – module input, and the module with its motor.
 *
 * The stalk's resistance and the input of the module divide the supply: each setting has a
 * voltage of its own on the speed wire, but only while the input draws its current. How often
 * the wipers go is taken as a mean speed.
 */
final readonly class Wiring
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.01;

    /** Input of the module, and the stalk's resistances from the most to the least frequent setting, in Ω. */
    public const INPUT_OHMS = 10e3;
    public const SETTINGS = [5 => [2.2e3, 5.1e3, 10e3, 20e3, 39e3], 3 => [2.2e3, 10e3, 39e3]];
    private const MIDDLE_OHMS = 10e3;

    /** Share of the supply on the speed wire in the first and the last setting, as the module's table has it. */
    private const FIRST_SHARE = 0.82;
    private const LAST_SHARE = 0.2;

    public function __construct(public int $settings, private ?float $inputOhms) {}

    private function inputOhms(): float
    {
        return $this->inputOhms ?? self::INPUT_OHMS;
    }

    public function netlist(): Netlist
    {
        $r = static fn(string $id, string $from, string $to, float $ohms): Element => Element::resistor(
            $id,
            $from,
            $to,
            $ohms,
        );

        return new Netlist([
            Element::source('battery', 'battery', '0', 12.6, 0.02),
            $r('feed', 'battery', 'fuse-in', 0.02),
            $r('fuse', 'fuse-in', 'fed', self::JOINT),
            $r('stalk-feed', 'fed', 'stalk-in', 0.05),
            $r('interval-contact', 'stalk-in', 'track', self::OPEN),
            $r('setting', 'track', 'speed-out', self::MIDDLE_OHMS)->offering(
                array_map(static fn(float $share): float => $share * self::MIDDLE_OHMS, $this->shares()),
            ),
            $r('low-contact', 'stalk-in', 'speed-out', self::OPEN),
            $r('high-contact', 'stalk-in', 'high-out', self::OPEN),
            $r('speed-wire', 'speed-out', 'speed-pin', 0.1),
            $r('high-wire', 'high-out', 'high-pin', 0.1),
            $r('speed-plug', 'speed-pin', 'speed-in', 0.05),
            $r('high-plug', 'high-pin', 'high-in', 0.05),
            $r('speed-grounded', 'speed-pin', '0', self::OPEN),
            $r('speed-fed', 'fed', 'speed-pin', self::OPEN),
            $r('high-fed', 'fed', 'high-pin', self::OPEN),
            $r('known-load', 'speed-pin', '0', self::OPEN),
            Element::source('bench-supply', 'bench', '0', 0.0, 0.5),
            $r('bench-lead', 'bench', 'speed-in', self::OPEN),
            $r('bench-high', 'bench', 'high-in', self::OPEN),
            Element::controlInput(
                'speed-input',
                'speed-in',
                'module-ground',
                $this->inputOhms(),
                new Control(
                    'stage.duty',
                    [
                        [0.1, 0.0],
                        [0.14, 0.14],
                        [0.22, 0.2],
                        [0.34, 0.26],
                        [0.5, 0.34],
                        [0.66, 0.42],
                        [0.82, 0.52],
                        [0.9, 0.58],
                        [0.93, 1.0],
                    ],
                    reference: ['supply', 'module-ground'],
                    worksFrom: 5.0,
                ),
            ),
            Element::coil('high-input', 'high-in', 'module-ground', 6e3, 8.0, 5.0),
            $r('module-feed', 'fed', 'supply', 0.03),
            Element::moduleInput('module', 'supply', 'module-ground'),
            Element::moduleOutput('stage', 'out', 'module-ground', new SpeedModule(0.05, 0.0), 'module'),
            Element::restContact('low-gate', 'out', 'low-side', 'high-input', 0.02),
            $r('low-joint', 'low-side', 'L', self::JOINT),
            Element::workContact('high-gate', 'supply', 'high-side', 'high-input', 0.02),
            $r('high-joint', 'high-side', 'H', self::JOINT),
            ...$this->motor(1.0, 1.0, 1.0, 0.7)->elements('L', 'H', 'C'),
            $r('motor-return', 'C', 'module-ground', self::JOINT),
            $r('ground', 'module-ground', '0', 0.02),
            $r('direct-low', 'battery', 'L', self::OPEN),
            $r('direct-high', 'battery', 'H', self::OPEN),
            $r('direct-common', 'C', '0', self::OPEN),
        ]);
    }

    private function motor(float $size, float $emf, float $friction, float $third): ThreeBrushMotor
    {
        return new ThreeBrushMotor(
            0.7 / $size,
            0.05 * $emf,
            $third,
            1 / 3,
            0.03,
            0.05 * $size * $friction,
            4e-7 * $size,
            2e-4 * $size,
        );
    }

    /** @return array<string, float> stalk resistance over its middle one, by setting */
    public function shares(): array
    {
        $shares = [];
        foreach (self::SETTINGS[$this->settings] ?? self::SETTINGS[5] as $n => $ohms) {
            $shares['int-' . ($n + 1)] = $ohms / self::MIDDLE_OHMS;
        }

        return $shares;
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $on = static fn(string $element): Adjustment => Adjustment::set("$element.ohms", 0.05);
        $positions = [new Position('off', 'off', PositionKind::Stands, [])];
        foreach (array_keys(array_reverse($this->shares(), true)) as $key) {
            $positions[] = new Position($key, 'interval ' . substr($key, 4), PositionKind::Runs, [
                $on('interval-contact'),
                Adjustment::follow('setting.ohms', "setting.$key"),
            ]);
        }

        return [
            ...$positions,
            new Position('low', 'low', PositionKind::Runs, [$on('low-contact')]),
            new Position('high', 'high', PositionKind::Runs, [$on('low-contact'), $on('high-contact')]),
        ];
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $unplugged = [Adjustment::opened('speed-plug'), Adjustment::opened('high-plug')];
        $setUps = [SetUp::isolated('dead', 'off', 'dead')];
        foreach ($this->positions() as $p) {
            $setUps[] = new SetUp($p->key, $p->key);
            if ($p->key === 'low' || str_starts_with($p->key, 'int-')) {
                $setUps[] = new SetUp("unloaded-$p->key", $p->key, $unplugged, 'unloaded');
                $setUps[] = new SetUp(
                    "loaded-$p->key",
                    $p->key,
                    [...$unplugged, Adjustment::set('known-load.ohms', $this->inputOhms())],
                    'loaded',
                );
                $setUps[] = new SetUp(
                    "stalk-out-$p->key",
                    $p->key,
                    [Adjustment::opened('stalk-feed'), Adjustment::opened('speed-wire')],
                    'stalk-out',
                );
            }
        }
        foreach (['half' => 6.3, 'full' => 12.6] as $name => $volts) {
            $setUps[] = new SetUp(
                "alone-$name",
                'off',
                [...$unplugged, Adjustment::set('bench-supply.volts', $volts), Adjustment::set('bench-lead.ohms', 0.1)],
                "alone-$name",
                PositionKind::Runs,
            );
        }
        $setUps[] = new SetUp(
            'alone-high',
            'off',
            [
                ...$unplugged,
                Adjustment::set('bench-supply.volts', 12.6),
                Adjustment::set('bench-lead.ohms', 0.1),
                Adjustment::set('bench-high.ohms', 0.1),
            ],
            'alone-high',
            PositionKind::Runs,
        );
        foreach (['low', 'high'] as $speed) {
            $setUps[] = new SetUp(
                "direct-$speed",
                'off',
                [
                    Adjustment::opened('low-joint'),
                    Adjustment::opened('high-joint'),
                    Adjustment::opened('motor-return'),
                    Adjustment::set("direct-$speed.ohms", 0.03),
                    Adjustment::set('direct-common.ohms', 0.01),
                ],
                'direct',
                PositionKind::Runs,
            );
        }
        $setUps[] = new SetUp(
            'stalk-off',
            'off',
            [Adjustment::opened('stalk-feed'), Adjustment::opened('speed-wire'), Adjustment::opened('high-wire')],
            'stalk-off',
            // A wire that touches a live one keeps the wipers going.
            PositionKind::Runs,
        );
        $setUps[] = new SetUp('wire-out', 'off', [...$unplugged, Adjustment::opened('setting')], 'wire-out');
        $setUps[] = new SetUp(
            'module-out',
            'off',
            [...$unplugged, Adjustment::opened('module-feed'), Adjustment::opened('ground')],
            'module-out',
        );

        return $setUps;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $unknowns = [
            Populations::level('supply', 'vehicle supply'),
            Populations::unknown('source', 'vehicle source'),
            $this->inputOhms === null
                ? Populations::unknown('input', 'input of an interval module')
                : Populations::unknown('input', 'typed input', $this->inputOhms),
            Populations::unknown('first', 'first stalk setting'),
            Populations::unknown('last', 'last stalk setting'),
            Populations::unknown('size', 'wiper motor'),
            Populations::unknown('emf', 'motor constant'),
            Populations::level('third', 'third brush'),
            Populations::unknown('friction', 'friction'),
        ];
        foreach (array_keys($this->shares()) as $setting) {
            $unknowns[] = Populations::unknown($setting, 'stalk setting');
        }

        return $unknowns;
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $plug = Observation::changing('wiggle-plug', 0.6);
        $stalk = Observation::changing('wiggle-stalk', 0.6);

        return [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire', 0.02)->opening(0.02),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.01),
            Conductor::of('stalk-feed', ConductorKind::SignalWire, 'stalk-wire', 0.01)->seen($stalk),
            Conductor::of('interval-contact', ConductorKind::LightContact, 'stalk', 0.02)
                ->opening(0.03)
                ->madeByPosition()
                ->seen($stalk),
            Conductor::of('low-contact', ConductorKind::LightContact, 'stalk', 0.02)->madeByPosition()->seen($stalk),
            Conductor::of('speed-wire', ConductorKind::SignalWire, 'stalk-wire')->seen($plug),
            Conductor::of('high-wire', ConductorKind::SignalWire, 'stalk-wire', 0.01)->seen($plug),
            Conductor::of('speed-plug', ConductorKind::LightContact, 'stalk-wire', 0.02)->opening(0.02)->seen($plug),
            Conductor::of('high-plug', ConductorKind::LightContact, 'stalk-wire', 0.01)->opening(0.02)->seen($plug),
            Conductor::of('module-feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('ground', ConductorKind::HeavyWire, 'ground-wire'),
        ];
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $settings = $this->settingsOf($u);
        $shares = array_map(static fn(float $ohms): float => $u['input'] / ($u['input'] + $ohms), $settings);
        $least = min(1.0, ...array_values($shares));
        $most = max(0.0, ...array_values($shares));
        // A module is made for its stalk: it tells the settings apart from the first to the last.
        $slope = (self::FIRST_SHARE - self::LAST_SHARE) / ($most - $least);
        $values = [
            'battery.volts' => $u['supply'],
            'battery.ohms' => $u['source'],
            'speed-input.ohms' => $u['input'],
            'speed-input.gain' => $slope,
            'speed-input.offset' => self::LAST_SHARE - $slope * $least,
            ...$this->motor($u['size'], $u['emf'], $u['friction'], $u['third'])->parameters(),
        ];
        foreach ($settings as $setting => $ohms) {
            $values["setting.$setting"] = $ohms;
        }

        return $values;
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> Ω by setting: ordered and distinct, of the size of the module's input
     */
    private function settingsOf(array $u): array
    {
        $keys = array_keys($this->shares());
        $step = ($u['last'] / $u['first']) ** (1.0 / (\count($keys) - 1));
        $settings = [];
        foreach ($keys as $n => $key) {
            $settings[$key] = $u['input'] * $u['first'] * $step ** $n * $u[$key];
        }

        return $settings;
    }
}
