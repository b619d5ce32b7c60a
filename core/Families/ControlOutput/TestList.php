<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on a 24 V output. A reading without the load is offered too, and shown for what it is.
 */
final class TestList
{
    public const ACCESS_MINUTES = ['cabinet' => 3.0, 'outdoor' => 6.0, 'thermostat' => 2.0, 'wire-off' => 1.0];

    private const LABELS = ['off' => 'no call', 'call' => 'call', 'all' => 'call, all on'];

    private function __construct() {}

    /** @return list<Test> */
    public static function all(): array
    {
        $tests = [];
        foreach (self::LABELS as $position => $label) {
            $tests[] = new Test(
                "speed@$position",
                'speed',
                $position,
                Probe::speed('contactor'),
                0.5,
                words: ['position' => $label],
                offered: false,
            );
        }

        return [...$tests, ...self::looks(), ...self::volts(), ...self::others()];
    }

    /** @return list<Test> */
    private static function looks(): array
    {
        return [
            self::look('look-board', 1.0, ['cabinet']),
            self::look('primary-tap', 1.5, ['cabinet']),
            self::look('settings', 2.0, ['cabinet']),
            self::look('look-contactor', 1.5, ['outdoor'], ['outdoor-off']),
            self::look('push-armature', 1.0, ['outdoor'], ['outdoor-off']),
            self::look('wiggle-wire', 2.0, ['outdoor'], [], Contact::Stick, 'call', true),
            self::look('tap-board', 1.0, ['cabinet'], [], Contact::Stick, 'call', true),
        ];
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     */
    private static function look(
        string $key,
        float $minutes,
        array $access,
        array $cautions = [],
        Contact $contact = Contact::Hands,
        string $setUp = 'isolated',
        bool $again = false,
    ): Test {
        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $cautions,
            repeatable: $again,
            contact: $contact,
        );
    }

    /** @return list<Test> */
    private static function volts(): array
    {
        return [
            self::measure('secondary', 'off', 'R', '0', ['cabinet']),
            self::measure('secondary', 'call', 'R', '0', ['cabinet']),
            self::measure('secondary', 'all', 'R', '0', ['cabinet'], 2.0),
            // What behind the fuse draws too much is away then, and a weak transformer is not.
            self::measure('secondary-alone', 'fuse-out', 'R', '0', ['cabinet'], 1.5),
            self::measure('fused', 'call', 'fused', '0', ['cabinet']),
            self::measure('call-volts', 'call', 'call', '0', ['cabinet']),
            self::measure('output-loaded', 'call', 'out', '0', ['cabinet']),
            self::measure('output-loaded', 'all', 'out', '0', ['cabinet'], 2.0),
            self::measure('contact-drop', 'call', 'fused', 'out', ['cabinet']),
            self::measure('output-open', 'lifted', 'out', '0', ['cabinet', 'wire-off'], trap: Trap::NoLoad),
            // Tells a contact that stays closed from a wire that is fed beyond it.
            self::measure('output-idle', 'idle', 'out', '0', ['cabinet', 'wire-off'], trap: Trap::Ghost),
            self::measure('output-test-load', 'test-load', 'out', '0', ['cabinet', 'wire-off'], 2.0, ['meter', 'load']),
            self::measure('coil-volts', 'call', 'coil-in', 'coil-out', ['outdoor']),
            self::measure('wire-drop', 'call', 'coil-in', '0', ['outdoor']),
            self::measure('common-drop', 'call', 'coil-out', '0', ['outdoor'], 2.0),
        ];
    }

    /**
     * @param list<string> $access
     * @param list<string> $tools
     */
    private static function measure(
        string $key,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        float $minutes = 1.0,
        array $tools = ['meter'],
        ?Trap $trap = null,
    ): Test {
        return new Test(
            "$key@$setUp",
            $key,
            $setUp,
            Probe::volts($plus, $minus),
            $minutes,
            $access,
            [],
            $tools,
            ['position' => self::LABELS[$setUp] ?? $setUp],
            trap: $trap,
        );
    }

    /** @return list<Test> */
    private static function others(): array
    {
        return [
            new Test('coil-amps@call', 'coil-amps', 'call', Probe::amps('contactor'), 1.5, ['cabinet'], [], ['clamp']),
            new Test(
                'coil-ohms',
                'coil-ohms',
                'coil-off',
                Probe::ohms('coil-in', 'coil-out'),
                1.5,
                ['outdoor'],
                ['outdoor-off'],
                ['meter'],
            ),
            new Test(
                'field-ohms',
                'field-ohms',
                'dead',
                Probe::ohms('lead', '0'),
                2.0,
                ['outdoor', 'wire-off'],
                ['outdoor-off'],
                ['meter'],
            ),
            new Test(
                'known-load',
                'known-load',
                'known',
                Probe::speed('known-coil'),
                4.0,
                ['cabinet', 'wire-off'],
                [],
                ['known-relay'],
                contact: Contact::Probes,
            ),
        ];
    }

    /** @return list<CauseCheck> */
    public static function causeChecks(): array
    {
        return [
            new CauseCheck('fuse', 'field-ohms', 'short'),
            new CauseCheck('contactor', 'coil-volts@call', 'chatter'),
            new CauseCheck('board', 'coil-ohms', 'coil'),
            new CauseCheck('board', 'look-contactor', 'wear'),
            new CauseCheck('board', 'coil-volts@call', 'wire-too'),
            new CauseCheck('transformer', 'coil-ohms', 'coil'),
        ];
    }
}
