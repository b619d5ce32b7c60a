<?php

declare(strict_types=1);

namespace Database\Seeders;

use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Jobs of the demo's workshop that are no fault on a unit: the other kinds of jobs.
 */
final class DemoOtherKinds
{
    /**
     * What is no fault on a unit: a loose part, an adjustment, a follow-up, a request from afar; and a repair under
     * way.
     */
    public static function open(\Closure $open): void
    {
        $loose = $open(
            'van3',
            9,
            'Is the spare blower motor still good?',
            HypothesisList::NOTHING_WRONG,
            801,
            kind: JobKind::LoosePart,
            part: 'motor',
        );
        $adjusted = $open(
            'school',
            8,
            'Too loud in the hall while the play is on',
            HypothesisList::NOTHING_WRONG,
            811,
            kind: JobKind::Adjustment,
        );
        $remote = $open('kiosk', 7, 'Find me a wiper module', 'module-dead#0', 823, kind: JobKind::Remote);
        $follow = $open(
            'van9',
            1,
            'Is it still right after three months?',
            HypothesisList::NOTHING_WRONG,
            833,
            kind: JobKind::FollowUp,
        );
        $under = $open('bakery', 1, 'Nothing on 1 and 2', 'resistor-2-open#0', 844);
        if (
            !($loose instanceof DemoJob) ||
            !($adjusted instanceof DemoJob) ||
            !($remote instanceof DemoJob) ||
            !($follow instanceof DemoJob) ||
            !($under instanceof DemoJob)
        ) {
            throw new \LogicException('Jobs are opened as demo jobs.');
        }
        $loose->investigate(3)->close(JobOutcome::ProvenGood, 'Runs well on the bench, back on the shelf.');
        $adjusted->toProof(done: true);
        $adjusted->plan('airflow', []);
        $adjusted->note(EntryKind::Adjusted, [
            'what' => 'Fan tap for circulation',
            'before' => 'medium high',
            'after' => 'medium low',
            'undoOn' => now()->addDays(21)->toDateString(),
        ]);
        $adjusted->close(JobOutcome::Adjusted, null, 29);
        $remote->investigate(2);
        $remote->note(EntryKind::Loan, [
            'what' => 'Wiper module from the shelf',
            'to' => 'the kiosk',
            'dueOn' => now()->addDays(5)->toDateString(),
        ]);
        $remote->close(
            JobOutcome::Advised,
            'The module with the twelve-pin plug, and to look at the water channel above it.',
        );
        $follow->toProof();
        $under->investigate(6);
        $under->note(EntryKind::Choice, [
            'option' => 'number:OV-0087',
            'label' => 'Resistor pack (coils), original, OV-0087',
            'parts' => ['pack'],
            'kind' => 'part',
            'purchase' => 44.0,
            'selling' => 62.0,
            'minutes' => 25,
            'leadDays' => 1,
            'warrantyMonths' => 24,
            'partNumber' => 'OV-0087',
            'expected' => 79.0,
            'reason' => 'The second in four months: original this time, and the motor current is measured first.',
        ]);
        $under->note(EntryKind::Fit, [
            'when' => 'purchase',
            'type' => 'pack',
            'candidate' => 'OV-0087',
            'old' => [
                'depth' => '41',
                'amps' => '18',
                'speeds' => '4',
                'pins' => '5',
                'connectorSex' => 'pins',
                'mount' => 'two ears, M5',
                'cooling' => 'coils to the duct',
            ],
            'new' => [
                'depth' => '41',
                'amps' => '20',
                'speeds' => '4',
                'pins' => '5',
                'connectorSex' => 'pins',
                'mount' => 'two ears, M5',
            ],
            'accepted' => true,
            'reason' => null,
        ]);
        $under->note(EntryKind::Found, [
            'what' => 'Screws of the glove box',
            'condition' => 'missing',
            'count' => 1,
            'note' => 'of four',
        ]);
        $under->note(EntryKind::Found, ['what' => 'Hook of the duct', 'condition' => 'pried', 'count' => 0]);
        foreach (
            [
                'tool' => ['Stubby driver, cross 2', 'Driver, hex 7 and 8 mm'],
                'consumable' => ['Contact cleaner'],
                'carry-over' => ['Foam gasket of the pack'],
                'restore' => ['Clock of the cab radio'],
            ]
            as $sort => $things
        ) {
            foreach ($things as $what) {
                $id = $under->note(EntryKind::Kit, ['sort' => $sort, 'what' => $what]);
                if ($sort === 'tool') {
                    $under->note(EntryKind::KitReady, ['of' => $id]);
                }
            }
        }
        $under->strip(
            [
                ['Glove box', 'cross 2', '16 mm', 3, 'tray, left', 'two hooks at the top'],
                ['Duct behind it', 'hex 8 mm', '20 mm', 2, 'tray, middle', null],
                ['Bracket of the duct', 'star 20', '35 mm', 1, 'tray, middle', null],
                ['Pack plug', null, null, 0, null, 'latch at the back, press and pull'],
            ],
            false,
        );
        $under->note(EntryKind::Method, ['method' => 'photo-and-tags']);
        foreach (
            [
                ['Common of the pack', '5', '5', 'black', 'A'],
                ['Tap of position 1', '1', '1', 'blue', 'B'],
                ['Tap of position 2', '2', '2', 'yellow', 'C'],
                ['Tap of position 3', '3', '3', 'yellow', 'D'],
            ]
            as [$function, $from, $to, $colour, $label]
        ) {
            $wire = $under->note(EntryKind::Wire, [
                'function' => $function,
                'from' => $from,
                'to' => $to,
                'colour' => $colour,
                'label' => $label,
            ]);
            if ($label === 'A') {
                $under->note(EntryKind::WireMoved, ['of' => $wire]);
                $under->note(EntryKind::WireChecked, ['of' => $wire]);
            }
        }
    }
}
