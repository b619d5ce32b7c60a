<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Device\Drawing\Placement;
use Ispira\Core\Device\Drawing\PotentialWords;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
use Ispira\Core\Device\Drawing\SheetElement;
use Ispira\Core\Device\Drawing\SheetProof;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A lamp of two wires: drawn rightly it passes, and each way of drawing it wrongly is found.
 */
final class SheetProofTest extends TestCase
{
    private const NODES = [
        '0' => [40.0, 160.0],
        'plus' => [40.0, 40.0],
        'fused' => [160.0, 40.0],
        'load' => [260.0, 40.0],
    ];

    /** @return array<string, SheetElement> */
    private static function right(): array
    {
        return [
            'battery' => new SheetElement('battery', groundAt: [40.0, 160.0]),
            'fuse' => new SheetElement('fuse'),
            'wire' => new SheetElement('wire'),
            'load' => new SheetElement('resistor', groundAt: [260.0, 160.0]),
        ];
    }

    private static function netlist(float $wire = 0.01): Netlist
    {
        return new Netlist([
            Element::source('battery', 'plus', '0', 12.0, 0.01),
            Element::resistor('fuse', 'plus', 'fused', 0.005),
            Element::resistor('wire', 'fused', 'load', $wire),
            Element::resistor('load', 'load', '0', 6.0),
            Element::resistor('jumper', 'plus', 'load', Element::OPEN_OHMS),
        ]);
    }

    /**
     * @param array<string, SheetElement>                      $elements
     * @param array<array-key, array{0: float, 1: float}>|null $nodes
     * @param array<string, SheetBlock>                        $blocks
     */
    private static function placed(
        array $elements,
        ?array $nodes = null,
        ?Netlist $netlist = null,
        array $blocks = [],
    ): Placement {
        $netlist ??= self::netlist();

        return new Placement(
            new Sheet(320.0, 200.0, $nodes ?? self::NODES, $elements, $blocks),
            $netlist,
            $netlist->solver()->solve(),
        );
    }

    public function testARightDrawingPasses(): void
    {
        self::assertSame([], SheetProof::of(self::placed(self::right())));
    }

    /** @return iterable<string, array{0: array<string, SheetElement>, 1: string}> */
    public static function wrong(): iterable
    {
        $right = self::right();
        yield 'a load as a line' => [
            ['load' => new SheetElement('wire', groundAt: [260.0, 160.0])] + $right,
            'load is no wire',
        ];
        yield 'a source as a line' => [
            ['battery' => new SheetElement('wire', groundAt: [40.0, 160.0])] + $right,
            'battery is no wire',
        ];
        yield 'left out' => [array_diff_key($right, ['fuse' => true]), 'fuse carries current and is not drawn'];
        yield 'past the fuse' => [
            ['wire' => new SheetElement('wire', bends: [[160.0, 20.0], [60.0, 20.0], [60.0, 40.0], [60.0, 80.0]])] +
            $right,
            'fuse at plus touches wire at fused',
        ];
        yield 'ending beside' => [
            ['load' => new SheetElement('resistor', groundAt: [260.0, 160.0], toAt: [260.0, 150.0])] + $right,
            'battery at 0 is not joined to load at 0',
        ];
        yield 'through a sign' => [
            ['wire' => new SheetElement('wire', bends: [[160.0, 100.0], [30.0, 100.0], [30.0, 20.0]])] + $right,
            'wire runs through battery',
        ];
        yield 'too long for its place' => [
            ['fuse' => new SheetElement('fuse', bends: [[50.0, 40.0]])] + $right,
            'fuse is longer',
        ];
        yield 'off the sheet' => [
            ['wire' => new SheetElement('wire', bends: [[160.0, 2.0], [260.0, 2.0]])] + $right,
            'wire leaves the sheet',
        ];
    }

    /** @param array<string, SheetElement> $elements */
    #[DataProvider('wrong')]
    public function testEachWayOfDrawingItWronglyIsFound(array $elements, string $found): void
    {
        self::assertStringContainsString($found, implode('; ', SheetProof::of(self::placed($elements))));
    }

    public function testWhatIsTakenOffIsApartAndWhatIsLaidHasToBeSeen(): void
    {
        $open = self::netlist(Element::OPEN_OHMS);
        $placement = self::placed(self::right(), netlist: $open);
        self::assertSame([], SheetProof::of($placement));
        self::assertTrue($placement->symbols['wire']->open);
        self::assertCount(2, $placement->symbols['wire']->wires);
        $laid = new Netlist([
            ...array_values(array_diff_key($open->elements, ['jumper' => true])),
            Element::resistor('jumper', 'plus', 'load', 0.01),
        ]);
        self::assertSame(
            ['jumper carries current and is not drawn'],
            SheetProof::of(self::placed(self::right(), netlist: $laid)),
        );
        $drawn = self::right() + [
            'jumper' => new SheetElement('jumper', bends: [[40.0, 20.0], [260.0, 20.0]], segment: 1, with: 'jumper'),
        ];
        self::assertSame([], SheetProof::of(self::placed($drawn, netlist: $laid)));
        self::assertArrayNotHasKey('jumper', self::placed($drawn)->symbols, 'it is gone after the test');
    }

    public function testABlockMeetsItsWiresAtItsEdgeOnly(): void
    {
        $elements = array_diff_key(self::right(), ['load' => true]);
        $box = static fn(float $left): SheetBlock => new SheetBlock('lamp', $left, 20.0, 50.0, 100.0, ['load']);
        self::assertSame([], SheetProof::of(self::placed($elements, blocks: ['lamp' => $box(260.0)])));
        $found = implode('; ', SheetProof::of(self::placed($elements, blocks: ['lamp' => $box(240.0)])));
        self::assertStringContainsString('load of load does not stand on the edge of lamp', $found);
        self::assertStringContainsString('wire runs through lamp', $found);
    }

    public function testCrossingLinesHopAndJoiningOnesHaveADot(): void
    {
        $elements =
            ['wire' => new SheetElement('wire', bends: [[160.0, 70.0], [300.0, 70.0], [300.0, 40.0]])] + self::right();
        $placement = self::placed($elements);
        self::assertSame(['wire' => [[260.0, 70.0]]], $placement->hops());
        self::assertSame([], $placement->joints());
        $netlist = new Netlist([
            ...array_values(self::netlist()->elements),
            Element::resistor('second', 'fused', '0', 10.0),
        ]);
        $second = self::right() + ['second' => new SheetElement('resistor', groundAt: [160.0, 160.0])];
        $sheet = DrawnSheet::of(
            self::placed($second, netlist: $netlist),
            [],
            new PotentialWords('V', 'Show', 'Hide', 'supply'),
        );
        self::assertCount(1, $sheet->joints);
        self::assertSame([160.0, 40.0], $sheet->joints[0]->at);
        self::assertTrue($sheet->joints[0]->live);
        self::assertSame(1, $sheet->elements[1]->flow, 'from the battery to the load');
        self::assertSame(-1, $sheet->elements[0]->flow);
    }

    public function testTheSupplyOfTheBenchIsDrawnAsItIsWired(): void
    {
        $planner = (new PlannerRegistry())->find('bench-supply');
        self::assertNotNull($planner);
        $plan = $planner->plan($planner->parameters()->read([]));
        self::assertNotNull($plan->sheet);
        self::assertNotNull($plan->netlist);
        self::assertSame(
            [],
            SheetProof::of(new Placement($plan->sheet, $plan->netlist, $plan->netlist->solver()->solve())),
        );
    }
}
