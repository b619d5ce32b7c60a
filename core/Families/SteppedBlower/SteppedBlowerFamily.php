<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\Texts;
use Ispira\Core\Families\Mechanical\CabinAir;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Blower with a pack of resistors in the air stream: a selector puts more or less of it in series.
 */
final class SteppedBlowerFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'stepped-blower';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('side', ['feed', 'ground'], 'feed'),
            Parameter::choice('positions', ['3', '4', '5', '6', '7'], '4', shapesMap: true),
            Parameter::choice('pack', ['chain', 'coils'], 'chain'),
            Parameter::choice('thermalFuse', ['yes', 'no'], 'yes'),
            Parameter::choice('high', ['selector', 'relay', 'changeover'], 'selector'),
            Parameter::choice('selector', ['mechanical', 'electronic'], 'mechanical'),
            Parameter::choice('modeContact', ['no', 'feed', 'return'], 'no'),
            Parameter::choice('packPlace', ['duct', 'head'], 'duct'),
            Parameter::choice('supply', ['12', '24'], '12'),
            Parameter::numbers('packOhms', 'Ω', 0.05, 50.0, 'positions'),
            Parameter::number('motorAmps', 'A', 1.0, 60.0),
            Parameter::number('lampWatts', 'W', 2.0, 120.0),
            CabinAir::parameter(),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $variant = Variant::of($values);
        $wiring = new Wiring($variant);
        $faults = new FaultList($variant);
        $tests = new TestList($variant);
        $cabin = new CabinAir($values, (string) $variant->top);
        $netlist = $wiring->netlist();
        $positions = $wiring->positions();
        $setUps = (new SetUps($variant, $positions))->all();
        $mechanical = new Mechanical('motor', (string) $variant->top, 'dead', 'wheel', 0.04, outlets: true);
        $testList = [...$tests->all($positions), ...$mechanical->tests(), ...$cabin->tests()];
        $faultList = $cabin->in([...$faults->all(), ...$mechanical->faults()]);
        $unknowns = $wiring->unknowns();
        ksort($values);

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: 'battery.volts',
            unknowns: $unknowns,
            assign: $wiring->assign(...),
            positions: $positions,
            setUps: $setUps,
            tests: $testList,
            observations: [...FaultList::observations(), ...$mechanical->observations(), ...$cabin->observations()],
            faults: $faultList,
            pairs: $faults->pairs(),
            parts: [...$faults->parts(), ...$mechanical->parts()],
            causeChecks: $tests->causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES + Mechanical::ACCESS_MINUTES,
            places: $this->places($variant, $netlist->nodes),
            sheet: (new Drawing($variant))->sheet(),
            texts: $this->texts(),
            safety: new Safety([Hazard::ExtraLow, Hazard::Moving], ['fan-starts']),
            conductors: $wiring->conductors(),
            learnables: $wiring->learnables(),
        );
    }

    /**
     * @param list<string> $nodes
     *
     * @return array<string, string>
     */
    private function places(Variant $variant, array $nodes): array
    {
        $side = $variant->feedSide ? 'feed-side' : 'ground-side';
        $places = [];
        foreach ($nodes as $node) {
            $numbered = preg_match('/^(tap|wire|pack)-(\d+)$/', $node, $found) === 1;
            $words = ['k' => $numbered ? $found[2] : ''];
            $key = $numbered ? $found[1] : $node;
            $places[$node] =
                $this->texts()->find("places.$side.$key", $words) ?? $this->texts()->get("places.$key", $words);
        }

        return $places;
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')
            ->over(Mechanical::texts())
            ->over(CabinAir::texts());
    }

    public function planners(): array
    {
        return ['pack-rebuild', 'wire-and-splice', 'battery-drain'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}
