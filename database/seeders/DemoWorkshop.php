<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Unit;
use App\Models\Workshop;
use Ispira\Core\Job\JobKind;

/**
 * The shared workshop of Halvmark, a small lake-ferry town: its people, its units and its jobs.
 *
 * All names, models and part numbers are invented.
 */
final class DemoWorkshop
{
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
        foreach (DemoUnits::UNITS as $key => [$name, $place, $model]) {
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
            DemoUnits::FAMILIES[DemoUnits::UNITS[$unit][2]] ?? 'stepped-blower',
            DemoUnits::circuitOf(DemoUnits::UNITS[$unit][2]),
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

        DemoOtherKinds::open($open);
        DemoStock::catalogue($workshop);
        DemoStock::benchRuns($workshop, $technician);
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

    /** @param array<string, mixed> $units */
    private function unit(array $units, string $key): Unit
    {
        $unit = $units[$key] ?? null;

        return $unit instanceof Unit ? $unit : throw new \LogicException("No unit $key.");
    }
}
