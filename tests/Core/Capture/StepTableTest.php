<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\StepTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StepTableTest extends TestCase
{
    /** @return iterable<string, array{0: array<array-key, float|null>, 1: list<string>, 2: list<string>}> duties, what is said and what is not */
    public static function tables(): iterable
    {
        yield 'even and rising' => [
            ['1' => 20.0, '2' => 40.0, '3' => 60.0, '4' => 80.0],
            ['rises from step to step', 'steps are even'],
            ['same duty', 'No pulses'],
        ];
        yield 'falling' => [['1' => 80.0, '2' => 60.0, '3' => 40.0], ['falls from step to step'], ['rises']];
        yield 'equal steps' => [
            ['1' => 20.0, '2' => 40.2, '3' => 40.0, '4' => 60.0],
            ['same duty in 2 and 3'],
            ['turn'],
        ];
        yield 'uneven' => [
            ['1' => 20.0, '2' => 25.0, '3' => 30.0, '4' => 75.0],
            ['from 3 to 4 is 45 points', 'uneven'],
            ['are even'],
        ];
        yield 'changed places' => [['1' => 20.0, '2' => 60.0, '3' => 40.0, '4' => 80.0], ['rises and falls again'], []];
        yield 'all alike' => [['1' => 50.0, '2' => 50.0, '3' => 50.0], ['same in all steps'], ['are even', 'uneven']];
        yield 'a step missing' => [['1' => 20.0, '2' => null, '3' => 60.0], ['No pulses in 2'], []];
        yield 'one only' => [['1' => 20.0], [], ['even', 'rises']];
    }

    /**
     * @param array<array-key, float|null> $duties
     * @param list<string>                 $said
     * @param list<string>                 $unsaid
     */
    #[DataProvider('tables')]
    public function testWhatTheStepsSay(array $duties, array $said, array $unsaid): void
    {
        $text = implode("\n", (new StepTable(array_map(self::pulses(...), $duties)))->findings());
        foreach ($said as $part) {
            self::assertStringContainsString($part, $text);
        }
        foreach ($unsaid as $part) {
            self::assertStringNotContainsString($part, $text);
        }
    }

    public function testALevelThatRestsHasADutyOfItsOwn(): void
    {
        $table = new StepTable([
            'off' => self::pulses(null, 0.05),
            '1' => self::pulses(30.0),
            'full' => self::pulses(null, 12.0),
            'odd' => self::pulses(null, 6.0),
        ]);
        self::assertSame(['off' => 0.0, '1' => 30.0, 'full' => 100.0, 'odd' => null], $table->duties());
        self::assertStringContainsString('full', $table->findings()[0]);
    }

    public function testAnotherFrequencyIsSaid(): void
    {
        $text = implode(
            "\n",
            (new StepTable(['1' => self::pulses(20.0), '2' => self::pulses(40.0, frequency: 130.0)]))->findings(),
        );
        self::assertStringContainsString('100.0 to 130.0 Hz', $text);
    }

    private static function pulses(?float $duty, float $level = 0.0, float $frequency = 100.0): Pulses
    {
        return Pulses::fromArray(
            $duty === null
                ? ['low' => $level, 'high' => $level, 'mean' => $level]
                : [
                    'low' => 0.1,
                    'high' => 12.0,
                    'mean' => 0.12 * $duty,
                    'frequency' => $frequency,
                    'duty' => $duty,
                    'jitter' => 0.1,
                    'periods' => 50,
                ],
        );
    }
}
