<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;

/**
 * What stands at the fans during a test.
 */
final readonly class SetUps
{
    /** @param list<Position> $positions */
    public function __construct(private Layout $layout, private array $positions) {}

    /** @return list<SetUp> */
    public function all(): array
    {
        $l = $this->layout;
        $off = $l->cell('off', 'a');
        $setUps = array_map(static fn(Position $p): SetUp => new SetUp($p->key, $p->key), $this->positions);
        foreach (['low', 'high'] as $line) {
            $joined = [Adjustment::set("jump-$line.ohms", 0.02)];
            if ($line === 'high' && $l->relays) {
                $joined[] = Adjustment::set('jump-low.ohms', 0.02);
            }
            $unplugged = $l->relays
                ? [Adjustment::opened('request-low'), Adjustment::opened('request-high')]
                : [Adjustment::opened('stage-1'), Adjustment::opened('stage-2')];
            $setUps[] = new SetUp(
                "jump-$line",
                $off,
                [...$unplugged, ...$joined],
                $l->relays ? 'ground-request' : 'jumper',
                PositionKind::Runs,
            );
            $lamp = [Adjustment::set('lamp.ohms', 3.0)];
            foreach (
                $l->arrangement === 'two-input' ? ['plug-low', 'plug-high', 'plug-minus-a'] : ['plug-a', 'plug-minus-a']
                as $plug
            ) {
                $lamp[] = Adjustment::opened($plug);
            }
            if ($line === 'low' || $l->arrangement !== 'two-input') {
                $setUps[] = new SetUp("lamp-$line", $l->cell($line, 'a'), $lamp, 'lamp');
            }
        }
        foreach ($l->fans() as $fan) {
            $out =
                $l->arrangement === 'two-input'
                    ? [Adjustment::opened('plug-low'), Adjustment::opened('plug-high')]
                    : [Adjustment::opened("plug-$fan")];
            $out[] = Adjustment::opened("plug-minus-$fan");
            $setUps[] = new SetUp(
                "direct-$fan",
                $off,
                [...$out, Adjustment::set("direct-$fan.ohms", 0.02), Adjustment::set("direct-minus-$fan.ohms", 0.01)],
                'direct',
                PositionKind::Runs,
                "fan-$fan",
            );
            $setUps[] = new SetUp("out-$fan", $off, $out, 'unplugged');
            if ($l->arrangement === 'two-input') {
                $setUps[] = new SetUp(
                    'direct-low',
                    $off,
                    [...$out, Adjustment::set('direct-low.ohms', 0.02), Adjustment::set('direct-minus-a.ohms', 0.01)],
                    'direct',
                    PositionKind::Runs,
                    'fan-a',
                );
            }
        }
        if (!$l->relays) {
            $setUps[] = new SetUp(
                'switch-hot',
                $l->cell('high', 'a'),
                [
                    Adjustment::opened('switch-plug'),
                    Adjustment::opened('fuse'),
                    ...array_map(Adjustment::opened(...), ['low-wire', 'high-wire']),
                ],
                'switch-hot',
            );
        }

        return $setUps;
    }
}
