<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Mechanical;

use Ispira\Core\Device\Fault;

/**
 * Traces of water in the housing of a vehicle's blower: it drags bearings, corrodes packs, modules and pins alike.
 */
final readonly class Water
{
    public const TEST = 'look-water';

    public const USUAL = ['dry' => 0.93, 'marks' => 0.055, 'wet' => 0.015];

    /** With a fault that water brings about now and then. */
    private const BROUGHT = ['dry' => 0.7, 'marks' => 0.2, 'wet' => 0.1];

    /**
     * @param list<Fault>  $faults
     * @param list<string> $brought beginnings of the keys of those that water brings about
     *
     * @return list<Fault>
     */
    public static function in(array $faults, array $brought): array
    {
        return array_map(static function (Fault $fault) use ($brought): Fault {
            foreach ($brought as $beginning) {
                if (str_starts_with($fault->key, $beginning)) {
                    return $fault->alsoSeen([self::TEST => self::BROUGHT]);
                }
            }

            return $fault;
        }, $faults);
    }
}
