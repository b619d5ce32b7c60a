<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Reads a netlist from its JSON form and writes the solution (see docs/formats/netlist.schema.json).
 */
final class NetlistFormat
{
    public const NAME = 'ispira-netlist';
    public const VERSION = 1;
    private const MOST_ELEMENTS = 2000;

    /** Keys an element may have, beside id and type, and whether each must be there. */
    private const KEYS = [
        'resistor' => ['from' => true, 'to' => true, 'ohms' => true],
        'source' => ['plus' => true, 'minus' => true, 'volts' => true, 'ohms' => false],
        'switch' => ['from' => true, 'to' => true, 'closed' => true, 'ohms' => false],
        'motor' => [
            'plus' => true,
            'minus' => true,
            'armatureOhms' => true,
            'emfConstant' => true,
            'frictionTorque' => true,
            'fanConstant' => true,
            'brakingConstant' => false,
        ],
        'coil' => ['from' => true, 'to' => true, 'ohms' => true, 'pullInVolts' => true, 'dropOutVolts' => true],
        'work-contact' => ['from' => true, 'to' => true, 'coil' => true, 'ohms' => false],
        'rest-contact' => ['from' => true, 'to' => true, 'coil' => true, 'ohms' => false],
    ];

    private const TEXTS = ['from', 'to', 'plus', 'minus', 'coil'];

    /** @throws CircuitError with a message for the user */
    public static function read(string $json): Netlist
    {
        try {
            $data = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw CircuitError::malformed('This is not complete JSON: ' . $error->getMessage() . '.');
        }
        if (!\is_array($data) || ($data['format'] ?? null) !== self::NAME) {
            throw CircuitError::malformed('The file is not a netlist: "format" must be "' . self::NAME . '".');
        }
        if (($data['version'] ?? null) !== self::VERSION) {
            throw CircuitError::malformed('Only version ' . self::VERSION . ' of the netlist format can be read.');
        }
        $unknown = array_diff(array_map(strval(...), array_keys($data)), ['format', 'version', 'ground', 'elements']);
        if ($unknown !== []) {
            throw CircuitError::malformed('Unknown field "' . reset($unknown) . '" in the netlist.');
        }
        $elements = $data['elements'] ?? null;
        $ground = $data['ground'] ?? '0';
        if (!\is_array($elements) || !array_is_list($elements) || $elements === [] || !\is_string($ground)) {
            throw CircuitError::malformed(
                '"elements" must be a list of at least one element, and "ground" a node name.',
            );
        }
        if (\count($elements) > self::MOST_ELEMENTS) {
            throw CircuitError::malformed('A netlist may have at most ' . self::MOST_ELEMENTS . ' elements.');
        }

        return new Netlist(array_map(self::element(...), $elements), $ground);
    }

    /**
     * @return array{nodes: array<string, float|null>, currents: array<string, float>, speeds: array<string, float>, energised: array<string, bool>, chatters: bool}
     */
    public static function solution(Netlist $netlist, OperatingPoint $point): array
    {
        $result = ['nodes' => [], 'currents' => [], 'speeds' => [], 'energised' => [], 'chatters' => $point->chatters];
        foreach ($netlist->nodes as $node) {
            $result['nodes'][$node] = $point->potential($node);
        }
        $number = 0;
        foreach ($netlist->elements as $id => $element) {
            $result['currents'][$id] = $point->current($id);
            if ($element->type === ElementType::Motor) {
                $result['speeds'][$id] = $point->speed($id);
            }
            if ($element->type === ElementType::Coil) {
                $result['energised'][$id] = $point->energised[$number];
            }
            ++$number;
        }

        return $result;
    }

    private static function element(mixed $data): Element
    {
        if (!\is_array($data) || !\is_string($data['id'] ?? null) || !\is_string($data['type'] ?? null)) {
            throw CircuitError::malformed('Every element must be an object with an "id" and a "type".');
        }
        $id = $data['id'];
        $keys =
            self::KEYS[$data['type']] ??
            throw CircuitError::malformed(
                "Element \"$id\": the type must be one of " . implode(', ', array_keys(self::KEYS)) . '.',
            );
        $numbers = [];
        $texts = array_fill_keys(self::TEXTS, '');
        $closed = false;
        foreach ($data as $key => $value) {
            if ($key === 'id' || $key === 'type') {
                continue;
            }
            if (!isset($keys[$key])) {
                throw CircuitError::malformed("Element \"$id\": unknown field \"$key\".");
            }
            if (\in_array($key, self::TEXTS, true)) {
                $texts[$key] = \is_string($value) ? $value : throw CircuitError::badValue($id, $key, 'a text');
            } elseif ($key === 'closed') {
                $closed = \is_bool($value) ? $value : throw CircuitError::badValue($id, $key, 'true or false');
            } else {
                $numbers[$key] =
                    \is_int($value) || \is_float($value)
                        ? (float) $value
                        : throw CircuitError::badValue($id, $key, 'a number');
            }
        }
        foreach ($keys as $key => $required) {
            if ($required && !\array_key_exists($key, $data)) {
                throw CircuitError::malformed("Element \"$id\": the field \"$key\" is missing.");
            }
        }

        return self::build($id, $data['type'], $texts, $numbers + ['ohms' => 0.0, 'brakingConstant' => 0.0], $closed);
    }

    /**
     * @param array<string, string> $text
     * @param array<string, float>  $number
     */
    private static function build(string $id, string $type, array $text, array $number, bool $closed): Element
    {
        return match ($type) {
            'source' => Element::source($id, $text['plus'], $text['minus'], $number['volts'], $number['ohms']),
            'switch' => Element::switch($id, $text['from'], $text['to'], $closed, $number['ohms']),
            'motor' => Element::motor(
                $id,
                $text['plus'],
                $text['minus'],
                new BrushedMotor(
                    $number['armatureOhms'],
                    $number['emfConstant'],
                    $number['frictionTorque'],
                    $number['fanConstant'],
                    $number['brakingConstant'],
                ),
            ),
            'coil' => Element::coil(
                $id,
                $text['from'],
                $text['to'],
                $number['ohms'],
                $number['pullInVolts'],
                $number['dropOutVolts'],
            ),
            'work-contact' => Element::workContact($id, $text['from'], $text['to'], $text['coil'], $number['ohms']),
            'rest-contact' => Element::restContact($id, $text['from'], $text['to'], $text['coil'], $number['ohms']),
            default => Element::resistor($id, $text['from'], $text['to'], $number['ohms']),
        };
    }
}
