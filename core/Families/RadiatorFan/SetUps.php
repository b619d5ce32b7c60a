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
        $setUps[] = SetUp::isolated('dead', $off, 'dead');
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
                !$l->relays ? 'jumper' : ($line === 'high' ? 'ground-requests' : 'ground-request'),
                PositionKind::Runs,
            );
            $lamp = [Adjustment::set('lamp.ohms', 3.0)];
            array_push($lamp, ...$this->unplugged('a'));
            if ($line === 'low' || !$l->twoInputs('a')) {
                $setUps[] = new SetUp("lamp-$line", $l->cell($line, 'a'), $lamp, $l->lampText());
            }
        }
        foreach ($l->fans() as $fan) {
            $out = $this->unplugged($fan);
            $setUps[] = new SetUp(
                "direct-$fan",
                $off,
                [...$out, Adjustment::set("direct-$fan.ohms", 0.02), Adjustment::set("direct-minus-$fan.ohms", 0.01)],
                'direct',
                PositionKind::Runs,
                "fan-$fan",
            );
            $setUps[] = new SetUp("out-$fan", $off, $out, 'unplugged');
            if ($l->twoInputs($fan)) {
                $low = Layout::own('direct-low', $fan);
                $setUps[] = new SetUp(
                    $low,
                    $off,
                    [...$out, Adjustment::set("$low.ohms", 0.02), Adjustment::set("direct-minus-$fan.ohms", 0.01)],
                    'direct',
                    PositionKind::Runs,
                    "fan-$fan",
                );
            }
        }
        foreach ($l->besideEachOther() as $relay => $other) {
            $setUps[] = new SetUp(
                "$relay-out",
                $l->cell('off', 'a'),
                [Adjustment::opened("$other-coil")],
                "$relay-out",
            );
        }
        if (!$l->relays) {
            $alone = [
                Adjustment::opened('switch-plug'),
                Adjustment::opened('fuse'),
                ...array_map(Adjustment::opened(...), $l->lineWires()),
            ];
            $setUps[] = SetUp::isolated('switch-hot', $l->cell('high', 'a'), 'switch-hot', $alone);
            $setUps[] = SetUp::isolated('switch-cold', $off, 'switch-cold', $alone);
        }

        return $setUps;
    }

    /** @return list<Adjustment> a fan's plug pulled */
    private function unplugged(string $fan): array
    {
        return array_map(Adjustment::opened(...), [...array_keys($this->layout->feedPins($fan)), "plug-minus-$fan"]);
    }
}
