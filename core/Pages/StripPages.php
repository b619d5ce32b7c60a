<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Shown\KitShown;
use Ispira\Core\Pages\Shown\PhotoHead;
use Ispira\Core\Pages\Shown\RouteShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\FastenerTray;
use Ispira\Core\Repair\Work\StripDown;
use Ispira\Core\Repair\Work\WireFaces;
use Ispira\Core\Repair\Work\WireTransfer;

/**
 * What comes off and goes back on, and the wires that move.
 */
final readonly class StripPages
{
    /**
     * @param list<PhotoHead> $photos of the job
     * @param RouteShown|null $route  that worked on the same model before; null where none did
     */
    public function strip(JobState $job, array $photos, ?RouteShown $route): StripPage
    {
        $strip = new StripDown($job->ledger);
        $shown = new JobShown($job);

        return new StripPage(
            job: $job->head,
            open: !$job->is(JobStage::Closed),
            found: $shown->entries(EntryKind::Found),
            kit: self::kit($job->ledger),
            down: $shown->entries(EntryKind::Down),
            steps: $strip->steps(),
            leftOver: $strip->leftOver(),
            missingBefore: $strip->missingBefore(),
            minutes: $strip->minutes(),
            photos: $photos,
            route: $route,
            tray: FastenerTray::of($job->ledger),
        );
    }

    /** @return list<KitShown> what the job needs, and whether it lies ready */
    public static function kit(Ledger $ledger): array
    {
        $ready = [];
        foreach ($ledger->all(EntryKind::KitReady) as $entry) {
            $ready[$entry->text('of')] = $entry->text('note');
        }

        return array_map(
            static fn(Entry $kit): KitShown => new KitShown(
                id: $kit->id,
                sort: $kit->text('sort'),
                what: $kit->text('what'),
                ready: isset($ready[$kit->id]),
                substitute: $ready[$kit->id] ?? '',
            ),
            $ledger->all(EntryKind::Kit),
        );
    }

    public function wires(JobState $job): WiresPage
    {
        $wires = new WireTransfer($job->ledger);

        return new WiresPage(
            job: $job->head,
            open: !$job->is(JobStage::Closed),
            method: $wires->method(),
            rows: $wires->rows(),
            warnings: $wires->warnings(),
            switches: $wires->switches(),
            plugs: (new JobShown($job))->entries(EntryKind::Plug),
            undone: $wires->open(),
            functions: self::functions($job->circuit),
            faces: WireFaces::of($wires->rows()),
        );
    }

    /** @return list<string> what the wires of a plug or board do, in the family's words */
    private static function functions(CircuitModel $circuit): array
    {
        $functions = [];
        foreach ($circuit->places as $place) {
            // "wiper plug, RUN": the place, and what the wire in it does.
            $parts = explode(', ', $place, 2);
            if (isset($parts[1])) {
                $functions[$parts[1]] = true;
            }
        }

        return $functions === []
            ? array_values(array_unique(array_values($circuit->places)))
            : array_map(strval(...), array_keys($functions));
    }
}
