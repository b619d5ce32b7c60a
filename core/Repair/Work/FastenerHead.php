<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * Head of a fastener, as a picture can show it.
 */
enum FastenerHead: string
{
    case Hex = 'hex';
    case Socket = 'socket';
    case Star = 'star';
    case Cross = 'cross';
    case Slot = 'slot';
    case Nut = 'nut';
    case Clip = 'clip';
    case Rivet = 'rivet';
    case Other = 'other';

    /** Words by which people name one; what stands first is looked for first. */
    private const WORDS = [
        'nut' => ['nut', 'nuts'],
        'clip' => ['clip', 'clips', 'push', 'fir', 'catch', 'hook', 'hooks'],
        'rivet' => ['rivet', 'rivets'],
        'star' => ['star', 'torx', 'tx', 'lobe', 'six-lobe'],
        'cross' => ['cross', 'phillips', 'ph', 'pz'],
        'slot' => ['slot', 'slotted', 'flat'],
        'socket' => ['socket', 'allen', 'hexagon socket'],
        'hex' => ['hex', 'bolt', 'hexagon'],
    ];

    public static function read(string $fastener): self
    {
        $words = preg_split('/[^a-z-]+/', strtolower($fastener)) ?: [];
        foreach (self::WORDS as $head => $names) {
            if (array_intersect($names, $words) !== []) {
                return self::from($head);
            }
        }

        return self::Other;
    }
}
