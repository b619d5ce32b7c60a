<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * What is worth testing on any wiper; each motor adds its own.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'motor-plug' => 5.0,
        'dash' => 8.0,
        'linkage-off' => 8.0,
    ];

    /** @param list<Test> $own of the motor at hand */
    public function __construct(private array $own) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach (['off', 'low', 'high'] as $position) {
            $tests[] = new Test(
                "speed@$position",
                'speed',
                $position,
                Probe::speed('motor'),
                0.3,
                words: ['position' => $position],
                offered: false,
            );
        }
        foreach (
            [
                'motor-sound' => [0.5, [], Contact::Eyes],
                'arms' => [1.0, [], Contact::Hands],
                'linkage' => [1.0, ['linkage-off'], Contact::Hands],
                'look-plug' => [0.7, ['motor-plug'], Contact::Hands],
                'wiggle-plug' => [1.0, ['motor-plug'], Contact::Wires],
                'wiggle-dash' => [0.7, [], Contact::Wires],
                'wiggle-feed' => [1.0, ['fuse-box'], Contact::Wires],
                'knock' => [0.7, ['motor-plug'], Contact::Wires],
            ]
            as $key => [$minutes, $access, $contact]
        ) {
            $tests[] = new Test(
                $key,
                $key,
                $contact === Contact::Hands ? 'dead' : 'low',
                Probe::observation($key),
                $minutes,
                $access,
                repeatable: str_starts_with($key, 'wiggle'),
                contact: $contact,
            );
        }

        return [
            ...$tests,
            self::volts('battery-volts', 'battery-volts', 'low', 'battery', '0', ['battery'], []),
            self::volts('fuse-in', 'fuse-in', 'low', 'fuse-in', '0', ['fuse-box'], []),
            self::volts('fuse-out', 'fuse-out', 'low', 'fed', '0', ['fuse-box'], []),
            new Test(
                'free-low',
                'free-run',
                'free-low',
                Probe::speed('motor'),
                1.5,
                ['linkage-off'],
                words: ['speed' => 'low'],
            ),
            new Test('free-off', 'free-park', 'free-off', Probe::speed('motor'), 1.5, ['linkage-off']),
            new Test(
                'current-low',
                'current',
                'low',
                Probe::amps('feed'),
                1.0,
                ['fuse-box'],
                [],
                ['clamp'],
                ['speed' => 'low'],
            ),
            new Test(
                'free-current',
                'free-current',
                'free-low',
                Probe::amps('feed'),
                1.5,
                ['linkage-off', 'fuse-box'],
                [],
                ['clamp'],
            ),
            ...$this->own,
        ];
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    public static function volts(
        string $key,
        string $text,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        array $words,
    ): Test {
        return new Test($key, $text, $setUp, Probe::volts($plus, $minus), 0.8, $access, [], ['meter'], $words);
    }

    /** @return list<CauseCheck> */
    public static function causeChecks(): array
    {
        return [
            new CauseCheck('fuse', 'linkage', 'binding'),
            new CauseCheck('motor', 'linkage', 'binding'),
            new CauseCheck('plug', 'current-low', 'draw'),
        ];
    }
}
