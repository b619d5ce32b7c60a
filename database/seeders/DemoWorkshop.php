<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Unit;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Str;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Planning\BenchSupply\BenchRun as Run;
use Ispira\Core\Planning\BenchSupply\BenchRunVerdict;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;

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
        'school' => ['School, gym furnace', 'school', 'Kelda F 20'],
        'halldry' => ['Swimming hall, changing room furnace', 'swimming hall', 'Kelda F 30'],
        'clinicair' => ['Clinic, air handler', 'clinic', 'Kelda AH E4'],
        'bakeryair' => ['Bakery, shop air handler', 'bakery', 'Kelda AH V6'],
        'office' => ['Harbour office, split unit', 'harbour office', 'Sund S 9'],
        'clinicsplit' => ['Clinic waiting room, split unit', 'clinic', 'Sund S 9'],
        'boiler' => ['School, boiler', 'school', 'Brann B 24'],
        'greenboiler' => ['Greenhouse, boiler', 'greenhouse', 'Brann B 30'],
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
        'Kelda F 20' => ['capacitor' => 9.0, 'riseLeast' => 22.0, 'riseMost' => 38.0],
        'Kelda F 30' => ['fanTerminal' => 'yes', 'taps' => '5'],
        'Kelda AH E4' => [],
        'Kelda AH V6' => ['control' => 'data'],
        'Sund S 9' => [
            'map' => 'own',
            'colour-vm' => 'brown',
            'pin-vm' => 1.0,
            'pin-gnd' => 4.0,
            'pin-vcc' => 5.0,
            'pin-vsp' => 6.0,
            'colour-gnd' => 'black',
            'colour-vcc' => 'white',
            'colour-vsp' => 'yellow',
            'colour-fg' => 'grey',
            'confirmed' => 'yes',
            'pin-fg' => 7.0,
            'pulses' => 8.0,
            'fullRpm' => 1050.0,
        ],
        'Brann B 24' => ['pressure' => 160.0, 'switchPressure' => 95.0],
        'Brann B 30' => ['speeds' => '2'],
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
        'Kelda F 20' => 'tapped-blower',
        'Kelda F 30' => 'tapped-blower',
        'Kelda AH E4' => 'ecm-blower',
        'Kelda AH V6' => 'ecm-blower',
        'Sund S 9' => 'five-wire-fan',
        'Brann B 24' => 'flue-fan',
        'Brann B 30' => 'flue-fan',
    ];

    /** @return array<string, mixed> what is entered of the circuit of a model */
    public static function circuitOf(string $model): array
    {
        return self::CIRCUITS[$model];
    }

    public function load(): void
    {
        $workshop = Workshop::query()->create(['name' => 'Halvmark shared workshop']);
        $lead = $workshop->users()->create([
            'name' => 'Runa Tveld',
            'email' => 'runa@halvmark.example',
            'role' => 'lead',
            'password' => config()->string('ispira.demo_password'),
        ]);
        $technician = $workshop->users()->create([
            'name' => 'Iska Moren',
            'email' => 'iska@halvmark.example',
            'role' => 'technician',
            'password' => config()->string('ispira.demo_password'),
        ]);
        $workshop->users()->create([
            'name' => 'Dav Ollin',
            'email' => 'dav@halvmark.example',
            'role' => 'trainee',
            'password' => config()->string('ispira.demo_password'),
        ]);
        $units = [];
        foreach (self::UNITS as $key => [$name, $place, $model]) {
            $units[$key] = $workshop->units()->create(['name' => $name, 'place' => $place, 'model' => $model]);
        }
        $open = fn(
            string $unit,
            int $daysAgo,
            string $complaint,
            string $fault,
            int $seed,
            bool $intermittent = false,
            ?string $since = null,
            ?string $before = null,
            JobKind $kind = JobKind::Fault,
            ?string $part = null,
        ): DemoJob => new DemoJob(
            $seed % 2 === 0 ? $lead : $technician,
            $this->unit($units, $unit),
            self::FAMILIES[self::UNITS[$unit][2]] ?? 'stepped-blower',
            self::CIRCUITS[self::UNITS[$unit][2]],
            $daysAgo,
            $complaint,
            $fault,
            $seed,
            $intermittent,
            $since,
            $before,
            $kind,
            $part,
        );

        app(DemoHistory::class)->load($workshop);

        // Closed, oldest first.
        $open('van7', 310, 'No air on 1, 2 and 3', 'common-open#0', 13, since: 'a week')
            ->investigate(6)
            ->replace('pack', 'TN-4410', 'Thermal fuse open. Filter left as it was.')
            ->prove();
        $open('bakery', 122, 'Second speed dead', 'resistor-2-open#0', 23)
            ->investigate(6)
            ->strip(
                [
                    ['Glove box', 'cross 2', '16 mm', 4, 'tray, left', 'two hooks at the top'],
                    ['Duct behind it', 'hex 8 mm', '20 mm', 2, 'tray, middle', null],
                    ['Bracket of the duct', 'star 20', '35 mm', 1, 'tray, middle', null],
                    ['Pack plug', null, null, 0, null, 'latch at the back, press and pull'],
                    ['Resistor pack', 'hex 7 mm', '12 mm', 2, 'bag 1', null],
                ],
                true,
            )
            ->replace('pack', 'OV-0087', 'Resistor 2 burnt through.')
            ->prove();
        $open(
            'bus',
            74,
            'Only blows on the top setting',
            'rest-contact-burnt#0',
            33,
            before: 'Resistor pack, last autumn',
        )
            ->investigate(8)
            ->replace('high-relay', 'RG-19', 'Rest contact black. The old pack was good.')
            ->prove();
        $open('van3', 41, 'Weak on every speed, worse on 4', 'plug-motor-burnt#1', 44)
            ->investigate(8)
            ->replace('motor-plug', null, 'Pigtail with heavier wire, both halves.')
            ->prove();
        $open('clinic', 20, 'All dead', 'fuse-open#0', 51)
            ->investigate(8)
            ->replace('fuse', null, 'Blower coasts, no chafed wire found.')
            ->prove();

        $open('van9', 96, 'Full speed whatever is asked, also with the key out', 'stage-shorted#0', 203)
            ->investigate(8)
            ->replace('module', 'TN-7130', 'Transistor shorted. Fuse out first, silent on refitting.')
            ->prove();
        $open('van5', 88, 'Runs hot in traffic, no fan with the air conditioning', 'fan-open-a#0', 213)
            ->investigate(8)
            ->replace('fan-a', 'TN-5502', 'The second fan was silent on low because the first was open.')
            ->prove();
        $open('bus1', 65, 'Wipers stop where they are', 'park-open#0', 221)
            ->investigate(8)
            ->replace('motor', 'RG-310', 'Park contact worn through.')
            ->prove();
        $open('bakery2', 52, 'No intervals', 'setting-open#0', 235)
            ->investigate(8)
            ->replace('stalk', 'OV-1180', 'Track open in every interval setting.')
            ->prove();
        $open(
            'hallac',
            47,
            'Outdoor unit rattles on starting',
            'output-resistive#2',
            242,
            before: 'Contactor, start relay, capacitor',
        )
            ->investigate(10)
            ->replace('board', 'KD-88', 'Relay contact burnt. 26 V open, 14 V with the coil on it.')
            ->prove();
        $open('truckdoor', 39, 'Air only at the windscreen', 'supply-off#0', 432)
            ->investigate(8)
            ->replace('supply-hose', null, 'Hose off the tank. The doors rest at the windscreen without vacuum.')
            ->prove();

        $open('school', 60, 'Blower hums and does not start', 'capacitor-open#0', 501)
            ->investigate(9)
            ->replace('capacitor', 'KD-9M', 'Open. Shaft free, filter changed.')
            ->prove();
        $open('clinicair', 33, 'Dead on every call', 'inrush-open#0', 511)
            ->investigate(9)
            ->replace('module', 'KD-E410', 'Inrush limiter burnt. Phases alike, none to the case.')
            ->prove();
        $open('office', 30, 'Fan error after a few seconds', 'fg-open#0', 523)
            ->investigate(9)
            ->replace('motor', 'SD-F8', 'No pulses by hand with Vcc on.')
            ->prove();
        $open('greenboiler', 26, 'Locks out on the fan in the night', 'tube-wet#0', 536)
            ->investigate(9)
            ->replace('tube', null, 'Water stood in the low loop, re-routed with a fall.')
            ->prove();

        $open('greenboiler', 6, 'Squeals on starting', 'bearings-dry#0', 705)
            ->investigate(12)
            ->replace('fan', null, 'Bearings cleaned and oiled, fan ordered. Combustion checked after.', 12)
            ->prove();

        // Repaired, still to be proved.
        $open('halldry', 4, 'Heat call dead, cooling runs', 'relay-heat-open#0', 542)
            ->investigate(9)
            ->replace('board', 'KD-F30B', 'Heat relay does not close.');
        $open('bakeryair', 4, 'Starts and stops by itself', 'answer-dead#0', 555)
            ->investigate(9)
            ->replace('module', 'KD-V611', 'No answer to the board.');
        $open('clinicsplit', 3, 'No fan', 'bus-dead#0', 562)
            ->investigate(9)
            ->replace('board', 'SD-B2', 'Bus fuse and rectifier. Motor clear from Vm to GND.');
        $open('boiler', 2, 'Waits for the fan', 'switch-dead#0', 571)
            ->investigate(9)
            ->replace('pressure-switch', 'BR-PS95', 'Did not close at 150 Pa.');
        $open('minibus', 5, 'Dead on every step', 'command-open#0', 252)
            ->investigate(8)
            ->replace('command-wire', null, 'Broken at the bulkhead, spliced and sleeved.');
        $open('ambulance', 5, 'Low speed of the fan gone', 'resistor-open#0', 263)
            ->investigate(8)
            ->replace('resistor', 'OV-0310', 'Coil broken; fan turns freely.');
        $open('pilot', 4, 'Wiper only finishes its sweep', 'run-open#0', 274)
            ->investigate(8)
            ->replace('wire', null, 'RUN wire broken at the plug.');
        $open('post', 3, 'Only fast works', 'low-path#0', 282)
            ->investigate(8)
            ->replace('module', 'OV-1192', 'Low path burnt open.');
        $open('greenac', 3, 'Contactor buzzes', 'transformer-weak#2', 293)
            ->investigate(8)
            ->replace('transformer', 'KD-75', 'Fell to 15 V under load.');
        $open('bakerydoor', 2, 'Stays cold whatever is asked', 'motor-open#0', 443)
            ->investigate(8)
            ->replace('actuator', 'OV-2210', 'Motor open. The door itself moves freely.');
        $open('hall', 4, 'Third speed missing', 'contact-3-open#0', 63)
            ->investigate(8)
            ->replace('selector', 'TN-2203', 'Contact 3 eaten away.');
        $open('crane', 3, 'Runs on in position 0', 'tap-2-to-body#0', 73)
            ->investigate(8)
            ->replace('tap-wire', null, 'Wire 2 chafed at the column, sleeved.');

        // Back on the bench after a failed proof.
        $open('green', 6, 'Weak on low, squeals', 'motor-drag+common-open', 83, since: 'the harvest')
            ->investigate(2)
            ->replace('pack', 'FW-701', 'Pack fitted on the pattern.')
            ->failProof();

        // On the bench.
        $open(
            'van7',
            2,
            'Only blows on the top setting again',
            'motor-drag+common-open',
            92,
            since: 'the wet week',
            before: 'Resistor pack, ten months ago',
        );
        $open('ferry', 1, 'Weak at full speed, pins were brown once', 'plug-pack-burnt#2', 105)->investigate(1);
        $open('bus', 1, 'Cuts in and out on the lower speeds', 'common-open#0~', 111, true, 'a month')->remember(
            'a month ago',
            ['1' => 'cuts-out', '2' => 'right', '3' => 'right', '4' => 'right'],
        );
        $open('ferry2', 1, 'Too fast on 1', 'contact-1-bridged#0', 122)->investigate(2);
        $open('clinic', 0, 'Positions do not match the knob', 'code-wrong#0', 134);
        $open('green', 0, 'Everything dead', 'motor-seized#1', 144)->investigate(1);

        $open('van9', 1, 'Fast steps weak', 'feed-resistive#1', 304)->investigate(1)->capture();
        $open('minibus', 0, 'Blower squeals', 'motor-drag#1', 315);
        $open('van5', 1, 'One fan silent on high', 'k3-contact-open#0', 322)->investigate(1);
        $open('ambulance', 0, 'Fan cuts in and out', 'plug-open-a#0~', 334, true);
        $open('bus1', 1, 'Wipers slow', 'linkage-binding#2', 341)->investigate(1);
        $open('pilot', 0, 'Wiper never stops', 'park-never-opens#0', 353);
        $open('bakery2', 0, 'No wiper at all but fast', 'input-open#0', 364)->investigate(1);
        $open('hallac', 1, 'Chatters again', 'wire-resistive#1', 372, before: 'Contactor, board')->investigate(1);
        $open('busdoor', 1, 'Driver side stays hot', 'track-worn#1', 455)->investigate(1);
        $open('truckdoor', 0, 'Air goes to the windscreen uphill', 'check-stuck#0', 462);

        $open('school', 1, 'Squeals, slow to start', 'bearing-dry#1', 583)->investigate(1);
        $open('halldry', 0, 'Too warm, limit trips', 'wrong-tap#0', 594);
        $open('clinicair', 1, 'No cooling speed', 'wire-cool-open#0', 603)->investigate(1);
        $open('office', 1, 'Stands still, error code', 'driver-shorted#0', 614)->investigate(1);
        $open('boiler', 0, 'Fan squeals and is slow', 'bearings-dry#0', 625)->investigate(1);

        $this->otherKinds($open);
        $this->catalogue($workshop);
        $this->benchRuns($workshop, $technician);
        $workshop->meters()->create(['name' => 'Bench meter', 'host' => '127.0.0.1', 'port' => 5025]);

        // Just come in.
        $open('bakeryair', 0, 'Air weak, noisy', 'rotation-learned#0', 631)->leaveCircuit();
        $open('clinicsplit', 0, 'Slow, then error', 'vsp-leaky#0', 644)->leaveCircuit();
        $open('greenboiler', 0, 'Only slow', 'wire-fast-open#0', 652)->leaveCircuit();
        $open('halldry', 0, 'Fan never stops', 'relay-cool-welded#0', 663)->leaveCircuit();
        $open('minibus', 0, 'Steps 3 and 4 alike', 'missing-steps#0', 385)->leaveCircuit();
        $open('ambulance', 0, 'Fan runs with the key out', 'stage-1-stuck#0', 391)->leaveCircuit();
        $open('pilot', 0, 'Wiper races', 'field-open#0', 402)->leaveCircuit();
        $open('kiosk', 0, 'Intervals all alike', 'setting-bypassed#0', 413)->leaveCircuit();
        $open('greenac', 0, 'Does not start', 'coil-open#0', 424)->leaveCircuit();
        $open('busdoor', 0, 'Clicks behind the dash, cold on one side', 'gear-stripped#0', 474)->leaveCircuit();
        $open('van3', 0, 'No air at all on high', 'contact-4-open#0', 152)->leaveCircuit();
    }

    /**
     * What is no fault on a unit: a loose part, an adjustment, a follow-up, a request from afar; and a repair under
     * way.
     */
    private function otherKinds(\Closure $open): void
    {
        $loose = $open(
            'van3',
            9,
            'Is the spare blower motor still good?',
            HypothesisList::NOTHING_WRONG,
            801,
            kind: JobKind::LoosePart,
            part: 'motor',
        );
        $adjusted = $open(
            'school',
            8,
            'Too loud in the hall while the play is on',
            HypothesisList::NOTHING_WRONG,
            811,
            kind: JobKind::Adjustment,
        );
        $remote = $open('kiosk', 7, 'Find me a wiper module', 'module-dead#0', 823, kind: JobKind::Remote);
        $follow = $open(
            'van9',
            1,
            'Is it still right after three months?',
            HypothesisList::NOTHING_WRONG,
            833,
            kind: JobKind::FollowUp,
        );
        $under = $open('bakery', 1, 'Nothing on 1 and 2', 'resistor-2-open#0', 844);
        if (
            !($loose instanceof DemoJob) ||
            !($adjusted instanceof DemoJob) ||
            !($remote instanceof DemoJob) ||
            !($follow instanceof DemoJob) ||
            !($under instanceof DemoJob)
        ) {
            throw new \LogicException('Jobs are opened as demo jobs.');
        }
        $loose->investigate(3)->close(JobOutcome::ProvenGood, 'Runs well on the bench, back on the shelf.');
        $adjusted->toProof(done: true);
        $adjusted->plan('airflow', []);
        $adjusted->note(EntryKind::Adjusted, [
            'what' => 'Fan tap for circulation',
            'before' => 'medium high',
            'after' => 'medium low',
            'undoOn' => now()->addDays(21)->toDateString(),
        ]);
        $adjusted->close(JobOutcome::Adjusted, null, 29);
        $remote->investigate(2);
        $remote->note(EntryKind::Loan, [
            'what' => 'Wiper module from the shelf',
            'to' => 'the kiosk',
            'dueOn' => now()->addDays(5)->toDateString(),
        ]);
        $remote->close(
            JobOutcome::Advised,
            'The module with the twelve-pin plug, and to look at the water channel above it.',
        );
        $follow->toProof();
        $under->investigate(6);
        $under->note(EntryKind::Choice, [
            'option' => 'number:OV-0087',
            'label' => 'Resistor pack (coils), original, OV-0087',
            'parts' => ['pack'],
            'kind' => 'part',
            'purchase' => 44.0,
            'selling' => 62.0,
            'minutes' => 25,
            'leadDays' => 1,
            'warrantyMonths' => 24,
            'partNumber' => 'OV-0087',
            'expected' => 79.0,
            'reason' => 'The second in four months: original this time, and the motor current is measured first.',
        ]);
        $under->note(EntryKind::Fit, [
            'when' => 'purchase',
            'type' => 'pack',
            'candidate' => 'OV-0087',
            'old' => [
                'depth' => '41',
                'amps' => '18',
                'speeds' => '4',
                'pins' => '5',
                'connectorSex' => 'pins',
                'mount' => 'two ears, M5',
                'cooling' => 'coils to the duct',
            ],
            'new' => [
                'depth' => '41',
                'amps' => '20',
                'speeds' => '4',
                'pins' => '5',
                'connectorSex' => 'pins',
                'mount' => 'two ears, M5',
            ],
            'accepted' => true,
            'reason' => null,
        ]);
        $under->note(EntryKind::Found, [
            'what' => 'Screws of the glove box',
            'condition' => 'missing',
            'count' => 1,
            'note' => 'of four',
        ]);
        $under->note(EntryKind::Found, ['what' => 'Hook of the duct', 'condition' => 'pried', 'count' => 0]);
        foreach (
            [
                'tool' => ['Stubby driver, cross 2', 'Driver, hex 7 and 8 mm'],
                'consumable' => ['Contact cleaner'],
                'carry-over' => ['Foam gasket of the pack'],
                'restore' => ['Clock of the cab radio'],
            ]
            as $sort => $things
        ) {
            foreach ($things as $what) {
                $id = $under->note(EntryKind::Kit, ['sort' => $sort, 'what' => $what]);
                if ($sort === 'tool') {
                    $under->note(EntryKind::KitReady, ['of' => $id]);
                }
            }
        }
        $under->strip(
            [
                ['Glove box', 'cross 2', '16 mm', 3, 'tray, left', 'two hooks at the top'],
                ['Duct behind it', 'hex 8 mm', '20 mm', 2, 'tray, middle', null],
                ['Bracket of the duct', 'star 20', '35 mm', 1, 'tray, middle', null],
                ['Pack plug', null, null, 0, null, 'latch at the back, press and pull'],
            ],
            false,
        );
        $under->note(EntryKind::Method, ['method' => 'photo-and-tags']);
        foreach (
            [
                ['Common of the pack', '5', '5', 'black', 'A'],
                ['Tap of position 1', '1', '1', 'blue', 'B'],
                ['Tap of position 2', '2', '2', 'yellow', 'C'],
                ['Tap of position 3', '3', '3', 'yellow', 'D'],
            ]
            as [$function, $from, $to, $colour, $label]
        ) {
            $wire = $under->note(EntryKind::Wire, [
                'function' => $function,
                'from' => $from,
                'to' => $to,
                'colour' => $colour,
                'label' => $label,
            ]);
            if ($label === 'A') {
                $under->note(EntryKind::WireMoved, ['of' => $wire]);
                $under->note(EntryKind::WireChecked, ['of' => $wire]);
            }
        }
    }

    /** What the workshop buys. */
    private function catalogue(Workshop $workshop): void
    {
        foreach (
            [
                [
                    'OV-0087',
                    'Resistor pack (coils)',
                    'pack',
                    'original',
                    ['stepped-blower:pack'],
                    ['OV-0086'],
                    40.0,
                    4.0,
                    62.0,
                    1,
                    24,
                    10.0,
                    0.03,
                    6.0,
                    [
                        'depth' => '41',
                        'amps' => '20',
                        'speeds' => '4',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'mount' => 'two ears, M5',
                        'cooling' => 'coils to the duct',
                    ],
                ],
                [
                    'UV-4C',
                    'Resistor pack, copy',
                    'pack',
                    'aftermarket',
                    ['stepped-blower:pack'],
                    [],
                    19.0,
                    3.0,
                    38.0,
                    0,
                    12,
                    5.0,
                    0.1,
                    3.0,
                    [
                        'depth' => '48',
                        'amps' => '16',
                        'speeds' => '4',
                        'pins' => '5',
                        'connectorSex' => 'sockets',
                        'mount' => 'two ears, M5',
                    ],
                ],
                [
                    'TN-7130',
                    'Speed module, two-wire command',
                    'module',
                    'original',
                    ['electronic-blower:module'],
                    [],
                    71.0,
                    4.0,
                    110.0,
                    3,
                    24,
                    10.0,
                    0.03,
                    11.0,
                    [
                        'voltage' => '12',
                        'control' => 'pwm-high',
                        'controlHertz' => '100',
                        'amps' => '30',
                        'depth' => '52',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'cooling' => 'fins to the duct',
                        'software' => 'none',
                    ],
                ],
                [
                    'KD-M12',
                    'Blower motor, four taps',
                    'motor',
                    'original',
                    ['tapped-blower:motor'],
                    ['KD-M11'],
                    238.0,
                    18.0,
                    340.0,
                    6,
                    24,
                    12.0,
                    0.03,
                    36.0,
                    [
                        'voltage' => '230',
                        'supplyType' => 'ac50',
                        'control' => 'line-taps',
                        'rotation' => 'reversible',
                        'depth' => '128',
                        'bodyDiameter' => '140',
                        'shaftDiameter' => '12.7',
                        'shaftLength' => '115',
                        'shaftForm' => 'flat',
                        'power' => '370',
                        'amps' => '2.7',
                        'speeds' => '4',
                        'microfarads' => '9',
                        'thermalClass' => 'b',
                        'mount' => 'belly band',
                    ],
                ],
                [
                    'SD-F8',
                    'Fan motor, five wires',
                    'motor',
                    'original',
                    ['five-wire-fan:motor'],
                    [],
                    122.0,
                    9.0,
                    190.0,
                    null,
                    24,
                    10.0,
                    0.03,
                    20.0,
                    [
                        'voltage' => '310',
                        'supplyType' => 'rectified',
                        'control' => 'analogue',
                        'rotation' => 'ccw',
                        'depth' => '92',
                        'shaftDiameter' => '8',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'pinFunctions' => '1 Vm, 4 GND, 5 Vcc, 6 Vsp, 7 FG',
                    ],
                ],
            ]
            as [
                $number,
                $name,
                $type,
                $make,
                $fits,
                $supersedes,
                $price,
                $freight,
                $selling,
                $leadDays,
                $warranty,
                $life,
                $comeBack,
                $lost,
                $attributes,
            ]
        ) {
            $workshop->parts()->create([
                'number' => $number,
                'part' => [
                    'number' => $number,
                    'name' => $name,
                    'type' => $type,
                    'make' => $make,
                    'fits' => $fits,
                    'supersedes' => $supersedes,
                    'price' => $price,
                    'freight' => $freight,
                    'selling' => $selling,
                    'leadDays' => $leadDays,
                    'warrantyMonths' => $warranty,
                    'lifeYears' => $life,
                    'comeBack' => $comeBack,
                    'lost' => $lost,
                    'attributes' => $attributes,
                ],
            ]);
        }
    }

    /** A good motor, and one that is slow and rough, on the bench supply. */
    private function benchRuns(Workshop $workshop, User $technician): void
    {
        foreach (
            [
                [
                    40,
                    2.1,
                    [[3.0, 342.0], [4.0, 598.0], [5.0, 842.0], [5.8, 1036.0]],
                    true,
                    0.06,
                    'New one, before it was fitted.',
                ],
                [
                    2,
                    2.7,
                    [[3.0, 176.0], [4.0, 431.0], [5.0, 655.0]],
                    false,
                    0.11,
                    'Harbour office, grit in both bearings.',
                ],
            ]
            as [$daysAgo, $starts, $points, $smooth, $amps, $note]
        ) {
            $run = new Run($starts, $points, true, $smooth, false);
            $reference = $workshop->benchRuns()->first()?->run();
            $verdict = BenchRunVerdict::of($run, $reference);
            $workshop->benchRuns()->create([
                'id' => (string) Str::ulid(),
                'user_id' => $technician->id,
                'model' => 'SD-F8',
                'pulses' => 8,
                'starts_at' => $starts,
                'points' => $points,
                'steady' => true,
                'smooth' => $smooth,
                'loaded' => false,
                'amps' => $amps,
                'note' => $note,
                'against' => $verdict->against,
                'compared' => $verdict->compared,
                'ran_at' => now()->subDays($daysAgo),
            ]);
        }
    }

    /** @param array<string, mixed> $units */
    private function unit(array $units, string $key): Unit
    {
        $unit = $units[$key] ?? null;

        return $unit instanceof Unit ? $unit : throw new \LogicException("No unit $key.");
    }
}
