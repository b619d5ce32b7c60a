<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Finder;
use Ispira\Core\Device\FinderStep;
use PHPUnit\Framework\TestCase;

final class FinderTest extends TestCase
{
    public function testEveryKindOfCircuitIsFoundInThreePressesAndOnlyOnce(): void
    {
        $steps = array_column(array_map(static fn(FinderStep $one): array => [$one->key, $one], Finder::steps()), 1, 0);
        $found = [];
        $walk = function (FinderStep $step, int $presses) use (&$walk, &$found, $steps): void {
            foreach ($step->choices as $choice) {
                self::assertTrue(($choice->next === null) !== ($choice->family === null), $choice->label);
                if ($choice->family !== null) {
                    $found[$choice->family][] = $presses;
                } else {
                    self::assertArrayHasKey((string) $choice->next, $steps);
                    $walk($steps[(string) $choice->next], $presses + 1);
                }
            }
        };
        $walk(Finder::steps()[0], 1);
        self::assertEqualsCanonicalizing(array_keys(FamilyRegistry::shipped()->all()), array_keys($found));
        foreach ($found as $family => $presses) {
            self::assertCount(1, $presses, "$family is reached in one way");
            self::assertLessThanOrEqual(3, $presses[0], $family);
        }
    }
}
