<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

final class SeriesTest extends TestCase
{
    public function testTheSameMeasurementStandsInTheOrderOfTheSelector(): void
    {
        $bench = new Bench();
        $case = Bench::case(['4' => 'right'], ['motor-volts@2' => 7.5]);
        $steps = (new Series($bench->circuit, $case))->of(
            $bench->circuit->tests['motor-volts@2'],
            $bench->diagnose($case)->evidence,
        );
        self::assertSame(
            [
                'motor-volts@key-off',
                'motor-volts@off',
                'motor-volts@1',
                'motor-volts@2',
                'motor-volts@3',
                'motor-volts@4',
            ],
            array_column($steps, 'test'),
        );
        self::assertSame([null, null, null, 7.5, null, null], array_column($steps, 'read'));
        self::assertSame('7.5 V', $steps[3]->text);
        $expected = array_column($steps, 'expected');
        self::assertGreaterThan($expected[2], $expected[5]);
    }

    public function testTheNextIsTheOneAfterThatWasNotRead(): void
    {
        $bench = new Bench();
        $next = static fn(CaseFile $case, string $test): ?string => (new Series($bench->circuit, $case))->next(
            $bench->circuit->tests[$test],
        )?->key;
        self::assertSame('motor-volts@3', $next(Bench::case([], ['motor-volts@2' => 7.5]), 'motor-volts@2'));
        $all = [
            'motor-volts@1' => 5.0,
            'motor-volts@2' => 7.5,
            'motor-volts@3' => 9.0,
            'motor-volts@4' => 12.0,
            'motor-volts@off' => 0.0,
            'motor-volts@key-off' => 0.0,
        ];
        self::assertNull($next(Bench::case([], $all), 'motor-volts@4'));
        self::assertSame(
            'motor-volts@1',
            $next(Bench::case([], array_diff_key($all, ['motor-volts@1' => 1])), 'motor-volts@4'),
            'It begins again from the first.',
        );
        $replaced = new CaseFile([new Reading('r', 'motor-volts@2', 7.5)], ['pack']);
        self::assertSame(
            'motor-volts@2',
            $next($replaced, 'motor-volts@2'),
            'What was read before a replacement is read again.',
        );
    }

    public function testWhatStandsAloneIsNoSeries(): void
    {
        $bench = new Bench();
        $case = Bench::case(['4' => 'right']);
        $evidence = $bench->diagnose($case)->evidence;
        self::assertSame(
            [],
            (new Series($bench->circuit, $case))->of($bench->circuit->tests['common-ohms'], $evidence),
        );
        self::assertSame([], (new Series($bench->circuit, $case))->of($bench->circuit->tests['look-wheel'], $evidence));
    }
}
