<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\Outcome;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\TestCase;

/**
 * A short trial; the long one is a command whose results stand in the docs.
 */
final class TrialTest extends TestCase
{
    /** @return list<Outcome> */
    private function run1(Policy $policy): array
    {
        $trial = new Trial(FamilyRegistry::shipped()->get('stepped-blower'), 4);
        $outcomes = [];
        foreach ($trial->run(['positions' => '3'], $policy, 1, 'lasting') as ['outcome' => $outcome]) {
            $outcomes[] = $outcome;
        }

        return $outcomes;
    }

    public function testTheEngineNamesTheRightPartAndWastesLessThanBuyingOnThePattern(): void
    {
        $engine = $this->run1(Policy::Engine);
        $buying = $this->run1(Policy::BuyOnPattern);
        $right = static fn(array $outcomes): float => array_sum(
            array_map(static fn(Outcome $o): int => (int) $o->right, $outcomes),
        ) / \count($outcomes);
        $wasted = static fn(array $outcomes): float => array_sum(
            array_map(static fn(Outcome $o): float => $o->avoidable, $outcomes),
        ) / \count($outcomes);
        self::assertGreaterThanOrEqual(0.95, $right($engine));
        self::assertLessThan(0.35 * $wasted($buying), $wasted($engine));
    }

    public function testChanceIsRepeatable(): void
    {
        $draw = static fn(int $seed): array => (static function (RandomSource $c): array {
            return [$c->between(0, 1), $c->normal(), $c->shuffled([1, 2, 3, 4]), $c->pick(['a' => 0.5, 'b' => 0.5])];
        })(new RandomSource($seed));
        self::assertSame($draw(7), $draw(7));
        self::assertNotSame($draw(7), $draw(8));
    }
}
