<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Device\FollowedUp;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Repair\Ledger\Entry;

/**
 * What the findings of a job leave to look into before it closes, besides the part that has failed.
 */
final readonly class FollowUps
{
    /** @return list<OpenItem> one for each kind of finding */
    public static function of(RepairSheet $sheet, CaseFile $case): array
    {
        $items = [];
        foreach ($sheet->follow as $kind) {
            foreach ($case->standing() as $reading) {
                $means = $kind->found[Test::nameIn($reading->test)] ?? [];
                if (\in_array($reading->value, $means, true)) {
                    $items[] = self::item($kind);
                    break;
                }
            }
        }

        return $items;
    }

    private static function item(FollowedUp $kind): OpenItem
    {
        return new OpenItem(of: Entry::FINDING, aspect: $kind->key, what: $kind->open, why: '');
    }
}
