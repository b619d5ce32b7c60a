<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Observation;

/**
 * What carries current to the fans, and may come to carry it badly.
 */
final readonly class Conducting
{
    public function __construct(private Layout $layout) {}

    /** @return list<Conductor> */
    public function all(): array
    {
        $l = $this->layout;
        $moved = Observation::changing('wiggle-control', 0.4);
        $conductors = [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.02),
            ...$l->pair() ? $this->pairContacts($moved) : $this->lineConductors($moved),
        ];
        foreach ($l->fans() as $fan) {
            $plug = ["look-plug-$fan" => FaultList::BURNT] + Observation::changing("wiggle-plug-$fan", 0.65);
            $share = 1.0 / \count($l->fans());
            if (!$l->twoInputs($fan)) {
                $conductors[] = Conductor::of("plug-$fan", ConductorKind::Joint, "plug-$fan", 0.05 * $share)
                    ->opening(0.02 * $share)
                    ->seen($plug);
            }
            $conductors[] = Conductor::of("plug-minus-$fan", ConductorKind::Joint, "plug-$fan");
            if ($l->hasGround($fan)) {
                $conductors[] = Conductor::of("ground-$fan", ConductorKind::HeavyWire, 'ground-wire');
            }
        }

        return $conductors;
    }

    /**
     * @param array<string, array<string, float>> $moved what is seen when they are moved
     *
     * @return list<Conductor>
     */
    private function pairContacts(array $moved): array
    {
        $conductors = [];
        foreach (['k1' => 'k1-joint', 'k2' => 'k2-joint', 'k3' => 'k3-joint'] as $relay => $joint) {
            $conductors[] = Conductor::of($joint, ConductorKind::HeavyContact, $relay, 0.03)->seen($moved);
        }
        $conductors[] = Conductor::of('k2-rest-joint', ConductorKind::HeavyContact, 'k2', 0.04)->seen($moved);

        return $conductors;
    }

    /**
     * @param array<string, array<string, float>> $moved what is seen when they are moved
     *
     * @return list<Conductor>
     */
    private function lineConductors(array $moved): array
    {
        $l = $this->layout;
        $conductors = [];
        foreach ($l->lineWires() as $wire) {
            $conductors[] = Conductor::of($wire, ConductorKind::HeavyWire, 'line-wire', 0.02);
        }
        if ($l->relays) {
            foreach (['k-low', 'k-high'] as $relay) {
                $conductors[] = Conductor::of("$relay-joint", ConductorKind::HeavyContact, $relay, 0.03)->seen($moved);
            }
        } else {
            $conductors[] = Conductor::of('switch-plug', ConductorKind::Joint, 'switch-plug');
            foreach (['stage-1', 'stage-2'] as $stage) {
                $conductors[] = Conductor::of($stage, ConductorKind::HeavyContact, 'thermal-switch', 0.03)
                    ->madeByPosition()
                    ->seen($moved);
            }
        }
        foreach (array_filter($l->fans(), $l->twoInputs(...)) as $fan) {
            foreach (array_keys($l->feedPins($fan)) as $pin) {
                $conductors[] = Conductor::of($pin, ConductorKind::Joint, "plug-$fan", 0.04)->seen(
                    ["look-plug-$fan" => FaultList::BURNT] + Observation::changing("wiggle-plug-$fan", 0.65),
                );
            }
        }

        return $conductors;
    }
}
