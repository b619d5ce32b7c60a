<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * What is worth testing on doors that vacuum moves: the gauge along the way, each hose clamped off in
 * turn, a hand pump on each diaphragm, and what its rod does.
 */
final class VacuumTests
{
    private function __construct() {}

    /**
     * @param list<Position> $positions
     *
     * @return list<Test>
     */
    public static function all(array $positions): array
    {
        $tests = [];
        foreach ($positions as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed($p->mover),
                0.5,
                words: ['position' => $p->label],
                offered: false,
            );
        }
        $tests[] = new Test('hiss', 'hiss', 'face', Probe::observation('hiss'), 1.5, [], ['engine-runs']);
        $tests[] = new Test(
            'look-hoses',
            'look-hoses',
            'dead',
            Probe::observation('look-hoses'),
            2.0,
            ['engine'],
            contact: Contact::Hands,
        );
        $tests[] = new Test(
            'blow-check',
            'blow-check',
            'dead',
            Probe::observation('blow-check'),
            1.5,
            ['engine'],
            contact: Contact::Hands,
        );
        $tests[] = self::gauge('manifold', 'manifold', 'face', 'manifold', ['engine']);
        $tests[] = self::gauge('tank', 'tank', 'face', 'tank', ['engine']);
        $tests[] = self::gauge('tank@hill', 'tank-hill', 'hill', 'tank', ['engine']);
        $tests[] = self::gauge('tank@clamp-head', 'tank-clamped', 'clamp-head', 'tank', ['engine']);
        foreach (VacuumDoors::DOORS as $door) {
            $tests = [...$tests, ...self::of($door)];
        }

        return $tests;
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private static function gauge(
        string $key,
        string $text,
        string $setUp,
        string $at,
        array $access,
        array $words = [],
    ): Test {
        return new Test($key, $text, $setUp, Probe::vacuum($at, '0'), 1.0, $access, [], ['gauge'], $words);
    }

    /** @return list<Test> */
    private static function of(string $door): array
    {
        $words = ['door' => VacuumDoors::LABELS[$door]];

        return [
            self::gauge("tank@$door", 'tank-at', $door, 'tank', ['engine'], $words),
            self::gauge("head@$door", 'head-at', $door, 'head', ['head'], $words),
            self::gauge("out@$door", 'out-at', $door, "out-$door", ['head'], $words),
            self::gauge("actuator@$door", 'actuator-at', $door, $door, ['glovebox'], $words),
            self::gauge("clamp@$door", 'clamp-at', "clamp-$door", 'tank', ['engine', 'glovebox'], $words),
            new Test(
                "pump@$door",
                'pump',
                "pump-$door",
                Probe::vacuum($door, '0'),
                1.5,
                ['glovebox'],
                [],
                ['hand-pump'],
                $words,
            ),
            new Test(
                "pump-door@$door",
                'pump-door',
                "pump-$door",
                Probe::speed("door-$door"),
                1.0,
                ['glovebox'],
                ['pinch'],
                ['hand-pump'],
                $words,
            ),
            new Test(
                "rod@$door",
                'rod',
                $door,
                Probe::speed("rod-$door"),
                0.7,
                ['glovebox'],
                ['engine-runs', 'pinch'],
                words: $words,
            ),
            new Test(
                "rest@$door",
                'rod-at-rest',
                'windscreen',
                Probe::speed("rod-$door"),
                0.7,
                ['glovebox'],
                ['engine-runs', 'pinch'],
                words: $words,
            ),
            new Test(
                "by-hand-$door",
                'by-hand',
                'dead',
                Probe::observation("by-hand-$door"),
                1.0,
                ['glovebox'],
                ['pinch'],
                words: $words,
                contact: Contact::Hands,
            ),
        ];
    }
}
