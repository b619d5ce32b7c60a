<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing between a board and a five-wire motor: the four lines with the plug on, the supplies with the
 * plug off, the motor's pins, and the motor alone on a bench supply.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = ['cover' => 4.0, 'wheel' => 3.0, 'plug' => 3.0, 'motor-out' => 20.0];

    public function __construct(private Wiring $wiring) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach ($this->wiring->positions() as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed('motor'),
                0.5,
                words: ['position' => $p->label],
                offered: false,
            );
        }

        return [...$tests, ...self::looks(), ...$this->plugged(), ...self::unplugged(), ...$this->alone()];
    }

    /**
     * @param list<string> $access
     * @param list<string> $tools
     */
    private static function look(
        string $key,
        float $minutes,
        array $access,
        Contact $contact = Contact::Hands,
        string $setUp = 'isolated',
        bool $again = false,
        array $tools = [],
    ): Test {
        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            tools: $tools,
            repeatable: $again,
            contact: $contact,
        );
    }

    /** @return list<Test> */
    private static function looks(): array
    {
        return [
            self::look('start', 0.5, [], Contact::Eyes, 'high'),
            self::look('look-board', 1.0, ['cover']),
            self::look('look-plug', 0.7, ['cover', 'plug'], setUp: 'dead'),
            self::look('spin', 0.7, ['wheel']),
            self::look('bare-spin', 1.0, ['wheel', 'wheel-off']),
            self::look('look-wheel', 0.7, ['wheel']),
            self::look('wiggle-plug', 1.0, ['cover', 'plug'], Contact::Stick, 'high', true),
            self::look('tap-board', 1.0, ['cover'], Contact::Stick, 'high', true),
            self::look('warm', 15.0, [], Contact::Eyes, 'high', true),
            self::look('diode-test', 3.0, ['cover', 'plug'], Contact::Probes, 'dead', tools: ['meter', 'twin']),
        ];
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
        ?Trap $trap = null,
        Contact $contact = Contact::Probes,
        bool $possible = true,
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            1.0,
            $access,
            [],
            ['meter'],
            $words,
            trap: $trap,
            contact: $contact,
            possible: $possible,
        );
    }

    /** @return list<Test> */
    private function plugged(): array
    {
        $at = ['cover', 'plug'];
        $tests = [
            self::volts('vm-volts', 'vm-volts', 'high', 'vm', 'gnd', $at),
            self::volts('vcc-volts', 'vcc-volts', 'high', 'vcc', 'gnd', $at),
            ...$this->turnedSlowly([...$at, 'wheel']),
            self::volts('ground-drop', 'ground-drop', 'high', 'gnd', '0', $at),
            self::volts('board-vm', 'board-vm', 'high', 'board-vm', '0', ['cover']),
            self::volts('board-vcc', 'board-vcc', 'high', 'board-vcc', '0', ['cover']),
            new Test('fg-hertz', 'fg-hertz', 'high', $this->pulses('pull-up'), 1.0, $at, [], ['meter']),
        ];
        foreach (['low', 'high'] as $position) {
            $tests[] = self::volts("vsp-volts@$position", 'vsp-volts', $position, 'vsp', 'gnd', $at, [
                'position' => $position,
            ]);
        }
        $tests[] = self::volts('board-vsp', 'board-vsp', 'high', 'board-vsp', '0', ['cover']);

        return $tests;
    }

    /**
     * Possible only where the logic supply can be had without the bus.
     *
     * @param list<string> $at
     *
     * @return list<Test>
     */
    private function turnedSlowly(array $at): array
    {
        $possible = $this->wiring->suppliesApart;
        $test = static fn(string $key, string $plus, string $minus): Test => self::volts(
            $key,
            $key,
            'by-hand',
            $plus,
            $minus,
            $at,
            trap: Trap::Averaged,
            contact: Contact::Stick,
            possible: $possible,
        );

        return [$test('fg-hand', 'board-fg', '0'), $test('fg-hand-motor', 'fg', 'gnd')];
    }

    /** @return list<Test> */
    private static function unplugged(): array
    {
        $ohms = static fn(
            string $key,
            string $pin,
            string $against = 'gnd',
            string $setUp = 'dead',
            float $minutes = 0.8,
        ): Test => new Test(
            $key,
            $key,
            $setUp,
            Probe::ohms($pin, $against),
            $minutes,
            ['cover', 'plug'],
            [],
            ['meter'],
        );

        return [
            self::volts(
                'vm-unplugged',
                'vm-unplugged',
                'unplugged',
                'board-vm',
                '0',
                ['cover', 'plug'],
                trap: Trap::NoLoad,
            ),
            self::volts(
                'vcc-unplugged',
                'vcc-unplugged',
                'unplugged',
                'board-vcc',
                '0',
                ['cover', 'plug'],
                trap: Trap::NoLoad,
            ),
            // Tells a board that commands for good from a command wire that is fed in the cable.
            self::volts('vsp-idle', 'vsp-idle', 'idle', 'board-vsp', '0', ['cover', 'plug'], trap: Trap::NoLoad),
            $ohms('vm-ohms', 'vm'),
            $ohms('vcc-ohms', 'vcc'),
            $ohms('vsp-ohms', 'vsp'),
            // Nothing else tells the wire of the feedback from a board that does not see it.
            $ohms('fg-wire-ohms', 'board-fg', 'fg', 'cable', 1.0),
        ];
    }

    /** @return list<Test> */
    private function alone(): array
    {
        $at = ['cover', 'plug', 'motor-out'];
        $cautions = ['bench-live', 'bench-order'];

        return [
            new Test(
                'speed@bench',
                'bench-speed',
                'bench',
                Probe::speed('motor'),
                3.0,
                $at,
                $cautions,
                ['bench-supply'],
                contact: Contact::Probes,
            ),
            new Test('bench-hertz', 'bench-hertz', 'bench', $this->pulses('bench-vcc'), 1.0, $at, $cautions, [
                'bench-supply',
                'meter',
            ]),
        ];
    }

    /** @param string $pullUp node from which the feedback is pulled up */
    private function pulses(string $pullUp): Probe
    {
        return Probe::frequency(
            'motor',
            $this->wiring->fullHertz(),
            $this->wiring->fullSpeed(),
            'fg',
            'gnd',
            15.0,
            'motor.pace',
            $pullUp,
        );
    }

    /** @return list<CauseCheck> */
    public static function causeChecks(): array
    {
        return [
            new CauseCheck('board', 'vm-ohms', 'motor-short'),
            new CauseCheck('board', 'vcc-ohms', 'logic-short'),
            new CauseCheck('motor', 'vcc-volts', 'logic'),
            new CauseCheck('motor', 'spin', 'wheel'),
            new CauseCheck('cable', 'look-plug', 'plug'),
        ];
    }
}
