<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\Texts;

/**
 * Which wire of the plug has which function. Colours and pins vary by maker: what is not mapped is only usual.
 */
final readonly class PinMap
{
    private const USUAL = ['vm' => 'red', 'gnd' => 'black', 'vcc' => 'white', 'vsp' => 'yellow', 'fg' => 'blue'];

    public const FUNCTIONS = ['vm', 'gnd', 'vcc', 'vsp', 'fg'];

    public const COLOURS = [
        'red',
        'black',
        'white',
        'yellow',
        'blue',
        'brown',
        'orange',
        'green',
        'grey',
        'violet',
        'pink',
    ];

    /**
     * @param bool                    $confirmed whether somebody followed each wire or measured it
     * @param array<string, string>   $colours by function
     * @param array<string, int|null> $pins    by function
     */
    private function __construct(
        private bool $mapped,
        public bool $confirmed,
        private array $colours,
        private array $pins,
    ) {}

    /** @param array<string, mixed> $values of the parameters */
    public static function of(array $values): self
    {
        $mapped = ($values['map'] ?? 'usual') === 'own';
        $colours = $pins = [];
        foreach (self::USUAL as $function => $usual) {
            $colour = $values["colour-$function"] ?? Parameter::UNKNOWN;
            $pin = $values["pin-$function"] ?? null;
            $colours[$function] = $mapped && \is_string($colour) ? $colour : $usual;
            $pins[$function] = $mapped && \is_float($pin) ? (int) $pin : null;
        }

        $whole = !\in_array(Parameter::UNKNOWN, $colours, true);

        return new self($mapped, $mapped && $whole && ($values['confirmed'] ?? 'no') === 'yes', $colours, $pins);
    }

    /**
     * Places of the motor's plug with colour and pin.
     *
     * @param array<array-key, string> $places
     *
     * @return array<array-key, string>
     */
    public function named(array $places, Texts $texts): array
    {
        foreach ($this->colours as $function => $colour) {
            $pin = $this->pins[$function];
            $places[$function] .=
                ' (' .
                $texts->get(
                    match (true) {
                        $colour === Parameter::UNKNOWN => 'wire.open',
                        !$this->mapped => 'wire.usual',
                        $this->confirmed => 'wire.mapped',
                        default => 'wire.guessed',
                    },
                    [
                        'colour' => $colour === Parameter::UNKNOWN ? '' : $texts->get("colours.$colour"),
                    ],
                ) .
                ($pin === null ? '' : ', ' . $texts->get('wire.pin', ['pin' => (string) $pin])) .
                ')';
        }

        return $places;
    }
}
