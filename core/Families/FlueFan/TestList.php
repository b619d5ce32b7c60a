<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\PlateRange;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on a flue fan: its shaft, its windings, what feeds it, and the draught that it makes with the
 * gas shut.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = ['cover' => 3.0, 'fan' => 12.0, 'plug' => 2.0, 'tee' => 3.0, 'terminal' => 8.0];

    /** Draught in Pa at full speed where no plate says it. */
    private const PRESSURE = 160.0;

    /** Shares of the right draught between which pressure switches close. */
    private const SWITCH_AT = [0.4, 0.8];

    public function __construct(private Wiring $wiring, private ?float $pressure, private ?float $switchPressure) {}

    /** Between which the draught is right, as the plate and the label of the switch say it, as far as they are typed. */
    private function plate(): PlateRange
    {
        $least = $most = [];
        if ($this->pressure !== null) {
            [$low, $high] = Populations::between('values', 'draught of plate');
            $least[] = $low * $this->pressure;
            $most[] = $high * $this->pressure;
        }
        if ($this->switchPressure !== null) {
            $least[] = $this->switchPressure / self::SWITCH_AT[1];
            $most[] = $this->switchPressure / self::SWITCH_AT[0];
        }

        return $least === [] ? new PlateRange(null, null) : new PlateRange(max($least), min($most));
    }

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach ($this->wiring->positions() as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed('fast'),
                0.5,
                words: ['position' => $p->label],
                offered: false,
            );
        }

        return [...$tests, ...$this->looks(), ...$this->volts(), ...$this->others()];
    }

    /**
     * @param list<string>          $access
     * @param list<string>          $cautions
     * @param array<string, string> $words
     */
    private static function look(
        string $key,
        float $minutes,
        array $access,
        array $cautions = [],
        Contact $contact = Contact::Hands,
        string $setUp = 'isolated',
        bool $again = false,
        bool $asked = false,
        array $words = [],
        ?string $text = null,
    ): Test {
        return new Test(
            $key,
            $text ?? $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $cautions,
            words: $words,
            repeatable: $again,
            asked: $asked,
            contact: $contact,
        );
    }

    /** @return list<Test> */
    private function looks(): array
    {
        return [
            self::look('proves', 0.5, [], [], Contact::Eyes, 'full', asked: true),
            self::look('spin', 1.0, ['cover'], ['wheel']),
            self::look('axial-play', 0.7, ['cover', 'fan'], ['wheel']),
            self::look('look-wheel', 1.0, ['cover', 'fan'], ['wheel']),
            self::look('look-seal', 1.0, ['cover', 'fan']),
            self::look('look-tube', 1.0, ['cover']),
            self::look(
                'blow-switch',
                1.5,
                ['cover'],
                ['no-bridge'],
                words: ['pressure' => number_format($this->switchPressure ?? 0.0)],
                text: $this->switchPressure === null ? 'blow-switch-unknown' : 'blow-switch',
            ),
            self::look('look-flue', 2.0, ['terminal'], ['hot-flue']),
            self::look('reset', 0.5, ['cover']),
            self::look('bare-spin', 1.0, ['cover', 'fan', 'wheel-off'], ['wheel']),
            self::look('brush-blade', 1.5, ['cover', 'fan'], ['wheel']),
            self::look('tube-end', 2.0, ['cover', 'tee'], [], Contact::Probes, 'gas-shut'),
            self::look('switch-contact', 1.5, ['cover'], ['no-bridge']),
            self::look('outlet-loose', 5.0, ['cover', 'tee'], ['hot-flue'], Contact::Probes, 'gas-shut'),
            self::look('smoke-seal', 2.0, ['cover'], [], Contact::Probes, 'gas-shut'),
            self::look('wiggle-plug', 1.0, ['cover'], [], Contact::Stick, 'full', true),
            self::look('tap-control', 1.0, ['cover'], [], Contact::Stick, 'full', true),
            self::look('warm', 15.0, [], [], Contact::Eyes, 'full', true),
        ];
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private static function measure(
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
            [],
            ['meter'],
            $words,
            trap: $trap,
        );
    }

    /** @return list<Test> */
    private function volts(): array
    {
        $tests = [
            self::measure('fed-volts', 'fed-volts', 'off', 'fed', '0', ['cover']),
            self::measure('safe-volts', 'safe-volts', 'off', 'safe', '0', ['cover']),
            self::measure('fuse-drop', 'fuse-drop', 'full', 'L', 'fed', ['cover']),
            self::measure('limit-drop', 'limit-drop', 'full', 'fed', 'safe', ['cover']),
            self::measure('output-drop', 'output-drop', 'full', 'safe', 'sent-fast', ['cover']),
            self::measure('neutral-drop', 'neutral-drop', 'full', 'plug-neutral', '0', ['cover', 'plug']),
        ];
        foreach ($this->wiring->speeds() as $speed) {
            $position = $speed === 'fast' ? 'full' : 'slow';
            $words = ['speed' => $this->wiring->twoSpeeds ? "$speed " : ''];
            $tests[] = self::measure(
                "sent-volts@$position",
                'sent-volts',
                $position,
                "sent-$speed",
                '0',
                ['cover'],
                $words,
            );
            $tests[] = self::measure(
                "fan-volts@$position",
                'fan-volts',
                $position,
                "plug-$speed",
                'plug-neutral',
                ['cover', 'plug'],
                $words,
            );
            // Tells a contact that stays closed from a wire that is fed beyond it.
            $tests[] = self::measure(
                "idle-volts-$speed",
                'idle-volts',
                'idle',
                "sent-$speed",
                '0',
                ['cover', 'plug'],
                $words,
                Trap::Ghost,
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function others(): array
    {
        $full = $this->pressure ?? self::PRESSURE;
        $tests = [
            new Test(
                'pressure',
                $this->pressure === null ? 'pressure-unknown' : 'pressure',
                'gas-shut',
                Probe::pressure('fast', $full, 0.97 * $this->wiring->motor()->ratedSpeed, 'fast.draught'),
                4.0,
                ['tee'],
                [],
                ['manometer'],
                ['full' => number_format($full)],
                plate: $this->plate(),
            ),
            new Test('amps', 'amps', 'full', Probe::amps('neutral'), 1.0, ['cover'], [], ['clamp']),
            new Test(
                'case-ohms',
                'case-ohms',
                'dead',
                Probe::ohms('plug-neutral', 'case'),
                1.0,
                ['cover', 'plug'],
                [],
                ['meter'],
            ),
        ];
        foreach ($this->wiring->speeds() as $speed) {
            $tests[] = new Test(
                "ohms-$speed",
                'winding-ohms',
                'dead',
                Probe::ohms("plug-$speed", 'plug-neutral'),
                1.0,
                ['cover', 'plug'],
                [],
                ['meter'],
                ['speed' => $this->wiring->twoSpeeds ? "$speed " : ''],
            );
        }

        return $tests;
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        return [
            new CauseCheck('fan', 'look-seal', 'seal'),
            new CauseCheck('fan', 'look-flue', 'flue'),
            new CauseCheck('fan', 'pressure', 'pressure'),
            new CauseCheck('fuse', 'case-ohms', 'case'),
            new CauseCheck('limit', 'look-flue', 'flue'),
            new CauseCheck('pressure-switch', 'pressure', 'pressure'),
            new CauseCheck('tube', 'pressure', 'pressure'),
        ];
    }
}
