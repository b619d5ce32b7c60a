<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Device\Unknown;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ParameterListTest extends TestCase
{
    private function list(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('speeds', ['2', '3'], '3'),
            Parameter::number('amps', 'A', 1.0, 60.0),
            Parameter::numbers('ohms', 'Ω', 0.1, 10.0, 'speeds'),
        ]);
    }

    public function testWhatIsMissingTakesItsDefaultOrStaysUnknown(): void
    {
        self::assertSame(['speeds' => '3', 'amps' => null, 'ohms' => null], $this->list()->read([]));
        self::assertSame(
            ['speeds' => '3', 'amps' => null, 'ohms' => null],
            $this->list()->read(['speeds' => '', 'amps' => '', 'ohms' => []]),
        );
    }

    public function testWhatWasReadReadsTheSameAgain(): void
    {
        $once = $this->list()->read(['speeds' => 2, 'amps' => '18,5 A', 'ohms' => ['0.4 ohm']]);
        self::assertSame(['speeds' => '2', 'amps' => 18.5, 'ohms' => [0.4]], $once);
        self::assertSame($once, $this->list()->read($once));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string, 2: string}> */
    public static function refused(): iterable
    {
        yield 'no such choice' => [['speeds' => '9'], 'speeds', 'Choose one of: 2, 3.'];
        yield 'a list for a choice' => [['speeds' => ['2']], 'speeds', 'Choose one of'];
        yield 'too small' => [['amps' => '0.5'], 'amps', 'from 1 to 60 A'];
        yield 'too large' => [['amps' => 1e9], 'amps', 'from 1 to 60 A'];
        yield 'a word' => [['amps' => 'plenty'], 'amps', 'is not a value in A'];
        yield 'too few' => [['ohms' => [1]], 'ohms', 'Give all 2 values'];
        yield 'too many' => [['ohms' => [1, 2, 3]], 'ohms', 'Give all 2 values'];
        yield 'one of them wrong' => [['ohms' => [1, -2]], 'ohms', 'from 0.1 to 10'];
        yield 'an unknown field' => [['mood' => 'good'], 'mood', 'no field "mood"'];
    }

    /** @param array<string, mixed> $raw */
    #[DataProvider('refused')]
    public function testEachFieldHasItsOwnMessage(array $raw, string $field, string $words): void
    {
        try {
            $this->list()->read($raw);
            self::fail('Nothing was refused.');
        } catch (ParameterError $error) {
            self::assertSame([$field], array_keys($error->messages));
            self::assertStringContainsString($words, $error->messages[$field]);
        }
    }

    public function testAdjustmentsDoWhatTheirNamesSay(): void
    {
        self::assertSame(5.0, Adjustment::set('x.ohms', 5.0)->applyTo(2.0));
        self::assertSame(7.0, Adjustment::add('x.ohms', 5.0)->applyTo(2.0));
        self::assertSame(10.0, Adjustment::scale('x.ohms', 5.0)->applyTo(2.0));
        self::assertSame(5.0, Adjustment::atLeast('x.ohms', 5.0)->applyTo(2.0));
        self::assertSame(9.0, Adjustment::atLeast('x.ohms', 5.0)->applyTo(9.0));
        self::assertSame(5.0, Adjustment::atMost('x.ohms', 5.0)->applyTo(9.0));
        self::assertSame(2.0, Adjustment::atMost('x.ohms', 5.0)->applyTo(2.0));
    }

    public function testUnknownsSpreadAroundTheirMiddle(): void
    {
        self::assertSame(13.0, Unknown::normal('v', 13.0, 0.5)->at(0.0));
        self::assertSame(13.5, Unknown::normal('v', 13.0, 0.5)->at(1.0));
        self::assertSame(2.0, Unknown::factor('r', 2.0, 0.3)->at(0.0));
        self::assertEqualsWithDelta(
            4.0,
            Unknown::factor('r', 2.0, 0.3)->at(1.0) * Unknown::factor('r', 2.0, 0.3)->at(-1.0),
            1e-12,
        );
    }

    public function testSentencesAreFoundByTheirPathAndFilledIn(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'texts');
        self::assertIsString($file);
        file_put_contents($file, '{"a":{"b":"pin {k} of {n}"}}');
        $texts = Texts::fromFile($file);
        self::assertSame('pin 2 of 4', $texts->get('a.b', ['k' => '2', 'n' => '4']));
        self::assertNull($texts->find('a.c'));
        unlink($file);
        $this->expectException(\OutOfBoundsException::class);
        $texts->get('a.c');
    }

    /** Duties of a control rise from step to step, or fall where low means on; typed otherwise they are refused. */
    public function testATableOfDutiesRisesOrFallsToItsLast(): void
    {
        $list = FamilyRegistry::shipped()->get('electronic-blower')->parameters();
        $typed = static fn(array $duties, ?string $top): array => $list->typed(
            ['steps' => '4', 'duties' => $duties] + ($top === null ? [] : ['dutyTop' => $top]),
        );
        self::assertSame([20.0, 40.0, 60.0], $typed(['20', '40', '60'], '85')['duties']);
        self::assertSame([80.0, 55.0, 30.0], $typed(['80', '55', '30'], '10')['duties']);
        self::assertNull($typed([], null)['duties']);
        foreach (
            [
                [['20', '40', '40'], '85'],
                [['20', '60', '40'], '85'],
                [['20', '40', '60'], '50'],
                [['20', '40', '60'], null],
            ]
            as [$duties, $top]
        ) {
            try {
                $typed($duties, $top);
                self::fail(json_encode($duties) . ' should be refused.');
            } catch (ParameterError $error) {
                self::assertArrayHasKey('duties', $error->messages);
            }
        }
    }
}
