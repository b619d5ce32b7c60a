<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Families\Mechanical\FusePulled;

/**
 * What stands on the bench of a stepped blower during a test.
 */
final readonly class SetUps
{
    /** @param list<Position> $positions */
    public function __construct(private Variant $variant, private array $positions) {}

    /** @return list<SetUp> */
    public function all(): array
    {
        $v = $this->variant;
        $open = static fn(string ...$elements): array => array_map(
            static fn(string $e): Adjustment => Adjustment::atLeast("$e.ohms", Variant::OPEN),
            array_values($elements),
        );
        $setUps = array_map(static fn(Position $p): SetUp => new SetUp($p->key, $p->key), $this->positions);
        $setUps[] = SetUp::isolated('dead', 'key-off', 'dead');
        $setUps[] = FusePulled::setUp((string) ($v->top - 1), $open('fuse'));
        $lampOhms = $v->lampOhms();
        foreach ([$v->top - 1, $v->top] as $position) {
            $setUps[] = new SetUp(
                "lamp-$position",
                (string) $position,
                [...$open('plug-plus', 'plug-minus'), Adjustment::set('lamp.ohms', $lampOhms)],
                'lamp',
                still: true,
            );
        }
        $setUps[] = new SetUp(
            'direct',
            'off',
            [
                ...$open('plug-plus', 'plug-minus'),
                Adjustment::set('direct-plus.ohms', 0.03),
                Adjustment::set('direct-minus.ohms', 0.01),
            ],
            'direct',
            PositionKind::Runs,
        );
        $taps = array_map(static fn(int $k): string => "tap-$k", $v->lowPositions());
        // The highest speed goes round the pack: its wire comes off with the selector alone.
        $selectorWires = $v->highRelay() ? ['high-coil'] : ["tap-$v->top"];
        $setUps[] = new SetUp('pack-out', 'key-off', $open('plug-pack', ...$taps), 'pack-out');
        $bridges = array_map(
            static fn(int $k): Adjustment => Adjustment::set("bridge-$k.ohms", 0.01),
            $v->lowPositions(),
        );
        $selectorOut = $open('selector', ...$taps, ...$selectorWires);
        // The harness pins of the unplugged pack joined, so that one reading covers every wire.
        $setUps[] = new SetUp(
            'taps-joined',
            'key-off',
            [...$open('plug-pack'), ...$selectorOut, ...\array_slice($bridges, 0, -1)],
            'taps-joined',
        );
        if (!$v->electronic) {
            $keyOff = Adjustment::set('relay.ohms', Variant::OPEN);
            foreach (range(1, $v->top) as $position) {
                $setUps[] = new SetUp(
                    "selector-out-$position",
                    (string) $position,
                    [$keyOff, ...$selectorOut],
                    'selector-out',
                );
            }
            // Its contacts joined, so that one reading tells whether any of them is closed.
            $setUps[] = new SetUp('selector-joined', 'off', [$keyOff, ...$selectorOut, ...$bridges], 'selector-joined');
        }
        if ($v->modeContact()) {
            $setUps[] = new SetUp(
                'other-mode',
                (string) $v->top,
                [
                    Adjustment::set('mode.ohms', Variant::OPEN),
                    Adjustment::set('mode-other.ohms', Wiring::JOINT * $v->scale),
                ],
                'other-mode',
            );
        }

        return $setUps;
    }
}
