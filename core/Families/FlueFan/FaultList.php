<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can be wrong when a flue fan does not turn, or turns and does not prove its draught.
 */
final readonly class FaultList
{
    /** What the control says of a fan that does not prove. */
    private const NOT_PROVEN = ['proves' => ['lights' => 0.08, 'waits' => 0.92]];

    public function __construct(private bool $twoSpeeds) {}

    /** @return list<Observation> */
    public function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('proves', ['lights' => 0.9, 'waits' => 0.1]),
            new Observation('spin', ['free' => 0.93, 'gritty' => 0.06, 'locked' => 0.01]),
            new Observation('axial-play', ['none' => 0.95, 'play' => 0.05]),
            new Observation('look-wheel', ['clean' => 0.9, 'debris' => 0.03, 'clogged' => 0.07]),
            new Observation('look-tube', ['clear' => 0.93, 'wet' => 0.04, 'cracked' => 0.03]),
            new Observation('blow-switch', ['clicks' => 0.97, 'silent' => 0.03]),
            new Observation('look-flue', ['clear' => 0.97, 'blocked' => 0.03]),
            new Observation('look-seal', ['tight' => 0.96, 'leaks' => 0.04]),
            new Observation('bare-spin', ['free' => 0.97, 'gritty' => 0.03]),
            new Observation('brush-blade', ['whole' => 0.97, 'eaten' => 0.03]),
            new Observation('tube-end', ['same' => 0.97, 'less' => 0.03]),
            new Observation('switch-contact', ['closes' => 0.97, 'open' => 0.03]),
            new Observation('outlet-loose', ['same' => 0.97, 'rises' => 0.03]),
            new Observation('smoke-seal', ['still' => 0.97, 'drawn' => 0.03]),
            new Observation('reset', ['stays' => 0.96, 'opens' => 0.04]),
            ...array_map(static fn(string $key): Observation => new Observation($key, $steady), [
                'wiggle-plug',
                'tap-control',
                'warm',
            ]),
        ];
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        return [
            new FaultPair('bearings-dry', 'wheel-corroded', 0.02),
            new FaultPair('seal-leaks', 'bearings-dry', 0.01),
        ];
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return [
            new Part('fan', 190.0, 60.0),
            new Part('control', 240.0, 50.0),
            new Part('fuse', 3.0, 5.0),
            new Part('limit', 18.0, 20.0),
            new Part('wiring', 8.0, 30.0),
            new Part('pressure-switch', 38.0, 20.0),
            new Part('tube', 4.0, 15.0),
            new Part('flue', 0.0, 60.0),
            new Part('seal', 12.0, 40.0),
            new Part('wheel', 0.0, 60.0),
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->feed(), ...$this->motor(), ...self::draught()];
    }

    /** @return list<Fault> */
    private function feed(): array
    {
        $faults = [
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.03,
                Severity::only(Adjustment::opened('fuse')),
                self::NOT_PROVEN,
                element: 'fuse',
                upstream: true,
            ),
            new Fault(
                'limit-open',
                'limit-open',
                'limit',
                0.04,
                Severity::only(Adjustment::opened('limit')),
                self::NOT_PROVEN + ['reset' => ['stays' => 0.3, 'opens' => 0.7]],
                comesAndGoes: true,
                observedPassing: Observation::changing('warm', 0.7),
                element: 'limit',
                upstream: true,
            ),
            new Fault(
                'neutral-open',
                'neutral-open',
                'wiring',
                0.03,
                Severity::only(Adjustment::opened('neutral')),
                self::NOT_PROVEN,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plug', 0.8),
                loose: true,
                element: 'neutral',
            ),
        ];
        if ($this->twoSpeeds) {
            $faults[] = new Fault(
                'leads-swapped',
                'leads-swapped',
                'wiring',
                0.01,
                Severity::only(
                    Adjustment::opened('wire-slow'),
                    Adjustment::opened('wire-fast'),
                    Adjustment::closed('across-slow', 0.05),
                    Adjustment::closed('across-fast', 0.05),
                ),
                self::NOT_PROVEN,
                element: 'wire-fast',
            );
        }
        foreach ($this->twoSpeeds ? ['slow', 'fast'] : ['fast'] as $speed) {
            $words = ['speed' => $this->twoSpeeds ? "$speed " : ''];
            $seen = $speed === 'fast' ? self::NOT_PROVEN : [];
            $faults[] = new Fault(
                "output-$speed-open",
                'output-open',
                'control',
                0.06,
                Severity::only(Adjustment::opened("output-$speed")),
                $seen,
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-control', 0.75),
                words: $words,
                element: "output-$speed",
                upstream: true,
            );
            $faults[] = new Fault(
                "output-$speed-welded",
                'output-welded',
                'control',
                0.02,
                Severity::only(Adjustment::closed("output-$speed", 0.05)),
                [],
                words: $words,
                element: "output-$speed",
                upstream: true,
            );
            $faults[] = new Fault(
                "wire-$speed-fed",
                'wire-fed',
                'wiring',
                0.02,
                Severity::limiting("chafe-$speed.ohms", 0.2, 50.0, 3),
                Observation::changing('wiggle-plug', 0.3),
                words: $words,
                element: "wire-$speed",
            );
            $faults[] = new Fault(
                "wire-$speed-open",
                'wire-open',
                'wiring',
                0.03,
                Severity::only(Adjustment::opened("wire-$speed")),
                $seen,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plug', 0.8),
                loose: true,
                words: $words,
                element: "wire-$speed",
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function motor(): array
    {
        $spin = static fn(float $free, float $gritty, float $locked): array => [
            'spin' => ['free' => $free, 'gritty' => $gritty, 'locked' => $locked],
        ];
        $play = ['axial-play' => ['none' => 0.5, 'play' => 0.5]];
        $faults = [
            new Fault(
                'bearings-dry',
                'bearings-dry',
                'fan',
                0.2,
                Severity::adding('fast.frictionTorque', 0.06, 1.0, 5),
                $spin(0.06, 0.9, 0.04) + ['bare-spin' => ['free' => 0.06, 'gritty' => 0.94]] +
                    $play +
                    Mechanical::noise(['squeal' => 0.6, 'hum' => 0.05]),
                element: 'fast',
            ),
            new Fault(
                'bearings-seized',
                'bearings-seized',
                'fan',
                0.1,
                Severity::only(Adjustment::set('fast.frictionTorque', 50.0)),
                self::NOT_PROVEN +
                    $spin(0.01, 0.06, 0.93) + ['bare-spin' => ['free' => 0.02, 'gritty' => 0.98]] +
                    Mechanical::noise(['hum' => 0.8]),
                element: 'fast',
            ),
            new Fault(
                'fast-open',
                'winding-open',
                'fan',
                0.07,
                Severity::only(Adjustment::opened('fast')),
                self::NOT_PROVEN,
                comesAndGoes: true,
                observedPassing: Observation::changing('warm', 0.8),
                words: ['speed' => $this->twoSpeeds ? 'fast ' : ''],
                element: 'fast',
            ),
            new Fault(
                'winding-case',
                'winding-case',
                'fan',
                0.03,
                Severity::limiting('case-leak.ohms', 0.5, 5e3, 4, Adjustment::opened('fuse')),
                self::NOT_PROVEN,
                element: 'fast',
            ),
        ];
        if ($this->twoSpeeds) {
            $faults[] = new Fault(
                'slow-open',
                'winding-open',
                'fan',
                0.04,
                Severity::only(Adjustment::opened('slow')),
                words: ['speed' => 'slow '],
                element: 'slow',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function draught(): array
    {
        $air = static fn(float $least, float $most, float $torque): array => Severity::joined(
            Severity::scaling('fast.air', $least, $most, 3),
            Severity::scaling('fast.fanTorque', $torque, 0.97, 3),
        );

        $jams = [
            'look-wheel' => ['clean' => 0.05, 'debris' => 0.8, 'clogged' => 0.15],
            'spin' => ['free' => 0.02, 'gritty' => 0.08, 'locked' => 0.9],
        ];

        return [
            new Fault(
                'wheel-corroded',
                'wheel-corroded',
                'fan',
                0.05,
                $air(0.2, 0.85, 0.5),
                self::NOT_PROVEN + [
                    'brush-blade' => ['whole' => 0.05, 'eaten' => 0.95],
                    'look-wheel' => ['clean' => 0.05, 'debris' => 0.8, 'clogged' => 0.15],
                ],
                element: 'fast',
            ),
            new Fault(
                'wheel-dirty',
                'wheel-dirty',
                'wheel',
                0.05,
                $air(0.3, 0.88, 0.6),
                self::NOT_PROVEN + ['look-wheel' => ['clean' => 0.05, 'debris' => 0.1, 'clogged' => 0.85]],
                element: 'fast',
            ),
            new Fault(
                'wheel-jammed',
                'wheel-jammed',
                'wheel',
                0.02,
                Severity::only(Adjustment::set('fast.frictionTorque', 50.0)),
                self::NOT_PROVEN + $jams + Mechanical::noise(['hum' => 0.8]),
                element: 'fast',
            ),
            new Fault(
                'tube-wet',
                'tube-wet',
                'tube',
                0.07,
                Severity::only(),
                self::NOT_PROVEN + [
                    'tube-end' => ['same' => 0.06, 'less' => 0.94],
                    'look-tube' => ['clear' => 0.08, 'wet' => 0.87, 'cracked' => 0.05],
                ],
            ),
            new Fault(
                'tube-cracked',
                'tube-cracked',
                'tube',
                0.03,
                Severity::only(),
                self::NOT_PROVEN + [
                    'tube-end' => ['same' => 0.06, 'less' => 0.94],
                    'look-tube' => ['clear' => 0.15, 'wet' => 0.05, 'cracked' => 0.8],
                ],
            ),
            new Fault(
                'switch-dead',
                'switch-dead',
                'pressure-switch',
                0.08,
                Severity::only(),
                self::NOT_PROVEN + [
                    'switch-contact' => ['closes' => 0.05, 'open' => 0.95],
                    'blow-switch' => ['clicks' => 0.1, 'silent' => 0.9],
                ],
            ),
            new Fault(
                'flue-blocked',
                'flue-blocked',
                'flue',
                0.05,
                $air(0.15, 0.85, 0.7),
                self::NOT_PROVEN + [
                    'outlet-loose' => ['same' => 0.06, 'rises' => 0.94],
                    'look-flue' => ['clear' => 0.08, 'blocked' => 0.92],
                ],
                element: 'fast',
            ),
            new Fault(
                'seal-leaks',
                'seal-leaks',
                'seal',
                0.04,
                $air(0.35, 0.9, 0.9),
                self::NOT_PROVEN + [
                    'smoke-seal' => ['still' => 0.05, 'drawn' => 0.95],
                    'look-seal' => ['tight' => 0.07, 'leaks' => 0.93],
                ],
                element: 'fast',
            ),
        ];
    }
}
