<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\StoredCharge;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * The capacitor that is told where a procedure begins that waits for it.
 */
final class ChargeTold
{
    private const FIELDS = [
        'microfarads' => ['µF', 'capacitance'],
        'ohms' => ['Ω', 'resistance of the bleeder'],
        'volts' => ['V', 'voltage'],
    ];

    private function __construct() {}

    /**
     * A procedure with its waits as long as the capacitor that is told needs, where it asks for one.
     *
     * @param array<array-key, mixed> $given fields as they were typed: microfarads, ohms, volts
     *
     * @throws EntryRefused at the field
     */
    public static function applied(Procedure $procedure, array $given): Procedure
    {
        $charge = $procedure->asksForCapacitor() ? self::read($given) : null;

        return $charge === null ? $procedure : $procedure->withCharge($charge);
    }

    /**
     * Null where nothing is known of it.
     *
     * @param array<array-key, mixed> $given
     *
     * @throws EntryRefused
     */
    private static function read(array $given): ?StoredCharge
    {
        $values = [];
        foreach (self::FIELDS as $field => [$unit, $name]) {
            $value = $given[$field] ?? null;
            if ($value === null || $value === '') {
                continue;
            }
            try {
                $values[$field] = NumberReader::read($value, $unit);
            } catch (UnreadableNumber $error) {
                throw new EntryRefused($field, $error->getMessage());
            }
            $values[$field] > 0.0 || throw new EntryRefused($field, "The $name must be above zero.");
        }
        if ($values !== [] && \count($values) < 3) {
            throw new EntryRefused(
                array_key_first(array_diff_key(self::FIELDS, $values)) ?? 'volts',
                'Give all three, or leave all empty: then the label and five minutes count.',
            );
        }

        return $values === []
            ? null
            : new StoredCharge($values['microfarads'] ?? 1.0, $values['ohms'] ?? 1.0, $values['volts'] ?? 1.0);
    }
}
