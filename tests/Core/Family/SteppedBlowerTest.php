<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

/**
 * What each fault does to the speeds, found by simulating it.
 */
final class SteppedBlowerTest extends TestCase
{
    /** @return iterable<string, array{0: array<string, mixed>}> */
    public static function variants(): iterable
    {
        foreach (['feed', 'ground'] as $side) {
            foreach (['selector', 'relay', 'changeover'] as $high) {
                foreach (['chain', 'coils'] as $pack) {
                    foreach (['3', '7'] as $positions) {
                        foreach (['12', '24'] as $supply) {
                            yield "$side $high $pack $positions $supply V" => [
                                [
                                    'side' => $side,
                                    'high' => $high,
                                    'pack' => $pack,
                                    'positions' => $positions,
                                    'supply' => $supply,
                                    'modeContact' =>
                                        $positions === '7'
                                            ? ($side === 'feed'
                                                ? 'feed'
                                                : 'return')
                                            : ($supply === '24'
                                                ? 'return'
                                                : 'no'),
                                    'selector' => $supply === '24' ? 'electronic' : 'mechanical',
                                ],
                            ];
                        }
                    }
                }
            }
        }
    }

    /** @param array<string, mixed> $parameters */
    #[DataProvider('variants')]
    public function testTheSoundCircuitRunsFasterFromStepToStepAndStandsInOff(array $parameters): void
    {
        $bench = new Bench($parameters);
        $speeds = (new SoundCircuit($bench->circuit))->speeds();
        self::assertSame(0.0, $speeds['key-off']);
        self::assertSame(0.0, $speeds['off']);
        $running = array_values(array_slice($speeds, 2));
        $sorted = $running;
        sort($sorted);
        self::assertSame($sorted, $running);
        self::assertGreaterThan(0.2, $running[0]);
        self::assertEqualsWithDelta(1.0, end($running), 1e-9);
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string, 2: array<array-key, string>}> states: = right, 0 dead, - slow, + fast, ! runs */
    public static function faults(): iterable
    {
        $four = static fn(string $states): array => array_combine(
            ['key-off', 'off', '1', '2', '3', '4'],
            str_split($states),
        );
        foreach (['feed', 'ground'] as $side) {
            $on = ['side' => $side];
            yield "$side: thermal fuse open leaves only the highest" => [$on, 'common-open#0', $four('==000=')];
            yield "$side: resistor 2 open" => [$on, 'resistor-2-open#0', $four('==00==')];
            yield "$side: resistor 3 open" => [$on, 'resistor-3-open#0', $four('==000=')];
            yield "$side: separate coil 2 open" => [$on + ['pack' => 'coils'], 'resistor-2-open#0', $four('===0==')];
            yield "$side: resistor 3 drifted up slows what runs through it" => [
                $on,
                'resistor-3-high#1',
                $four('==---='),
            ];
            yield "$side: resistor 1 shorted" => [$on, 'resistor-1-shorted#0', $four('==+===')];
            yield "$side: contact 2 open" => [$on, 'contact-2-open#0', $four('===0==')];
            yield "$side: contact 4 open" => [$on, 'contact-4-open#0', $four('=====0')];
            yield "$side: contacts 1 and 2 bridged" => [$on, 'contact-1-bridged#0', $four('==+===')];
            yield "$side: wires 2 and 3 touch" => [$on, 'tap-2-touches#0', $four('==++==')];
            yield "$side: wire 3 open" => [$on, 'tap-3-open#0', $four('====0=')];
            yield "$side: selector common open" => [$on, 'selector-open#0', $four('==0000')];
            yield "$side: main fuse" => [$on, 'fuse-open#0', $four('==0000')];
            yield "$side: relay open" => [$on, 'relay-open#0', $four('==0000')];
            yield "$side: relay welded runs with the key off" => [$on, 'relay-welded#0', $four('!=====')];
            yield "$side: ground open" => [$on, 'ground-open#0', $four('==0000')];
            yield "$side: motor open" => [$on, 'motor-open#0', $four('==0000')];
            yield "$side: seized" => [$on, 'motor-seized#0', $four('==0000')];
            yield "$side: pack plug burnt spares the highest" => [$on, 'plug-pack-burnt#1', $four('==---=')];
            yield "$side: blower plug burnt" => [$on, 'plug-motor-burnt#1', $four('==----')];
            yield "$side: bearing drags, stalls on low" => [$on, 'motor-drag#2', $four('==0---')];
            yield "$side: clogged runs faster" => [$on, 'air-blocked#1', $four('==++++')];
            yield "$side: wrong code acts as the next position" => [
                $on + ['selector' => 'electronic'],
                'code-wrong#0',
                $four('==+++='),
            ];
            yield "$side: mode contact in the feed open" => [
                $on + ['modeContact' => 'feed'],
                'mode-open#0',
                $four('==0000'),
            ];
            yield "$side: mode contact in the return open" => [
                $on + ['modeContact' => 'return'],
                'mode-open#0',
                $four('==0000'),
            ];
            foreach (['relay', 'changeover'] as $high) {
                $with = $on + ['high' => $high];
                yield "$side $high: coil open" => [
                    $with,
                    'high-coil-open#0',
                    $four($high === 'relay' ? '=====0' : '=====0'),
                ];
                yield "$side $high: high contact open" => [$with, 'high-contact-open#0', $four('=====0')];
                yield "$side $high: contact 4 open" => [$with, 'contact-4-open#0', $four('=====0')];
            }
            yield "$side: rest contact burnt looks like an open pack" => [
                $on + ['high' => 'changeover'],
                'rest-contact-burnt#0',
                $four('==000='),
            ];
        }
        yield 'feed: welded high relay runs key or no key' => [
            ['high' => 'relay'],
            'high-contact-welded#0',
            $four('!!+++='),
        ];
        yield 'ground: welded high relay runs with the key on' => [
            ['side' => 'ground', 'high' => 'relay'],
            'high-contact-welded#0',
            $four('=!+++='),
        ];
        yield 'feed: fuse of the high relay' => [['high' => 'relay'], 'high-fuse-open#0', $four('=====0')];
        yield 'feed: with a feed of its own, high still works' => [
            ['high' => 'relay', 'packOhms' => [0.8, 0.5, 0.3]],
            'plug-pack-open#0',
            $four('==000='),
        ];
        yield 'feed: a chafed wire takes the fuse' => [[], 'tap-2-to-body#0', $four('==0000')];
        yield 'ground: a chafed wire gives its speed in every slower position and in off' => [
            ['side' => 'ground'],
            'tap-2-to-body#0',
            $four('=!+==='),
        ];
    }

