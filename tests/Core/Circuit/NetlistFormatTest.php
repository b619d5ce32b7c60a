<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\NetlistFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NetlistFormatTest extends TestCase
{
    private const RESISTOR = '{"id":"r","type":"resistor","from":"a","to":"0","ohms":2}';

    private static function with(string $elements, string $rest = ''): string
    {
        return '{"format":"ispira-netlist","version":1,"elements":[' . $elements . "]$rest}";
    }

    public function testEveryKindOfElementIsRead(): void
    {
        $netlist = NetlistFormat::read(
            self::with(
                implode(',', [
                    '{"id":"v","type":"source","plus":"a","minus":"0","volts":12,"ohms":0.1}',
                    self::RESISTOR,
                    '{"id":"s","type":"switch","from":"a","to":"b","closed":true}',
                    '{"id":"m","type":"motor","plus":"b","minus":"0","armatureOhms":0.25,"emfConstant":0.025,"frictionTorque":0.03,"fanConstant":3.5e-6}',
                    '{"id":"k","type":"coil","from":"a","to":"0","ohms":80,"pullInVolts":7,"dropOutVolts":2}',
                    '{"id":"no","type":"work-contact","from":"a","to":"c","coil":"k","ohms":0.01}',
                    '{"id":"nc","type":"rest-contact","from":"a","to":"d","coil":"k","ohms":0.01}',
                    '{"id":"l","type":"resistor","from":"c","to":"0","ohms":5}',
                ]),
            ),
        );
        $solution = NetlistFormat::solution($netlist, (new CircuitSolver($netlist))->solve());
        self::assertTrue($solution['energised']['k']);
        self::assertGreaterThan(100.0, $solution['speeds']['m']);
        self::assertGreaterThan(1.0, $solution['currents']['l']);
        self::assertNull($solution['nodes']['d']);
        self::assertFalse($solution['chatters']);
    }

    /** @return iterable<string, array{0: string, 1: string}> */
    public static function refused(): iterable
    {
        yield 'cut off' => ['{"format":', 'not complete JSON'];
        yield 'another format' => ['{"format":"soup","version":1}', 'not a netlist'];
        yield 'a later version' => ['{"format":"ispira-netlist","version":2}', 'Only version 1'];
        yield 'unknown field' => [self::with(self::RESISTOR, ',"colour":"red"'), 'Unknown field "colour"'];
        yield 'no elements' => [self::with(''), 'at least one element'];
        yield 'unknown type' => [self::with('{"id":"c","type":"capacitor"}'), 'the type must be one of'];
        yield 'unknown field of an element' => [
            self::with('{"id":"r","type":"resistor","from":"a","to":"0","ohms":2,"watts":5}'),
            'unknown field "watts"',
        ];
        yield 'missing field' => [
            self::with('{"id":"r","type":"resistor","from":"a","to":"0"}'),
            'field "ohms" is missing',
        ];
        yield 'a text for a number' => [
            self::with('{"id":"r","type":"resistor","from":"a","to":"0","ohms":"2"}'),
            'must be a number',
        ];
        yield 'negative ohms' => [
            self::with('{"id":"r","type":"resistor","from":"a","to":"0","ohms":-2}'),
            'zero or more',
        ];
        yield 'two of one name' => [self::with(self::RESISTOR . ',' . self::RESISTOR), 'Two elements are called "r"'];
        yield 'no ground' => [self::with('{"id":"r","type":"resistor","from":"a","to":"b","ohms":2}'), 'ground node'];
        yield 'a contact without its coil' => [
            self::with(self::RESISTOR . ',{"id":"n","type":"work-contact","from":"a","to":"0","coil":"k"}'),
            'a coil "k"',
        ];
        yield 'a coil that drops out above its pull-in' => [
            self::with('{"id":"k","type":"coil","from":"a","to":"0","ohms":80,"pullInVolts":2,"dropOutVolts":7}'),
            'no more than pullInVolts',
        ];
        yield 'a closed that is no truth' => [
            self::with('{"id":"s","type":"switch","from":"a","to":"0","closed":1}'),
            'true or false',
        ];
        yield 'a node without a name' => [
            self::with('{"id":"r","type":"resistor","from":"","to":"0","ohms":2}'),
            'not empty',
        ];
        yield 'an element that is a list' => [self::with('[1,2]'), 'must be an object'];
    }

    #[DataProvider('refused')]
    public function testTheRestIsRefusedInWords(string $json, string $message): void
    {
        $this->expectException(CircuitError::class);
        $this->expectExceptionMessage($message);
        NetlistFormat::read($json);
    }
}
