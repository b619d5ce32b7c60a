<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Unit;
use App\Models\Workshop;

/**
 * The shared workshop of Halvmark, a small lake-ferry town: its people, its units and its jobs.
 *
 * All names, models and part numbers are invented.
 */
final class DemoWorkshop
{
    private const UNITS = [
        'van7' => ['Van 7, crew heater', 'harbour office', 'Tarn 12 cabin heater'],
        'van3' => ['Van 3, crew heater', 'harbour office', 'Tarn 12 cabin heater'],
        'ferry' => ['Ferry Sprat, wheelhouse blower', 'west quay', 'Quayline W5'],
        'ferry2' => ['Ferry Loach, saloon blower', 'west quay', 'Quayline S24'],
        'bus' => ['School bus 2, rear heater', 'school', 'Ridge coach heater'],
        'hall' => ['Swimming hall, service cart', 'swimming hall', 'Tarn 12 cabin heater'],
        'bakery' => ['Bakery van, cab heater', 'bakery', 'Ovel cab unit'],
        'clinic' => ['Clinic car, cabin blower', 'clinic', 'Ovel cab unit C'],
        'green' => ['Greenhouse tractor, cab blower', 'greenhouse', 'Furrow cab 7'],
        'crane' => ['Slipway crane, cab heater', 'slipway', 'Ridge G4'],
        'van9' => ['Van 9, climate blower', 'harbour office', 'Tarn 20 climate'],
        'minibus' => ['School minibus, climate blower', 'school', 'Ovel duct unit E'],
        'van5' => ['Van 5, radiator fans', 'harbour office', 'Tarn 12 front end'],
        'ambulance' => ['Clinic car, radiator fan', 'clinic', 'Ovel front end'],
        'bus1' => ['School bus 1, wipers', 'school', 'Ridge wiper R3'],
        'pilot' => ['Pilot boat Ruffe, wheelhouse wiper', 'west quay', 'Quayline wiper C'],
        'bakery2' => ['Bakery van, wipers', 'bakery', 'Ovel wiper I5'],
        'post' => ['Post van, wipers', 'harbour office', 'Ovel wiper I5'],
        'kiosk' => ['Kiosk truck, wipers', 'west quay', 'Ovel wiper I5'],
        'hallac' => ['Swimming hall, air handler', 'swimming hall', 'Kelda AH 40'],
        'greenac' => ['Greenhouse, heat pump', 'greenhouse', 'Kelda HP 9'],
        'busdoor' => ['School minibus, blend doors', 'school', 'Ovel doors 5'],
        'truckdoor' => ['Ferry store truck, air doors', 'west quay', 'Ridge doors V'],
        'bakerydoor' => ['Bakery van, blend door', 'bakery', 'Ovel door 2'],
    ];

    /** Circuits by model; what is not named is the ordinary case. */
    private const CIRCUITS = [
        'Tarn 12 cabin heater' => ['motorAmps' => 18.5],
        'Quayline W5' => ['side' => 'ground', 'positions' => '5', 'high' => 'relay'],
        'Quayline S24' => ['supply' => '24', 'positions' => '3', 'pack' => 'coils', 'thermalFuse' => 'no'],
        'Ridge coach heater' => ['high' => 'changeover', 'motorAmps' => 19.0],
        'Ovel cab unit' => ['side' => 'ground', 'packOhms' => [1.1, 0.6, 0.35]],
        'Ovel cab unit C' => ['selector' => 'electronic', 'modeContact' => 'feed', 'positions' => '6'],
        'Furrow cab 7' => ['positions' => '7', 'high' => 'relay'],
        'Ridge G4' => ['packPlace' => 'head', 'side' => 'ground'],
        'Tarn 20 climate' => ['steps' => '7'],
        'Ovel duct unit E' => ['module' => 'own', 'active' => 'low'],
        'Tarn 12 front end' => ['arrangement' => 'pair'],
        'Ovel front end' => ['arrangement' => 'resistor'],
        'Ridge wiper R3' => [],
        'Quayline wiper C' => ['motor' => 'compound'],
        'Ovel wiper I5' => [],
        'Kelda AH 40' => [],
        'Kelda HP 9' => ['transformer' => '75'],
        'Ovel doors 5' => ['zones' => 'two'],
        'Ridge doors V' => ['kind' => 'vacuum'],
        'Ovel door 2' => ['kind' => 'two-wire'],
    ];