    /**
     * @param array<string, mixed>  $parameters
     * @param array<array-key, string> $expected
     */
    #[DataProvider('faults')]
    public function testFaultsChangeTheSpeedsAsTheTradeKnowsThem(
        array $parameters,
        string $fault,
        array $expected,
    ): void {
        $bench = new Bench($parameters);
        $found = [];
        foreach ($bench->speeds($fault) as $position => $ratio) {
            $stands = \in_array((string) $position, ['off', 'key-off'], true);
            $found[$position] = match (true) {
                $stands => $ratio > 0.05 ? '!' : '=',
                $ratio < 0.1 => '0',
                $ratio < 0.97 => '-',
                $ratio > 1.03 => '+',
                default => '=',
            };
        }
        self::assertSame($expected, $found, json_encode($bench->speeds($fault), \JSON_THROW_ON_ERROR));
    }

    public function testAJointThatIsBadTellsMostOnHigh(): void
    {
        $speeds = (new Bench())->speeds('ground-resistive#0');
        self::assertLessThan($speeds['2'], $speeds['4']);
        self::assertGreaterThan(0.95, $speeds['1']);
    }

    public function testDragTellsMostOnLow(): void
    {
        $speeds = (new Bench())->speeds('motor-drag#0');
        self::assertLessThan($speeds['4'], $speeds['1']);
        self::assertGreaterThan(
            1.02,
            (new Bench())->shows('motor-drag#0', 'current@4') / (new Bench())->shows('none', 'current@4'),
        );
    }

    public function testOnTheGroundSideTheLowTerminalFallsAsSpeedRises(): void
    {
        $bench = new Bench(['side' => 'ground']);
        self::assertGreaterThan($bench->shows('none', 'minus-volts@4'), $bench->shows('none', 'common-volts@1'));
        self::assertGreaterThan(12.0, $bench->shows('motor-open#0', 'plus-volts@4'));
        self::assertLessThan(0.5, $bench->shows('motor-open#0', 'minus-volts@4'));
        self::assertGreaterThan(
            12.0,
            $bench->shows('selector-open#0', 'minus-volts@4'),
            'no current, so supply on both pins',
        );
    }

    public function testKnownPackValuesAreUsed(): void
    {
        $bench = new Bench(['packOhms' => ['0.8', '0,5', 0.3]]);
        self::assertEqualsWithDelta(1.6, $bench->shows('none', 'pack-ohms-1'), 0.03);
        self::assertEqualsWithDelta(0.5, $bench->shows('none', 'pack-pair-2'), 0.02);
        self::assertSame(\INF, $bench->shows('common-open#0', 'pack-ohms-1'));
        self::assertLessThan(0.02, $bench->shows('none', 'common-ohms'));
    }

    public function testTheRatedCurrentSetsTheMotor(): void
    {
        // A plate states what a clean, free motor draws 0.6 to 1.15 times.
        $amps = (new Bench(['motorAmps' => 12]))->shows('none', 'current@4');
        self::assertGreaterThan(0.8 * 12.0, $amps);
        self::assertLessThan(1.05 * 12.0, $amps);
    }

    public function testParametersAreReadWithAMessageForEachField(): void
    {
        $parameters = FamilyRegistry::shipped()->get('stepped-blower')->parameters();
        try {
            $parameters->read(['positions' => '9', 'packOhms' => [1, 2], 'motorAmps' => '-3', 'colour' => 'red']);
            self::fail('Nothing was refused.');
        } catch (ParameterError $error) {
            self::assertSame(
                ['colour', 'motorAmps', 'packOhms', 'positions'],
                (static function (array $keys): array {
                    sort($keys);

                    return $keys;
                })(array_keys($error->messages)),
            );
        }
        self::assertSame([0.42, 0.5, 1.1], $parameters->read(['packOhms' => ['420m', '0,5', '1.1 ohm']])['packOhms']);
        self::assertNull($parameters->read([])['packOhms']);
    }
}
