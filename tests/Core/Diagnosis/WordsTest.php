<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    public function testRemediesFaultsAndTestsAreSaidInTheWordsOfTheTrade(): void
    {
        $bench = new Bench();
        $words = new Words($bench->circuit);
        self::assertSame('Blower motor and resistor pack', $words->remedy('motor+pack'));
        self::assertSame('Nothing found wrong', $words->remedy('none'));
        self::assertSame('thermal fuse of the pack open', $words->hypothesis($bench->hypotheses['common-open#0']));
        self::assertSame(
            'thermal fuse of the pack open, now and then',
            $words->hypothesis($bench->hypotheses['common-open#0~']),
        );
        self::assertSame('works as it should', $words->hypothesis($bench->hypotheses['none']));
        self::assertSame('Volts at the blower plug, position 3', $words->test($bench->circuit->tests['motor-volts@3']));
        self::assertSame('All plugged in, selector at 3', $words->setUp($bench->circuit->tests['motor-volts@3']));
        self::assertSame(
            'Key off, pack unplugged, selector at key off',
            $words->setUp($bench->circuit->tests['common-ohms']),
        );
    }

    public function testPlacesFollowTheSideThatIsSwitched(): void
    {
        $feed = new Words((new Bench(['side' => 'feed']))->circuit);
        $ground = new Words((new Bench(['side' => 'ground']))->circuit);
        self::assertSame('blower plug, supply pin', $feed->place('drive'));
        self::assertSame('blower plug, return pin', $ground->place('drive'));
        self::assertSame('pack plug, pin 2', $feed->place('pack-2'));
    }

    public function testReadingsAreSaidWithTheirUnit(): void
    {
        $words = new Words((new Bench())->circuit);
        self::assertSame('12.4 V', $words->reading(new Reading('a', 'motor-volts@3', 12.43)));
        self::assertSame('over range', $words->reading(new Reading('a', 'common-ohms', null)));
        self::assertSame('0.42 Ω', $words->reading(new Reading('a', 'common-ohms', 0.42)));
        self::assertSame('browned or burnt', $words->reading(new Reading('a', 'look-pack-plug', 'burnt')));
        self::assertSame('cuts in and out', $words->reading(new Reading('a', 'speed@2', 'cuts-out')));
    }

    public function testNamesWithACommaArePartedBySemicolons(): void
    {
        self::assertSame('1, 2, 3', Words::listed([1, 2, 3]));
        self::assertSame('call; call, all on', Words::listed(['call', 'call, all on']));
    }

    public function testEveryHypothesisOfEveryVariantCanBeSaid(): void
    {
        foreach (
            [
                [],
                ['side' => 'ground', 'high' => 'changeover'],
                [
                    'high' => 'relay',
                    'selector' => 'electronic',
                    'packPlace' => 'head',
                    'thermalFuse' => 'no',
                    'modeContact' => 'feed',
                ],
            ]
            as $parameters
        ) {
            $bench = new Bench($parameters);
            $words = new Words($bench->circuit);
            foreach ($bench->hypotheses as $hypothesis) {
                self::assertNotSame('', $words->hypothesis($hypothesis));
                self::assertStringNotContainsString('{', $words->hypothesis($hypothesis));
                self::assertNotSame('', $words->remedy($hypothesis->remedy()));
            }
        }
    }
}
