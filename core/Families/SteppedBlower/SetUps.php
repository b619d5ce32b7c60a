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
        $selectorPins = array_map(static fn(int $k): string => "pin-$k", range(1, $v->top));
        $setUps[] = new SetUp('pack-out', 'key-off', $open('plug-pack', ...$taps), 'pack-out');
        $joined = static fn(string $what, int $pairs): array => array_map(
            static fn(int $k): Adjustment => Adjustment::set("$what-$k.ohms", 0.01),
            range(1, $pairs),
        );
        $selectorOut = $open('selector', ...$selectorPins);
        $bothOut = [...$open('plug-pack', ...$taps), ...$selectorOut];
        // The harness pins of the unplugged pack joined, so that one reading covers every wire.
        $setUps[] = new SetUp('taps-joined', 'key-off', [...$bothOut, ...$joined('touch', $v->top - 2)], 'taps-joined');
        $setUps[] = new SetUp('wires-alone', 'key-off', $bothOut, 'wires-alone');
        if (!$v->electronic) {
            $keyOff = Adjustment::set('relay.ohms', Variant::OPEN);
            foreach (['off', ...range(1, $v->top)] as $position) {
                $setUps[] = new SetUp(
                    "selector-out-$position",
                    (string) $position,
                    [$keyOff, ...$selectorOut],
                    'selector-out',
                );
            }
            // Its contacts joined, so that one reading tells whether any of them is closed.
            $setUps[] = new SetUp(
                'selector-joined',
                'off',
                [$keyOff, ...$selectorOut, ...$joined('bridge', $v->top - 1)],
                'selector-joined',
            );
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
