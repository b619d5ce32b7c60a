<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Line at the left, the board's relays in the middle, the winding with its taps at the right, capacitor and auxiliary
 * winding beyond it.
 */
final readonly class Drawing
{
    private const BOTTOM = 470.0;

    public function __construct(private TappedMotor $motor, private Wiring $wiring) {}

    public function sheet(): Sheet
    {
        $taps = $this->motor->names();
        $step = 240.0 / (\count($taps) - 1);
        $winding = 400.0;
        $nodes = [
            '0' => [50.0, self::BOTTOM],
            'L' => [50.0, 330.0],
            'fed' => [50.0, 240.0],
            'live' => [130.0, 60.0],
            'middle' => [$winding, 380.0],
            'common' => [$winding, 430.0],
            'capacitor-in' => [430.0, 300.0],
            'auxiliary-end' => [520.0, 300.0],
            'R' => [130.0, 345.0],
        ];
        // The slowest tap stands on top: its current passes all sections.
        foreach ($taps as $tap => $name) {
            $nodes["tap-$name"] = [$winding, 300.0 - $step * $tap];
        }
        $elements = [
            'line' => new SheetElement('mains', 'line', side: 'right', groundAt: [50.0, self::BOTTOM]),
            'breaker' => new SheetElement('fuse', 'breaker', side: 'right'),
            'door' => new SheetElement('relay', 'door switch', [[50.0, 60.0]], side: 'right'),
            'main' => new SheetElement('winding', 'main winding', side: 'left'),
            'protector' => new SheetElement('fuse', 'protector', side: 'left'),
            'common-wire' => new SheetElement('wire', 'common', side: 'left', groundAt: [$winding, self::BOTTOM]),
            'capacitor' => new SheetElement('capacitor', 'run capacitor', side: 'above'),
            'capacitor-lead' => new SheetElement('wire'),
            'auxiliary' => new SheetElement('winding', 'auxiliary', [[520.0, 380.0]], side: 'right'),
        ];
        foreach (array_keys(\array_slice($taps, 1)) as $before) {
            $elements['section-' . ($before + 1)] = new SheetElement('winding', '', side: 'right');
        }
        $elements += [
            'transformer' => new SheetElement('transformer', '24 V', side: 'right', groundAt: [130.0, self::BOTTOM]),
            'transformer-load' => new SheetElement(
                'resistor',
                'board',
                [[95.0, 345.0]],
                1,
                side: 'left',
                groundAt: [95.0, self::BOTTOM],
            ),
        ];
        foreach (array_keys($this->wiring->assignment()) as $number => $call) {
            $x = 205.0 + 75.0 * $number;
            $terminal = Wiring::terminal($call);
            $nodes[$terminal] = [$x, 400.0];
            $elements["call-$call"] = new SheetElement('relay', "$call call", [[$x, 345.0]], 1, side: 'right');
            $elements["input-$call"] = new SheetElement(
                'resistor',
                $terminal,
                side: 'right',
                groundAt: [$x, self::BOTTOM],
            );
        }
        foreach ($this->wiring->assignment() as $call => $tap) {
            $y = 300.0 - $step * $tap;
            $nodes[$call] = [255.0, $y];
            $elements["relay-$call"] = new SheetElement('relay', $call, [[130.0, $y]], 1);
            $elements["wire-$call"] = new SheetElement('wire', $taps[$tap], side: 'above');
        }

        return new Sheet(600.0, 500.0, $nodes, $elements);
    }
}
