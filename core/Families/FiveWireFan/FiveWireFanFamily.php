<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\Texts;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Fan motor of a split unit with electronics in its shell: high-voltage DC, logic supply, command, feedback.
 */
final class FiveWireFanFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'five-wire-fan';
    }

    public function parameters(): ParameterList
    {
        $names = [];
        foreach (PinMap::FUNCTIONS as $function) {
            $names[] = Parameter::choice(
                "colour-$function",
                [Parameter::UNKNOWN, ...PinMap::COLOURS],
                Parameter::UNKNOWN,
            )
                ->onlyWith('map', 'own')
                ->naming()
                ->distinct('colours');
            $names[] = Parameter::number("pin-$function", '', 1.0, 16.0)
                ->onlyWith('map', 'own')
                ->naming()
                ->distinct('pins');
        }
        $names[] = Parameter::choice('confirmed', ['no', 'yes'], 'no')
            ->onlyWith('map', 'own')
            ->naming();

        return new ParameterList([
            Parameter::choice('supply', ['320', '155', '375'], '320'),
            Parameter::choice('pullUp', ['unknown', '15', '5'], 'unknown'),
            Parameter::choice('supplies', ['together', 'apart'], 'together'),
            Parameter::number('pulses', '', 1.0, 24.0),
            Parameter::number('fullRpm', 'rpm', 200.0, 4000.0),
            Parameter::choice('map', ['usual', 'own'], 'usual')->naming(),
            ...$names,
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $number = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $supply = $values['supply'] ?? '320';
        $wiring = new Wiring(
            \is_string($supply) ? (float) $supply : 320.0,
            match ($values['pullUp'] ?? 'unknown') {
                '5' => 5.0,
                '15' => 15.0,
                default => null,
            },
            $number('pulses'),
            $number('fullRpm'),
            ($values['supplies'] ?? 'together') === 'apart',
        );
        $pins = PinMap::of($values);
        $tests = new TestList($wiring);
        $mechanical = new Mechanical('motor', 'high', 'isolated', 'wheel', 0.1, outlets: false);
        $netlist = $wiring->netlist();
        $electric = array_filter(
            $values,
            fn(string $key): bool => !$this->parameters()->parameters[$key]->naming,
            \ARRAY_FILTER_USE_KEY,
        );
        ksort($electric);

        return new CircuitModel(
            identity: [$this->key(), $electric],
            netlist: $netlist,
            supply: 'bus.volts',
            unknowns: $wiring->unknowns(),
            assign: $wiring->assign(...),
            positions: $wiring->positions(),
            setUps: $wiring->setUps(),
            tests: [...$tests->all(), ...$mechanical->tests()],
            observations: [...FaultList::observations(), ...$mechanical->observations()],
            faults: [...FaultList::all(), ...$mechanical->faults()],
            pairs: FaultList::pairs(),
            parts: [...FaultList::parts(), ...$mechanical->parts()],
            causeChecks: TestList::causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES + Mechanical::ACCESS_MINUTES,
            places: $pins->named($this->texts()->places($netlist->nodes), $this->texts()),
            sheet: Drawing::sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::Mains, Hazard::StoredCharge, Hazard::Moving],
                ['licensed', 'bus-charge'],
                ['licensed', ...$pins->confirmed ? [] : ['unconfirmed'], 'mains-live', 'never-unplug'],
            ),
            conductors: $wiring->conductors(),
            learnables: [Learnable::volts('supply', 'bus.volts'), Learnable::volts('logic', 'logic.volts')],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')->over(Mechanical::texts());
    }

    public function planners(): array
    {
        return ['bench-supply'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}
