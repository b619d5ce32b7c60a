<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\CauseCheck;
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
                'motor-sound' => [0.5, []],
                'arms' => [1.0, []],
                'linkage' => [1.0, ['linkage-off']],
                'look-plug' => [0.7, ['motor-plug']],
                'wiggle-plug' => [1.0, ['motor-plug']],
                'wiggle-dash' => [0.7, []],
                'wiggle-feed' => [1.0, ['fuse-box']],
                'knock' => [0.7, ['motor-plug']],
            ]
            as $key => [$minutes, $access]
        ) {
            $tests[] = new Test(
                $key,
                $key,
                'low',
                Probe::observation($key),
                $minutes,
                $access,
                ['crush'],
                repeatable: str_starts_with($key, 'wiggle'),
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
                ['crush'],
                words: ['speed' => 'low'],
            ),
            new Test('free-off', 'free-park', 'free-off', Probe::speed('motor'), 1.5, ['linkage-off'], ['crush']),
            new Test(
                'current-low',
                'current',
                'low',
                Probe::amps('feed'),
                1.0,
                ['fuse-box'],
                ['crush'],
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
                ['crush'],
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
        return new Test($key, $text, $setUp, Probe::volts($plus, $minus), 0.8, $access, ['crush'], ['meter'], $words);
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
