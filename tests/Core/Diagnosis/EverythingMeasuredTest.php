<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\EverythingMeasured;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * Whoever measures everything finds the fault: no part is dropped because many numbers were weighed.
 */
final class EverythingMeasuredTest extends TestCase
{
    /** Of the faults of a family, one in so many is tried here; all of them by `ispira:hidden`. */
    private const EVERY = 5;

    private static function of(string $family): EverythingMeasured
    {
        $family = FamilyRegistry::shipped()->get($family);

        return new EverythingMeasured($family->circuit($family->parameters()->read([])), $family->key() . '/ordinary');
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testTheRightPartLeadsOrIsStillInQuestion(string $family): void
    {
        $trial = self::of($family);
        $units = 0;
        $dropped = $behind = [];
        foreach (array_keys($trial->faults) as $number => $fault) {
            if ($number % self::EVERY !== 0) {
                continue;
            }
            $unit = $trial->unit($fault, $number);
            if ($unit === null) {
                continue;
            }
            ++$units;
            if (array_key_first($unit['suspects']) === $unit['right']) {
                continue;
            }
            $behind[] = $fault;
            if (($unit['suspects'][$unit['right']] ?? 0.0) < 1e-3) {
                $dropped[] = $fault;
            }
        }
        self::assertGreaterThanOrEqual(3, $units);
        self::assertSame([], $dropped);
        self::assertLessThanOrEqual(max(1, intdiv($units, 10)), \count($behind), implode(', ', $behind));
    }

    /** @return iterable<string, array{0: string, 1: string, 2: int}> */
    public static function onceDropped(): iterable
    {
        yield 'a resistor of a pack a little high' => ['stepped-blower', 'resistor-1-high', 21];
        yield 'a resistor of a pack a little low' => ['stepped-blower', 'resistor-1-low', 11];
        yield 'a fuse clip, told from the wire before it' => ['wiper-interval', 'fuse-resistive', 0];
        yield 'a fuse clip that all but opens' => ['wiper-interval', 'fuse-resistive', 4];
    }

    #[DataProvider('onceDropped')]
    public function testAFaultOfOneDegreeLeads(string $family, string $fault, int $run): void
    {
        $unit = self::of($family)->unit($fault, $run);
        self::assertNotNull($unit);
        self::assertSame($unit['right'], array_key_first($unit['suspects']));
    }
}
