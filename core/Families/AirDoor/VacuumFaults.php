<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * What can fail between the engine's vacuum and the doors that it moves.
 */
final class VacuumFaults
{
    private function __construct() {}

    /** @return list<Observation> */
    public static function observations(): array
    {
        return [
            new Observation('hiss', ['quiet' => 0.94, 'dash' => 0.03, 'engine' => 0.03]),
            new Observation('blow-check', ['one-way' => 0.96, 'both-ways' => 0.02, 'blocked' => 0.02]),
            new Observation('look-hoses', ['fine' => 0.92, 'off' => 0.02, 'cracked' => 0.06]),
            ...array_map(
                static fn(string $door): Observation => new Observation("by-hand-$door", [
                    'free' => 0.95,
                    'stiff' => 0.03,
                    'jammed' => 0.01,
                    'rod-off' => 0.01,
                ]),
                VacuumDoors::DOORS,
            ),
        ];
    }

    /** @return list<Fault> */
    public static function all(): array
    {
        $hiss = static fn(string $where, float $heard): array => [
            'hiss' => [$where => $heard, 'quiet' => 0.98 - $heard, $where === 'dash' ? 'engine' : 'dash' => 0.02],
        ];
        $hoses = static fn(float $off, float $cracked): array => [
            'look-hoses' => ['fine' => 1.0 - $off - $cracked, 'off' => $off, 'cracked' => $cracked],
        ];
        // From a pinhole to a tear.
        $leaks = static fn(string $at): array => Severity::limiting("$at.ohms", 0.05, 8.0, 4);

        // A tank that nothing fills has nothing in reserve either.
        $empty = [Adjustment::set('reserve.volts', 0.0)];

        return [
            new Fault(
                'engine-weak',
                'engine-weak',
                'engine',
                0.04,
                Severity::joined(
                    Severity::scaling('engine.volts', 0.08, 0.6, 3),
                    Severity::scaling('reserve.volts', 0.08, 0.6, 3),
                ),
                element: 'engine',
                upstream: true,
            ),
            new Fault(
                'supply-off',
                'supply-off',
                'supply-hose',
                0.12,
                Severity::only(Adjustment::opened('supply-hose'), ...$empty),
                $hoses(0.75, 0.15) + $hiss('engine', 0.6),
                comesAndGoes: true,
                element: 'supply-hose',
                upstream: true,
            ),
            new Fault(
                'supply-leaks',
                'supply-leaks',
                'supply-hose',
                0.08,
                // What leaks before the check valve is missing in the tank too.
                Severity::joined($leaks('supply-leak'), Severity::scaling('reserve.volts', 0.05, 0.9)),
                $hoses(0.1, 0.65) + $hiss('engine', 0.7),
                element: 'supply-hose',
                upstream: true,
            ),
            new Fault(
                'check-stuck',
                'check-stuck',
                'check-valve',
                0.1,
                Severity::only(Adjustment::closed('check-stuck', 0.2)),
                ['blow-check' => ['one-way' => 0.04, 'both-ways' => 0.94, 'blocked' => 0.02]],
                element: 'check-valve',
            ),
            new Fault(
                'check-blocked',
                'check-blocked',
                'check-valve',
                0.03,
                Severity::only(Adjustment::opened('check-valve'), ...$empty),
                ['blow-check' => ['one-way' => 0.04, 'both-ways' => 0.02, 'blocked' => 0.94]],
                element: 'check-valve',
            ),
            new Fault(
                'dash-supply-off',
                'dash-supply-off',
                'dash-hose',
                0.06,
                Severity::only(Adjustment::opened('tank-hose'), Adjustment::closed('tank-leak', 0.5)),
                $hiss('dash', 0.75),
                element: 'tank-hose',
            ),
            new Fault(
                'control-leaks',
                'control-leaks',
                'control-valve',
                0.08,
                $leaks('head-leak'),
                $hiss('dash', 0.7),
                element: 'tank-hose',
            ),
            ...array_merge(
                ...array_map(static fn(string $door): array => self::of($door, $hiss, $leaks), VacuumDoors::DOORS),
            ),
        ];
    }

    /**
     * @param \Closure(string, float): array<string, array<string, float>> $hiss
     * @param \Closure(string): list<Severity> $leaks
     *
     * @return list<Fault>
     */
    private static function of(string $door, \Closure $hiss, \Closure $leaks): array
    {
        $words = ['door' => VacuumDoors::LABELS[$door]];
        $hand = static fn(string $felt): array => [
            "by-hand-$door" =>
                [$felt => 0.9] + array_fill_keys(array_diff(['free', 'stiff', 'jammed', 'rod-off'], [$felt]), 0.1 / 3),
        ];

        return [
            new Fault(
                "torn-$door",
                'torn',
                "actuator-$door",
                0.08,
                $leaks("leak-$door"),
                $hiss('dash', 0.6),
                words: $words,
                element: "rod-$door",
            ),
            new Fault(
                "hose-off-$door",
                'hose-off',
                'dash-hose',
                0.04,
                Severity::only(Adjustment::opened("hose-$door")),
                words: $words,
                comesAndGoes: true,
                element: "hose-$door",
            ),
            new Fault(
                "hose-leaks-$door",
                'hose-leaks',
                'dash-hose',
                0.03,
                Severity::only(Adjustment::opened("hose-$door"), Adjustment::closed("port-leak-$door", 0.3)),
                $hiss('dash', 0.7),
                words: $words,
                element: "hose-$door",
            ),
            new Fault(
                "port-dead-$door",
                'port-dead',
                'control-valve',
                0.03,
                Severity::only(Adjustment::opened("port-$door")),
                words: $words,
                element: "port-$door",
            ),
            new Fault(
                "port-stuck-$door",
                'port-stuck',
                'control-valve',
                0.015,
                Severity::only(Adjustment::closed("port-stuck-$door", 0.1)),
                words: $words,
                element: "port-$door",
            ),
            new Fault(
                "rod-off-$door",
                'rod-off',
                "door-$door",
                0.04,
                Severity::only(...VacuumDoors::never("door-$door")),
                $hand('rod-off'),
                words: $words,
                element: "rod-$door",
            ),
            new Fault(
                "jammed-$door",
                'jammed',
                "door-$door",
                0.04,
                Severity::only(...VacuumDoors::never("door-$door"), ...VacuumDoors::never("rod-$door")),
                $hand('jammed'),
                words: $words,
                element: "rod-$door",
            ),
        ];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        $parts = [
            new Part('engine', 0.0, 60.0),
            new Part('supply-hose', 8.0, 15.0),
            new Part('check-valve', 14.0, 15.0),
            new Part('dash-hose', 8.0, 45.0),
            new Part('control-valve', 85.0, 60.0),
        ];
        foreach (VacuumDoors::DOORS as $door) {
            $parts[] = new Part("actuator-$door", 35.0, 50.0);
            $parts[] = new Part("door-$door", 15.0, 90.0);
        }

        return $parts;
    }
}
