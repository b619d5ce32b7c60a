<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Mechanical;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;

/**
 * The fuse of a vehicle's blower pulled while it should run: what still turns then is fed another way.
 */
final class FusePulled
{
    private const KEY = 'fuse-pulled';

    private function __construct() {}

    /** @param list<Adjustment> $out what pulling it does to the circuit */
    public static function setUp(string $position, array $out): SetUp
    {
        return new SetUp(self::KEY, $position, $out, self::KEY, PositionKind::Stands);
    }

    public static function test(string $position): Test
    {
        return new Test(
            self::KEY,
            self::KEY,
            self::KEY,
            Probe::speed('motor'),
            0.7,
            ['fuse-box'],
            words: ['position' => $position],
            contact: Contact::Wires,
        );
    }
}
