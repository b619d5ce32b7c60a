<?php

declare(strict_types=1);

namespace Database\Seeders;

/**
 * What the workshop of Halvmark looks after: its units, and what is known of the circuit of each model.
 */
final class DemoUnits
{
    public const UNITS = [
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
    public const FAMILIES = [
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
}
