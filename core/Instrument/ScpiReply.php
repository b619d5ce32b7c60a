<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

/**
 * Reads what an instrument answers over SCPI.
 */
final class ScpiReply
{
    /** SCPI 1999 volume 1, 7.2.1.4: 9.9E37 stands for infinity, 9.91E37 for not a number. */
    private const INFINITY = 9.9e37;
    private const NOT_A_NUMBER = 9.91e37;
    private const MOST_BYTES = 512;

    private function __construct() {}

    /**
     * @return float|null null for over-range
     *
     * @throws MeterTrouble
     */
    public static function number(string $reply): ?float
    {
        $text = self::text($reply);
        // Some meters list several results, or put the unit behind.
        $first = trim(explode(',', $text)[0]);
        if (
            preg_match('/^([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d{1,3})?)\s*[A-Za-zΩµ%]{0,8}$/u', $first, $found) !== 1
        ) {
            throw new MeterTrouble(\sprintf('The meter answered "%s", which is no number.', self::shown($text)));
        }
        $number = (float) $found[1];
        if ($number === self::NOT_A_NUMBER) {
            throw new MeterTrouble('The meter has no value yet (it answered "not a number").');
        }

        return abs($number) >= self::INFINITY ? null : $number;
    }

    /**
     * An entry of the error queue.
     *
     * @return string|null its text, null for "no error"
     *
     * @throws MeterTrouble
     */
    public static function error(string $reply): ?string
    {
        if (preg_match('/^([+-]?\d{1,5})\s*,\s*"([^"]*)"?/', self::text($reply), $found) !== 1) {
            throw new MeterTrouble(\sprintf('The meter answered "%s" when asked for errors.', self::shown($reply)));
        }

        return (int) $found[1] === 0 ? null : self::shown("$found[1] $found[2]");
    }

    /** Maker, model, serial number and version in one line. @throws MeterTrouble */
    public static function identity(string $reply): string
    {
        $text = self::text($reply);

        return self::shown(
            implode(
                ' ',
                array_filter(
                    array_map(trim(...), explode(',', $text)),
                    static fn(string $part): bool => $part !== '' && $part !== '0',
                ),
            ),
        );
    }

    /** @throws MeterTrouble */
    private static function text(string $reply): string
    {
        if (\strlen($reply) > self::MOST_BYTES) {
            throw new MeterTrouble('The meter sent far more than one answer: is that address a meter?');
        }
        $text = trim($reply);
        if ($text === '') {
            throw new MeterTrouble('The meter sent an empty answer.');
        }

        return $text;
    }

    /** Short, and safe to show. */
    private static function shown(string $text): string
    {
        return mb_substr(preg_replace('/[^\x20-\x7e]/', '·', trim($text)) ?? '', 0, 80);
    }
}
