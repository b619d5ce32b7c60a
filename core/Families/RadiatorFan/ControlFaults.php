<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;

/**
 * What can fail in what calls the fans: a thermal switch, or relays and who asks them.
 */
final readonly class ControlFaults
{
    public function __construct(private Layout $layout) {}

    /** @return list<Fault> */
    public function all(): array
    {
        return $this->layout->relays ? $this->relays() : $this->thermalSwitch();
    }

    /** @return list<Fault> */
    private function thermalSwitch(): array
    {
        $moved = Observation::changing('wiggle-control', 0.75);

        return [
            new Fault(
                'stage-1-open',
                'stage-open',
                'thermal-switch',
                0.1,
                Severity::only(Adjustment::opened('stage-1')),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.6),
                words: ['stage' => 'low'],
                element: 'stage-1',
            ),
            new Fault(
                'stage-2-open',
                'stage-open',
                'thermal-switch',
                0.06,
                Severity::only(Adjustment::opened('stage-2')),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.6),
                words: ['stage' => 'high'],
                element: 'stage-2',
            ),
            new Fault(
                'stage-1-stuck',
                'stage-stuck',
                'thermal-switch',
                0.04,
                Severity::only(Adjustment::closed('stage-1')),
                words: ['stage' => 'low'],
                element: 'stage-1',
            ),
            new Fault(
                'stage-2-stuck',
                'stage-stuck',
                'thermal-switch',
                0.03,
                Severity::only(Adjustment::closed('stage-2')),
                words: ['stage' => 'high'],
                element: 'stage-2',
            ),
            new Fault(
                'switch-plug-open',
                'switch-plug-open',
                'switch-plug',
                0.05,
                Severity::only(Adjustment::opened('switch-plug')),
                $moved,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.8),
                loose: true,
                element: 'switch-plug',
            ),
            new Fault(
                'switch-plug-burnt',
                'switch-plug-burnt',
                'switch-plug',
                0.04,
                Severity::resistance('switch-plug'),
                $moved,
                loose: true,
                element: 'switch-plug',
            ),
        ];
    }

    /** @return list<Fault> */
    private function relays(): array
    {
        $l = $this->layout;
        $faults = [];
        foreach ($l->relaysByRequest() as $relay => $request) {
            $words = [
                'relay' =>
                    $relay === 'k-low'
                        ? 'low relay'
                        : ($relay === 'k-high'
                            ? 'high relay'
                            : 'relay ' . strtoupper($relay)),
            ];
            $joint = $relay === 'k2' ? 'k2-joint' : "$relay-joint";
            $contact = $relay === 'k2' ? 'k2-work' : "$relay-contact";
            $faults[] = new Fault(
                "$relay-coil-open",
                'coil-open',
                $relay,
                0.03,
                Severity::only(Adjustment::opened("$relay-coil")),
                words: $words,
                element: "$relay-coil",
            );
            $faults[] = new Fault(
                "$relay-contact-open",
                'contact-open',
                $relay,
                0.05,
                Severity::only(Adjustment::opened($joint)),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.75),
                words: $words,
                element: $contact,
            );
            $faults[] = new Fault(
                "$relay-welded",
                'contact-welded',
                $relay,
                0.03,
                Severity::only(
                    Adjustment::closed("$relay-weld"),
                    ...$relay === 'k2' ? [Adjustment::opened('k2-rest-joint')] : [],
                ),
                words: $words,
                element: $contact,
            );
            if ($relay === 'k2') {
                $faults[] = new Fault(
                    'k2-rest-burnt',
                    'rest-burnt',
                    'k2',
                    0.06,
                    Severity::only(Adjustment::opened('k2-rest-joint')),
                    comesAndGoes: true,
                    observedPassing: Observation::changing('wiggle-control', 0.75),
                    element: 'k2-rest',
                );
            }
        }
        $asOff = [];
        foreach ($l->fans() as $fan) {
            $asOff[$l->cell('low', $fan)] = $l->cell('off', $fan);
        }
        $noCompressor = ['compressor' => ['engages' => 0.06, 'stays-out' => 0.94]];
        array_push(
            $faults,
            new Fault(
                'low-output-dead',
                'output-dead',
                'controller',
                0.04,
                Severity::only(Adjustment::opened('request-low')),
                words: ['line' => 'low'],
                element: 'request-low',
            ),
            new Fault(
                'high-output-dead',
                'output-dead',
                'controller',
                0.04,
                Severity::only(Adjustment::opened('request-high')),
                words: ['line' => 'high'],
                element: 'request-high',
            ),
            new Fault(
                'low-output-stuck',
                'output-stuck',
                'controller',
                0.02,
                Severity::only(Adjustment::closed('request-low')),
                words: ['line' => 'low'],
                element: 'request-low',
            ),
            new Fault(
                'request-missing',
                'request-missing',
                'request',
                0.04,
                [new Severity([], $asOff)],
                $noCompressor,
                element: 'request-low',
            ),
        );

        return $faults;
    }
}
