<?php

declare(strict_types=1);

namespace Tests\Core\Kernel;

use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Kernel\Text;
use PHPUnit\Framework\TestCase;

final class RankingTest extends TestCase
{
    public function testTheLargestComesFirstAndLastDigitsOfAComputationDoNotCount(): void
    {
        $values = ['a' => 0.3, 'b' => 0.1 + 0.2, 'c' => 7.0, 'd' => -1.0, 'e' => 1e-17, 'f' => 0.0];
        self::assertSame(['c', 'a', 'b', 'e', 'f', 'd'], array_keys(Ranking::largestFirst($values)));
        self::assertSame(0.1 + 0.2, Ranking::largestFirst($values)['b'], 'the values stay as they are');
        self::assertSame([\INF, 1.0, -\INF], array_values(Ranking::largestFirst([1.0, -\INF, \INF])));
        self::assertSame(
            [2 => 'ccc', 0 => 'aa', 1 => 'b'],
            Ranking::by(['aa', 'b', 'ccc'], static fn(string $s): float => (float) \strlen($s)),
        );
        // Small ones are told apart as well as large ones.
        self::assertSame([1, 0], array_keys(Ranking::largestFirst([1.0e-9, 1.1e-9])));
    }

    public function testTextFromOutsideIsCutByCharactersAndMadeValid(): void
    {
        self::assertSame('Ωhm', Text::cut('Ωhm', 3));
        self::assertSame('Ω…', Text::cut('Ωhm', 2));
        self::assertSame('Ωh', Text::cut('Ωhm', 2, ''));
        self::assertTrue(mb_check_encoding(Text::cut("\xff\xfe volts", 20), 'UTF-8'));
    }
}
