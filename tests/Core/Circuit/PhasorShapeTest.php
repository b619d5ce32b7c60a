<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\PhasorBranch;
use Ispira\Core\Circuit\PhasorShape;
use PHPUnit\Framework\TestCase;

final class PhasorShapeTest extends TestCase
{
    /** @param array<string, array{0: ElementType, 1: int, 2: int}> $elements */
    private static function shape(int $nodes, array $elements): PhasorShape
    {
        $branches = [];
        foreach ($elements as $id => [$type, $from, $to]) {
            $branches[$id] = new PhasorBranch($id, $type, $from, $to, ['ohms' => 0]);
        }

        return new PhasorShape(
            $nodes,
            $branches,
            static fn(PhasorBranch $branch): ?int => $branch->type === ElementType::AlternatingSource ? 0 : null,
        );
    }

    public function testOnlyTheWayThatHoldsTheSourceIsSolved(): void
    {
        // A source and a load; a stub to node 3; a loop of two resistors that nothing feeds.
        $shape = self::shape(6, [
            'source' => [ElementType::AlternatingSource, 1, 0],
            'wire' => [ElementType::Resistor, 1, 2],
            'load' => [ElementType::Resistor, 2, 0],
            'stub' => [ElementType::Resistor, 2, 3],
            'one' => [ElementType::Resistor, 4, 5],
            'other' => [ElementType::Resistor, 4, 5],
        ]);
        self::assertSame(['source', 'wire', 'load'], array_keys($shape->isLive));
        self::assertTrue($shape->solves(1, 2));
        self::assertFalse($shape->solves(2, 3));
        self::assertTrue($shape->ties(3, 0));
        self::assertTrue($shape->ties(4, 5));
        self::assertFalse($shape->ties(3, 4));
        self::assertSame([], $shape->way(3, 4));
    }

    public function testAWindingFeedsOthersOnlyWhileACurrentFlowsInTheIron(): void
    {
        $windings = [
            'main' => [ElementType::InductionMotor, 1, 2],
            'tap' => [ElementType::MainWinding, 3, 4],
            'bridge' => [ElementType::Resistor, 4, 3],
        ];
        self::assertSame([], array_keys(self::shape(5, $windings)->isLive));
        $fed = self::shape(
            5,
            ['source' => [ElementType::AlternatingSource, 1, 0], 'neutral' => [ElementType::Resistor, 2, 0]] +
                $windings,
        );
        self::assertEqualsCanonicalizing(['source', 'neutral', 'main', 'tap', 'bridge'], array_keys($fed->isLive));
    }
}