    /** Families of the models that are not stepped blowers. */
    private const FAMILIES = [
        'Tarn 20 climate' => 'electronic-blower',
        'Ovel duct unit E' => 'electronic-blower',
        'Tarn 12 front end' => 'radiator-fan',
        'Ovel front end' => 'radiator-fan',
        'Ridge wiper R3' => 'wiper',
        'Quayline wiper C' => 'wiper',
        'Ovel wiper I5' => 'wiper-interval',
        'Kelda AH 40' => 'control-output',
        'Kelda HP 9' => 'control-output',
        'Ovel doors 5' => 'air-door',
        'Ridge doors V' => 'air-door',
        'Ovel door 2' => 'air-door',
    ];

    public function load(): void
    {
        $workshop = Workshop::query()->create(['name' => 'Halvmark shared workshop']);
        $lead = $workshop->users()->create(['name' => 'Runa Tveld', 'email' => 'runa@halvmark.example', 'role' => 'lead', 'password' => config()->string('ispira.demo_password')]);
        $technician = $workshop->users()->create(['name' => 'Iska Moren', 'email' => 'iska@halvmark.example', 'role' => 'technician', 'password' => config()->string('ispira.demo_password')]);
        $workshop->users()->create(['name' => 'Dav Ollin', 'email' => 'dav@halvmark.example', 'role' => 'trainee', 'password' => config()->string('ispira.demo_password')]);
        $units = [];
        foreach (self::UNITS as $key => [$name, $place, $model]) {
            $units[$key] = $workshop->units()->create(['name' => $name, 'place' => $place, 'model' => $model]);
        }
        $open = fn (string $unit, int $daysAgo, string $complaint, string $fault, int $seed, bool $intermittent = false, ?string $since = null, ?string $before = null): DemoJob => new DemoJob($seed % 2 === 0 ? $lead : $technician, $this->unit($units, $unit), self::FAMILIES[self::UNITS[$unit][2]] ?? 'stepped-blower', self::CIRCUITS[self::UNITS[$unit][2]], $daysAgo, $complaint, $fault, $seed, $intermittent, $since, $before);

        // Closed, oldest first.
        $open('van7', 310, 'No air on 1, 2 and 3', 'common-open#0', 13, since: 'a week')->investigate(6)->replace('pack', 'TN-4410', 'Thermal fuse open. Filter left as it was.')->prove();
        $open('bakery', 122, 'Second speed dead', 'resistor-2-open#0', 23)->investigate(6)->replace('pack', 'OV-0087', 'Resistor 2 burnt through.')->prove();
        $open('bus', 74, 'Only blows on the top setting', 'rest-contact-burnt#0', 33, before: 'Resistor pack, last autumn')->investigate(8)->replace('high-relay', 'RG-19', 'Rest contact black. The old pack was good.')->prove();
        $open('van3', 41, 'Weak on every speed, worse on 4', 'plug-motor-burnt#1', 44)->investigate(8)->replace('motor-plug', null, 'Pigtail with heavier wire, both halves.')->prove();
        $open('clinic', 20, 'All dead', 'fuse-open#0', 51)->investigate(8)->replace('fuse', null, 'Blower coasts, no chafed wire found.')->prove();

        $open('van9', 96, 'Full speed whatever is asked, also with the key out', 'stage-shorted#0', 203)->investigate(8)->replace('module', 'TN-7130', 'Transistor shorted. Fuse out first, silent on refitting.')->prove();
        $open('van5', 88, 'Runs hot in traffic, no fan with the air conditioning', 'fan-open-a#0', 213)->investigate(8)->replace('fan-a', 'TN-5502', 'The second fan was silent on low because the first was open.')->prove();
        $open('bus1', 65, 'Wipers stop where they are', 'park-open#0', 221)->investigate(8)->replace('motor', 'RG-310', 'Park contact worn through.')->prove();
        $open('bakery2', 52, 'No intervals', 'setting-open#0', 235)->investigate(8)->replace('stalk', 'OV-1180', 'Track open in every interval setting.')->prove();
        $open('hallac', 47, 'Outdoor unit rattles on starting', 'output-resistive#2', 242, before: 'Contactor, start relay, capacitor')->investigate(10)->replace('board', 'KD-88', 'Relay contact burnt. 26 V open, 14 V with the coil on it.')->prove();
        $open('truckdoor', 39, 'Air only at the windscreen', 'supply-off#0', 432)->investigate(8)->replace('supply-hose', null, 'Hose off the tank. The doors rest at the windscreen without vacuum.')->prove();

        // Repaired, still to be proved.
        $open('minibus', 5, 'Dead on every step', 'command-open#0', 252)->investigate(8)->replace('command-wire', null, 'Broken at the bulkhead, spliced and sleeved.');
        $open('ambulance', 5, 'Low speed of the fan gone', 'resistor-open#0', 263)->investigate(8)->replace('resistor', 'OV-0310', 'Coil broken; fan turns freely.');
        $open('pilot', 4, 'Wiper only finishes its sweep', 'run-open#0', 274)->investigate(8)->replace('wire', null, 'RUN wire broken at the plug.');
        $open('post', 3, 'Only fast works', 'low-path#0', 282)->investigate(8)->replace('module', 'OV-1192', 'Low path burnt open.');
        $open('greenac', 3, 'Contactor buzzes', 'transformer-weak#2', 293)->investigate(8)->replace('transformer', 'KD-75', 'Fell to 15 V under load.');
        $open('bakerydoor', 2, 'Stays cold whatever is asked', 'motor-open#0', 443)->investigate(8)->replace('actuator', 'OV-2210', 'Motor open. The door itself moves freely.');
        $open('hall', 4, 'Third speed missing', 'contact-3-open#0', 63)->investigate(8)->replace('selector', 'TN-2203', 'Contact 3 eaten away.');
        $open('crane', 3, 'Runs on in position 0', 'tap-2-to-body#0', 73)->investigate(8)->replace('tap-wire', null, 'Wire 2 chafed at the column, sleeved.');

        // Back on the bench after a failed proof.
        $open('green', 6, 'Weak on low, squeals', 'motor-drag+common-open', 83, since: 'the harvest')->investigate(2)->replace('pack', 'FW-701', 'Pack fitted on the pattern.')->failProof();

        // On the bench.
        $open('van7', 2, 'Only blows on the top setting again', 'motor-drag+common-open', 92, since: 'the wet week', before: 'Resistor pack, ten months ago');
        $open('ferry', 1, 'Weak at full speed, pins were brown once', 'plug-pack-burnt#2', 105)->investigate(1);
        $open('bus', 1, 'Cuts in and out on the lower speeds', 'common-open#0~', 111, true, 'a month')->remember('a month ago', ['1' => 'cuts-out', '2' => 'right', '3' => 'right', '4' => 'right']);
        $open('ferry2', 1, 'Too fast on 1', 'contact-1-bridged#0', 122)->investigate(2);
        $open('clinic', 0, 'Positions do not match the knob', 'code-wrong#0', 134);
        $open('green', 0, 'Everything dead', 'motor-seized#1', 144)->investigate(1);

        $open('van9', 1, 'Fast steps weak', 'feed-resistive#1', 304)->investigate(1);
        $open('minibus', 0, 'Blower squeals', 'motor-drag#1', 315);
        $open('van5', 1, 'One fan silent on high', 'k3-contact-open#0', 322)->investigate(1);
        $open('ambulance', 0, 'Fan cuts in and out', 'plug-open-a#0~', 334, true);
        $open('bus1', 1, 'Wipers slow', 'linkage-binding#2', 341)->investigate(1);
        $open('pilot', 0, 'Wiper never stops', 'park-never-opens#0', 353);
        $open('bakery2', 0, 'No wiper at all but fast', 'input-open#0', 364)->investigate(1);
        $open('hallac', 1, 'Chatters again', 'wire-resistive#1', 372, before: 'Contactor, board')->investigate(1);
        $open('busdoor', 1, 'Driver side stays hot', 'track-worn#1', 455)->investigate(1);
        $open('truckdoor', 0, 'Air goes to the windscreen uphill', 'check-stuck#0', 462);

        // Just come in.
        $open('minibus', 0, 'Steps 3 and 4 alike', 'missing-steps#0', 385)->leaveCircuit();
        $open('ambulance', 0, 'Fan runs with the key out', 'stage-1-stuck#0', 391)->leaveCircuit();
        $open('pilot', 0, 'Wiper races', 'field-open#0', 402)->leaveCircuit();
        $open('kiosk', 0, 'Intervals all alike', 'setting-bypassed#0', 413)->leaveCircuit();
        $open('greenac', 0, 'Does not start', 'coil-open#0', 424)->leaveCircuit();
        $open('busdoor', 0, 'Clicks behind the dash, cold on one side', 'gear-stripped#0', 474)->leaveCircuit();
        $open('van3', 0, 'No air at all on high', 'contact-4-open#0', 152)->leaveCircuit();
    }

    /** @param array<string, mixed> $units */
    private function unit(array $units, string $key): Unit
    {
        $unit = $units[$key] ?? null;

        return $unit instanceof Unit ? $unit : throw new \LogicException("No unit $key.");
    }
}
