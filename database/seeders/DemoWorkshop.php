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
        $open = fn (string $unit, int $daysAgo, string $complaint, string $fault, int $seed, bool $intermittent = false, ?string $since = null, ?string $before = null): DemoJob => new DemoJob($seed % 2 === 0 ? $lead : $technician, $this->unit($units, $unit), self::CIRCUITS[self::UNITS[$unit][2]], $daysAgo, $complaint, $fault, $seed, $intermittent, $since, $before);

        // Closed, oldest first.
        $open('van7', 310, 'No air on 1, 2 and 3', 'common-open#0', 13, since: 'a week')->investigate(6)->replace('pack', 'TN-4410', 'Thermal fuse open. Filter left as it was.')->prove();
        $open('bakery', 122, 'Second speed dead', 'resistor-2-open#0', 23)->investigate(6)->replace('pack', 'OV-0087', 'Resistor 2 burnt through.')->prove();
        $open('bus', 74, 'Only blows on the top setting', 'rest-contact-burnt#0', 33, before: 'Resistor pack, last autumn')->investigate(8)->replace('high-relay', 'RG-19', 'Rest contact black. The old pack was good.')->prove();
        $open('van3', 41, 'Weak on every speed, worse on 4', 'plug-motor-burnt#1', 44)->investigate(8)->replace('motor-plug', null, 'Pigtail with heavier wire, both halves.')->prove();
        $open('clinic', 20, 'All dead', 'fuse-open#0', 51)->investigate(8)->replace('fuse', null, 'Blower coasts, no chafed wire found.')->prove();

        // Repaired, still to be proved.
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

        // Just come in.
        $open('van3', 0, 'No air at all on high', 'contact-4-open#0', 152)->leaveCircuit();
    }

    /** @param array<string, mixed> $units */
    private function unit(array $units, string $key): Unit
    {
        $unit = $units[$key] ?? null;

        return $unit instanceof Unit ? $unit : throw new \LogicException("No unit $key.");
    }
}
