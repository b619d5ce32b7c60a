<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Furnace\LineBreak;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can be wrong with a tapped blower: board, wires, capacitor, windings, bearings, wheel, and what chokes its air.
 */
final readonly class FaultList
{
    public const BROWN = ['fine' => 0.4, 'brown' => 0.35, 'burnt' => 0.25];

    /** Capacitance beside the capacitor's own label. */
    public const LABEL = 'capacitor-label';

    private const HOT = ['stops-hot' => ['keeps' => 0.1, 'stops' => 0.9]];

    public function __construct(private TappedMotor $motor, private Wiring $wiring) {}

    /** @return list<Observation> */
    public function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('look-board', ['fine' => 0.93, 'brown' => 0.05, 'burnt' => 0.02]),
            new Observation('look-capacitor', ['fine' => 0.93, 'swollen' => 0.05, 'leaks' => 0.02]),
            ...$this->motor->capacitorKnown()
                ? []
                : [new Observation(self::LABEL, ['fits' => 0.92, 'under' => 0.07, 'far-under' => 0.01])],
            new Observation('taps-diagram', ['fits' => 0.97, 'moved' => 0.03]),
            new Observation('spin', ['free' => 0.95, 'gritty' => 0.04, 'locked' => 0.01]),
            new Observation('look-wheel', ['clean' => 0.9, 'debris' => 0.01, 'clogged' => 0.09]),
            new Observation('bare-spin', ['free' => 0.97, 'gritty' => 0.03]),
            new Observation('look-filter', ['clean' => 0.9, 'clogged' => 0.1]),
            HeatRise::observation(),
            new Observation('stops-hot', ['keeps' => 0.97, 'stops' => 0.03]),
            ...array_map(static fn(string $key): Observation => new Observation($key, $steady), [
                'wiggle-wires',
                'tap-board',
                'wiggle-call',
            ]),
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->board(), ...$this->capacitor(), ...$this->windings(), ...ShaftFaults::all()];
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        return [
            new FaultPair('bearing-dry', 'capacitor-low', 0.02),
            new FaultPair('filter-clogged', 'wheel-fouled', 0.01),
            new FaultPair('capacitor-open', 'protector-open', 0.005),
        ];
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return [
            new Part('board', 210.0, 50.0),
            new Part('capacitor', 14.0, 15.0, $this->motor->capacitorKnown() ? 'microfarads' : self::LABEL),
            new Part('motor', 260.0, 90.0),
            new Part('tap-wires', 0.0, 12.0),
            new Part('wires', 8.0, 30.0),
            new Part('door-switch', 12.0, 12.0),
            new Part('breaker', 9.0, 10.0),
            new Part('thermostat', 60.0, 25.0),
            new Part('transformer', 32.0, 30.0),
            new Part('limit', 18.0, 25.0),
            new Part('wheel', 0.0, 60.0),
            new Part('filter', 9.0, 4.0),
        ];
    }

    /** @return list<Fault> */
    private function board(): array
    {
        $faults = [
            new Fault(
                'door-open',
                'door-open',
                'door-switch',
                0.05,
                LineBreak::of('door'),
                [],
                comesAndGoes: true,
                element: 'door',
                upstream: true,
            ),
            new Fault(
                'breaker-open',
                'breaker-open',
                'breaker',
                0.02,
                LineBreak::of('breaker'),
                element: 'breaker',
                upstream: true,
            ),
            new Fault(
                'transformer-open',
                'transformer-open',
                'transformer',
                0.03,
                Severity::only(
                    Adjustment::opened('transformer'),
                    ...array_map(
                        static fn(string $call): Adjustment => Adjustment::opened("relay-$call"),
                        array_keys($this->wiring->assignment()),
                    ),
                ),
                element: 'transformer',
                upstream: true,
            ),
            new Fault(
                'common-open',
                'common-open',
                'wires',
                0.03,
                Severity::only(Adjustment::opened('common-wire')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-wires', 0.8),
                loose: true,
                element: 'common-wire',
            ),
            new Fault(
                'wrong-tap',
                'wrong-tap',
                'tap-wires',
                0.05,
                Severity::only(Adjustment::opened('wire-heat'), Adjustment::closed('wrong-heat', 0.05)),
                ['taps-diagram' => ['fits' => 0.04, 'moved' => 0.96]],
                element: 'wire-heat',
            ),
            // An open limit lets the board run the fan for as long as it is open.
            new Fault(
                'limit-open',
                'limit-open',
                'limit',
                0.02,
                Severity::only(Adjustment::closed('relay-heat', 0.03), Adjustment::opened('limit')),
                element: 'limit',
            ),
        ];
        $neighbours = $this->wiring->neighbours();
        foreach ($neighbours as [$call, $next]) {
            $faults[] = new Fault(
                "wires-$call-$next-touch",
                'wires-touch',
                'wires',
                0.006 / \count($neighbours),
                Severity::limiting("touch-$call-$next.ohms", 0.02, 5.0, 2),
                Observation::changing('wiggle-wires', 0.6) + Mechanical::noise(['hum' => 0.5]),
                words: ['call' => $call, 'next' => $next],
                element: "wire-$call",
            );
        }
        foreach (array_keys($this->wiring->assignment()) as $call) {
            $words = ['call' => $call, 'terminal' => Wiring::terminal($call)];
            $brown = ['look-board' => self::BROWN];
            $faults[] = new Fault(
                "relay-$call-open",
                'relay-open',
                'board',
                0.05,
                Severity::only(Adjustment::opened("relay-$call")),
                $brown,
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-board', 0.8),
                words: $words,
                element: "relay-$call",
                upstream: true,
            );
            $faults[] = new Fault(
                "relay-$call-welded",
                'relay-welded',
                'board',
                0.03,
                Severity::only(Adjustment::closed("relay-$call", 0.03)),
                $brown,
                words: $words,
                element: "relay-$call",
                upstream: true,
            );
            $faults[] = new Fault(
                "no-$call-call",
                'no-call',
                'thermostat',
                0.03,
                Severity::only(Adjustment::opened("call-$call"), Adjustment::opened("relay-$call")),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-call', 0.75),
                words: $words,
                element: "call-$call",
                upstream: true,
            );
            $faults[] = new Fault(
                "wire-$call-open",
                'wire-open',
                'wires',
                0.02,
                Severity::only(Adjustment::opened("wire-$call")),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-wires', 0.8),
                loose: true,
                words: $words,
                element: "wire-$call",
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function capacitor(): array
    {
        $swollen = ['look-capacitor' => ['fine' => 0.45, 'swollen' => 0.4, 'leaks' => 0.15]];
        $hum = Mechanical::noise(['hum' => 0.9]);

        return [
            new Fault(
                'capacitor-low',
                'capacitor-low',
                'capacitor',
                0.14,
                Severity::scaling('capacitor.microfarads', 0.06, 0.9, 5),
                $swollen + $this->label(0.015, 0.5) + Mechanical::noise(['hum' => 0.2]),
                element: 'capacitor',
            ),
            new Fault(
                'capacitor-open',
                'capacitor-open',
                'capacitor',
                0.09,
                Severity::only(Adjustment::opened('capacitor')),
                $swollen + $this->label(0.01, 0.03) + $hum,
                element: 'capacitor',
            ),
            new Fault(
                'capacitor-shorted',
                'capacitor-shorted',
                'capacitor',
                0.03,
                Severity::limiting('capacitor.leakOhms', 0.05, 30.0, 2),
                $swollen + $this->label(0.02, 0.04) + $hum,
                element: 'capacitor',
            ),
        ];
    }

    /**
     * What a meter shows beside the capacitor's own label, where the rating was not typed.
     *
     * @return array<string, array<string, float>>
     */
    private function label(float $fits, float $under): array
    {
        return $this->motor->capacitorKnown()
            ? []
            : [self::LABEL => ['fits' => $fits, 'under' => $under, 'far-under' => 1.0 - $fits - $under]];
    }

    /** @return list<Fault> */
    private function windings(): array
    {
        $faults = [
            new Fault(
                'main-open',
                'main-open',
                'motor',
                0.04,
                Severity::only(Adjustment::opened('main')),
                element: 'main',
            ),
            new Fault(
                'auxiliary-open',
                'auxiliary-open',
                'motor',
                0.04,
                Severity::only(Adjustment::opened('auxiliary')),
                Mechanical::noise(['hum' => 0.9]),
                element: 'auxiliary',
            ),
            new Fault(
                'protector-open',
                'protector-open',
                'motor',
                0.05,
                Severity::only(Adjustment::opened('protector')),
                [],
                comesAndGoes: true,
                observedPassing: self::HOT,
                element: 'protector',
            ),
            new Fault(
                'winding-case',
                'winding-case',
                'motor',
                0.03,
                Severity::limiting('case-leak.ohms', 0.5, 5e3, 4, Adjustment::opened('breaker')),
                element: 'case-leak',
            ),
        ];
        foreach (\array_slice($this->motor->names(), 1) as $before => $name) {
            $faults[] = new Fault(
                "section-$name-open",
                'section-open',
                'motor',
                0.025,
                Severity::only(Adjustment::opened('section-' . ($before + 1))),
                words: ['tap' => $name],
                element: 'section-' . ($before + 1),
            );
            $faults[] = new Fault(
                "section-$name-shorted",
                'section-shorted',
                'motor',
                0.012,
                Severity::limiting('turns-' . ($before + 1) . '.ohms', 0.02, 5.0, 2),
                Mechanical::noise(['hum' => 0.5]),
                words: ['tap' => $name],
                element: 'section-' . ($before + 1),
            );
        }

        return $faults;
    }
}
