<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;
use Ispira\Core\Families\Furnace\HeatRise;

/**
 * What is worth testing on a tapped blower: calls and taps live, windings and capacitor dead, rise with the burner on.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'panel' => 2.0,
        'wheel' => 1.0,
        'motor-leads' => 4.0,
        'capacitor-off' => 3.0,
        'wire-off' => 1.5,
        'filter' => 1.0,
        'ducts' => 4.0,
    ];

    /** Share of the rated flux that an ordinary circuit leaves. */
    private const FLUX = 0.94;

    public function __construct(private TappedMotor $motor, private Wiring $wiring, private HeatRise $rise) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach ($this->wiring->positions() as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed('main'),
                0.5,
                words: ['position' => $p->label],
                offered: false,
            );
        }

        return [...$tests, ...self::looks(), ...$this->live(), ...$this->windings(), ...$this->running()];
    }

    /** @param list<string> $access */
    private static function look(string $key, float $minutes, array $access): Test
    {
        return new Test($key, $key, 'isolated', Probe::observation($key), $minutes, $access, contact: Contact::Hands);
    }

    /** @param list<string> $access */
    private static function provoked(string $key, float $minutes, array $access, Contact $contact): Test
    {
        return new Test(
            $key,
            $key,
            'cool',
            Probe::observation($key),
            $minutes,
            $access,
            repeatable: true,
            contact: $contact,
        );
    }

    /** @return list<Test> */
    private static function looks(): array
    {
        return [
            self::look('look-filter', 0.5, ['filter']),
            self::look('look-board', 1.0, ['panel']),
            self::look('look-capacitor', 0.7, ['panel']),
            self::look('taps-diagram', 1.5, ['panel']),
            self::look('spin', 0.7, ['panel', 'wheel']),
            self::look('bare-spin', 1.0, ['panel', 'wheel', 'wheel-off']),
            self::look('look-wheel', 0.7, ['panel', 'wheel']),
            self::provoked('stops-hot', 12.0, [], Contact::Eyes),
            self::provoked('wiggle-wires', 1.5, ['panel'], Contact::Stick),
            self::provoked('wiggle-call', 1.5, ['panel'], Contact::SignalWires),
            self::provoked('tap-board', 1.0, ['panel'], Contact::Stick),
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
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            1.0,
            $access,
            $setUp === 'off' ? [] : ['board-waits'],
            ['meter'],
            $words,
            trap: $trap,
        );
    }

    /** @return list<Test> */
    private function live(): array
    {
        $tests = [
            self::volts('line-volts', 'line-volts', 'off', 'fed', '0', ['panel']),
            self::volts('door-volts', 'door-volts', 'off', 'live', '0', ['panel']),
            self::volts('secondary', 'secondary', 'off', 'R', '0', ['panel']),
            self::volts('breaker-drop', 'breaker-drop', 'cool', 'L', 'fed', ['panel']),
            self::volts('door-drop', 'door-drop', 'cool', 'fed', 'live', ['panel']),
            self::volts('common-drop', 'common-drop', 'cool', 'common', '0', ['panel', 'motor-leads']),
            self::volts('idle-volts', 'idle-volts', 'cool', 'heat', '0', ['panel'], trap: Trap::IdleTap),
            new Test(
                'limit-ohms',
                'limit-ohms',
                'dead',
                Probe::ohms('limit-a', 'limit-b'),
                1.5,
                ['panel'],
                [],
                ['meter'],
            ),
        ];
        foreach ($this->wiring->assignment() as $call => $tap) {
            $words = ['call' => $call, 'terminal' => Wiring::terminal($call), 'tap' => $this->motor->names()[$tap]];
            $tests[] = self::volts(
                "call-volts@$call",
                'call-volts',
                $call,
                Wiring::terminal($call),
                '0',
                ['panel'],
                $words,
            );
            $tests[] = self::volts("terminal-volts@$call", 'terminal-volts', $call, $call, '0', ['panel'], $words);
            $tests[] = self::volts(
                "tap-volts@$call",
                'tap-volts',
                $call,
                $this->wiring->tapNode($tap),
                '0',
                ['panel', 'motor-leads'],
                $words,
            );
            $tests[] = self::volts(
                "lifted-volts@$call",
                'lifted-volts',
                "lifted-$call",
                $call,
                '0',
                ['panel', 'wire-off'],
                $words,
            );
        }

        return $tests;
    }

    /** @param array<string, string> $words */
    private static function ohms(string $key, string $text, string $a, string $b, array $words = []): Test
    {
        return new Test(
            $key,
            $text,
            'dead',
            Probe::ohms($a, $b),
            1.0,
            ['panel', 'motor-leads', 'capacitor-off'],
            [],
            ['meter'],
            $words,
        );
    }

    /** @return list<Test> */
    private function windings(): array
    {
        $tests = [];
        foreach ($this->motor->names() as $tap => $name) {
            $tests[] = self::ohms("tap-ohms@$name", 'tap-ohms', 'common', $this->wiring->tapNode($tap), [
                'tap' => $name,
            ]);
        }

        foreach ($this->wiring->neighbours() as [$call, $next]) {
            $tests[] = self::ohms("wires-ohms@$call-$next", 'wires-ohms', $call, $next, [
                'call' => $call,
                'next' => $next,
            ]);
        }

        return [
            ...$tests,
            self::ohms('auxiliary-ohms', 'auxiliary-ohms', 'common', 'auxiliary-end'),
            self::ohms('case-ohms', 'case-ohms', 'common', 'case'),
            new Test(
                'microfarads',
                $this->motor->capacitorKnown() ? 'microfarads' : 'microfarads-unrated',
                'dead',
                Probe::capacitance('capacitor'),
                1.0,
                ['panel', 'capacitor-off'],
                [],
                ['capacitance'],
                ['rated' => number_format($this->motor->microfarads(), 1)],
            ),
            ...$this->motor->capacitorKnown() ? [] : [self::againstItsLabel()],
        ];
    }

    /** Where the rating was not typed, who holds the capacitor still reads it. */
    private static function againstItsLabel(): Test
    {
        return new Test(
            FaultList::LABEL,
            FaultList::LABEL,
            'dead',
            Probe::observation(FaultList::LABEL),
            1.2,
            ['panel', 'capacitor-off'],
            [],
            ['capacitance'],
            contact: Contact::Probes,
        );
    }

    /** @return list<Test> */
    private function running(): array
    {
        $tests = [
            new Test(
                'capacitor-amps',
                'capacitor-amps',
                'cool',
                Probe::amps('capacitor'),
                1.0,
                ['panel'],
                [],
                ['clamp'],
            ),
            new Test(
                'capacitor-volts',
                'capacitor-volts',
                'cool',
                Probe::volts('capacitor-in', 'auxiliary-end'),
                1.5,
                ['panel'],
                [],
                ['meter'],
            ),
            new Test(
                'pushed',
                'pushed',
                'pushed',
                Probe::speed('main'),
                1.5,
                ['panel', 'wheel'],
                contact: Contact::Stick,
            ),
            ...$this->rise->tests('main', $this->heatSpeed()),
        ];
        foreach (array_keys($this->wiring->assignment()) as $call) {
            $tests[] = new Test(
                "amps@$call",
                'amps',
                $call,
                Probe::amps('common-wire'),
                1.0,
                ['panel'],
                [],
                ['clamp'],
                ['call' => $call],
            );
        }

        return $tests;
    }

    /** Speed on the heat tap when nothing is wrong, in rad/s. */
    private function heatSpeed(): float
    {
        return $this->motor->motor()->speed(self::FLUX / $this->motor->turns($this->wiring->assignment()['heat']), 1.0);
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        return [
            new CauseCheck('motor', 'microfarads', 'capacitor'),
            new CauseCheck('motor', 'look-filter', 'air'),
            new CauseCheck('capacitor', 'spin', 'bearing'),
            new CauseCheck('breaker', 'case-ohms', 'case'),
            new CauseCheck('board', 'amps@cool', 'current'),
            new CauseCheck('tap-wires', 'rise', 'rise'),
            new CauseCheck('filter', 'look-wheel', 'wheel'),
            new CauseCheck('limit', 'rise', 'limit'),
        ];
    }
}
