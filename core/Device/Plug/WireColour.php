<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Plug;

/**
 * Colour of a wire, with its stripe, as it is said or printed.
 */
final readonly class WireColour
{
    /** Words and the letters of IEC 60757. */
    private const WORDS = [
        'black' => ['black', 'bk', 'blk'],
        'brown' => ['brown', 'bn', 'brn'],
        'red' => ['red', 'rd'],
        'orange' => ['orange', 'og', 'org'],
        'yellow' => ['yellow', 'ye', 'yel'],
        'green' => ['green', 'gn', 'grn'],
        'blue' => ['blue', 'bu', 'blu'],
        'violet' => ['violet', 'purple', 'vt', 'vio'],
        'grey' => ['grey', 'gray', 'gy'],
        'white' => ['white', 'wh', 'wht'],
        'pink' => ['pink', 'pk', 'pnk'],
        'turquoise' => ['turquoise', 'tq'],
    ];

    private function __construct(public string $base, public ?string $stripe) {}

    /** Null where no colour is named. */
    public static function read(string $text): ?self
    {
        $found = [];
        foreach (preg_split('/[^a-z]+/', strtolower($text)) ?: [] as $word) {
            foreach (self::WORDS as $name => $words) {
                if (\in_array($word, $words, true)) {
                    $found[] = $name;
                }
            }
        }

        return isset($found[0]) ? new self($found[0], $found[1] ?? null) : null;
    }
}
