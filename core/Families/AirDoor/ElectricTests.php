<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * What is worth testing on a motor that moves a door: supply, reversal, the motor alone, and where
 * it says that it stands.
 */
final readonly class ElectricTests
{
    private const WAYS = ['cold' => 'to cold', 'warm' => 'to warm'];

    public function __construct(private bool $feedback, private bool $twoZones) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach (['rest' => 'at rest'] + self::WAYS as $position => $label) {
            $tests[] = new Test(
                "speed@$position",
                'speed',
                $position,
                Probe::speed('motor'),
                0.5,
                words: ['position' => $label],
                offered: false,
            );
        }
        if ($this->twoZones) {
            $tests[] = self::look('other-side', 'cold', 0.5, [], asked: true);
        }

        return [
            ...$tests,
            self::look('lever', 'warm', 1.0, ['actuator']),
            self::look('door-by-hand', 'dead', 1.0, ['actuator', 'actuator-off'], Contact::Hands),
            self::look('look-harness', 'dead', 3.0, ['actuator'], Contact::Hands),
            self::look('wiggle-plug', 'warm', 1.0, ['actuator'], Contact::Wires, again: true),
            self::look('wiggle-head', 'warm', 1.0, ['head'], Contact::Wires, again: true),
            self::look('knock', 'warm', 0.7, ['actuator'], Contact::Wires, again: true),
            ...$this->supply(),
            ...$this->motor(),
            ...$this->feedback ? $this->report() : [],
        ];
    }

    /** @param list<string> $access */
    private static function look(
        string $key,
        string $setUp,
        float $minutes,
        array $access,
        Contact $contact = Contact::Eyes,
        bool $again = false,
        bool $asked = false,
    ): Test {
        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $access === [] ? [] : ['airbag'],
            repeatable: $again,
            asked: $asked,
            contact: $contact,
        );
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private static function volts(
        string $key,
        string $text,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        array $words = [],
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            0.8,
            $access,
            ['airbag', 'no-lamp'],
            ['meter'],
            $words,
        );
    }

    /** @return list<Test> */
    private function supply(): array
    {
        return [
            self::volts('fuse-in', 'fuse-in', 'warm', 'fuse-in', '0', ['fuse-box']),
            self::volts('fuse-out', 'fuse-out', 'warm', 'fed', '0', ['fuse-box']),
            self::volts('head-volts', 'head-volts', 'warm', 'head', '0', ['head']),
            self::volts('head-ground', 'head-ground', 'warm', 'head-ground', '0', ['head']),
        ];
    }

    /** @return list<Test> */
    private function motor(): array
    {
        $tests = [];
        foreach (self::WAYS as $way => $label) {
            $tests[] = self::volts("motor-volts@$way", 'motor-volts', $way, 'A', 'B', ['actuator'], ['way' => $label]);
            $tests[] = self::volts(
                "warm-side@$way",
                'side-volts',
                $way,
                'warm-pin',
                '0',
                ['actuator'],
                ['side' => 'warm', 'way' => $label],
            );
            $tests[] = self::volts(
                "cold-side@$way",
                'side-volts',
                $way,
                'cold-pin',
                '0',
                ['actuator'],
                ['side' => 'cold', 'way' => $label],
            );
            $tests[] = self::volts(
                "head-out@$way",
                'head-out',
                $way,
                'warm-out',
                'cold-out',
                ['head'],
                ['way' => $label],
            );
            $tests[] = new Test(
                "direct@$way",
                'direct',
                "direct-$way",
                Probe::speed('motor'),
                1.5,
                ['actuator'],
                ['airbag'],
                ['fused-lead'],
                ['way' => $label],
            );
            $tests[] = new Test(
                "free@$way",
                'free',
                "free-$way",
                Probe::speed('motor'),
                0.7,
                ['actuator', 'actuator-off'],
                ['airbag'],
                words: ['way' => $label],
            );
        }
        $tests[] = new Test(
            'motor-ohms',
            'motor-ohms',
            'apart',
            Probe::ohms('A', 'B'),
            1.0,
            ['actuator'],
            ['airbag'],
            ['meter'],
        );

        return $tests;
    }

    /** @return list<Test> */
    private function report(): array
    {
        $tests = [
            self::look('sweep', 'turned', 2.0, ['actuator', 'actuator-off'], Contact::Hands, again: true),
            self::volts('reference', 'reference', 'rest', 'ref-pin', 'low-pin', ['actuator']),
            self::volts('reference-head', 'reference-head', 'rest', 'ref', 'head-ground', ['head']),
            self::volts('low-drop', 'low-drop', 'rest', 'low-pin', '0', ['actuator']),
            new Test(
                'track-ohms',
                'track-ohms',
                'told-out',
                Probe::ohms('ref-pin', 'low-pin'),
                1.0,
                ['actuator'],
                ['airbag'],
                ['meter'],
            ),
            new Test(
                'wiper-ohms',
                'wiper-ohms',
                'told-out',
                Probe::ohms('told-pin', 'low-pin'),
                1.0,
                ['actuator'],
                ['airbag'],
                ['meter'],
            ),
            new Test(
                'reported@rest',
                'reported',
                'rest',
                Probe::duty('told', 'head-ground', 5.0, 'ref'),
                1.5,
                [],
                [],
                ['scan-tool'],
                ['place' => 'in the middle'],
            ),
            new Test(
                'reported@cold',
                'reported',
                'at-cold',
                Probe::duty('told', 'head-ground', 5.0, 'ref'),
                1.0,
                ['actuator', 'actuator-off'],
                ['airbag'],
                ['scan-tool'],
                ['place' => 'at cold'],
            ),
            self::volts('told-head', 'told-head', 'rest', 'told', 'head-ground', ['head']),
        ];
        foreach (array_keys(ElectricDoor::SHARES) as $place) {
            $tests[] = self::volts(
                "told@$place",
                'told',
                "at-$place",
                'told-pin',
                'low-pin',
                ['actuator', 'actuator-off'],
                ['place' => $place],
            );
        }

        return $tests;
    }
}
