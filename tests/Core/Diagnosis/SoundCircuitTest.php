<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Drawing\DrawnElement;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SoundCircuitTest extends TestCase
{
    /** @return iterable<string, array{0: array<string, mixed>}> */
    public static function circuits(): iterable
    {
        foreach (['feed', 'ground'] as $side) {
            foreach (['selector', 'relay', 'changeover'] as $high) {
                foreach (['no', 'feed', 'return'] as $mode) {
                    yield "$side, $high, mode $mode" => [['side' => $side, 'high' => $high, 'modeContact' => $mode]];
                }
            }
        }
    }

    /** @param array<string, mixed> $parameters */
    #[DataProvider('circuits')]
    public function testTheLivePathRunsFromTheBatteryThroughTheMotorInEveryRunningPosition(array $parameters): void
    {
        $bench = new Bench($parameters);
        $sound = new SoundCircuit($bench->circuit);
        foreach (['1', '2', '3', '4'] as $position) {
            $live = [];
            foreach ($sound->sheet($bench->circuit->setUps[$position])->elements as $element) {
                if ($element->live) {
                    $live[$element->id] = [$element->from, $element->to];
                }
            }
            self::assertArrayHasKey('battery', $live);
            self::assertArrayHasKey('motor', $live);
            $ends = array_count_values(array_merge(...array_values($live)));
            $loose = array_filter(
                $ends,
                static fn(int $n, int|string $node): bool => $n === 1 && (string) $node !== '0',
                \ARRAY_FILTER_USE_BOTH,
            );
            self::assertSame([], array_keys($loose), "no live wire ends in nothing, position $position");
        }
        foreach (['off', 'key-off'] as $position) {
            self::assertSame(
                [],
                array_filter(
                    $sound->sheet($bench->circuit->setUps[$position])->elements,
                    static fn(DrawnElement $e): bool => $e->live && $e->id !== 'battery',
                ),
            );
        }
    }

    public function testContactsAreShownOpenAndClosed(): void
    {
        $bench = new Bench();
        $elements = array_column(
            (new SoundCircuit($bench->circuit))->sheet($bench->circuit->setUps['2'])->elements,
            null,
            'id',
        );
        self::assertTrue($elements['contact-1']->open);
        self::assertFalse($elements['contact-2']->open);
        $unplugged = array_column(
            (new SoundCircuit($bench->circuit))->sheet($bench->circuit->setUps['pack-out'])->elements,
            null,
            'id',
        );
        self::assertTrue($unplugged['plug-pack']->open);
        self::assertTrue($unplugged['relay']->open);
    }

    public function testFloatingNodesHaveNoPotential(): void
    {
        $bench = new Bench();
        $nodes = (new SoundCircuit($bench->circuit))->sheet($bench->circuit->setUps['pack-out'])->nodes->values;
        self::assertNull($nodes['pack-1']->volts);
        self::assertEqualsWithDelta(13.1, $nodes['battery']->volts ?? 0.0, 0.1);
    }
}
