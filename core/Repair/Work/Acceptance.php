<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Repair\Fit\FitCheck;
use Ispira\Core\Repair\Fit\FitVerdict;
use Ispira\Core\Repair\Fit\PartType;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Remedy\Quote;

/**
 * Whether an entry goes together with what stands in the ledger.
 */
final readonly class Acceptance
{
    /** What can still be noted when the job is closed. */
    public const AFTER_CLOSING = [
        EntryKind::Loan,
        EntryKind::Returned,
        EntryKind::Held,
        EntryKind::Settled,
        EntryKind::Arrived,
        EntryKind::Lesson,
    ];

    /** @param StillOpen|null $open what the job leaves open; null for what the ledger alone leaves */
    public function __construct(private Ledger $ledger, private ?StillOpen $open = null) {}

    /** @throws EntryRefused */
    public function check(Entry $entry): void
    {
        (new StripDown($this->ledger))->accept($entry);
        (new WireTransfer($this->ledger))->accept($entry);
        match ($entry->kind) {
            EntryKind::Fit => $this->fit($entry),
            EntryKind::Measured => $entry->flag('right') ||
                $entry->text('reason') !== '' ||
                throw new EntryRefused(
                    'reason',
                    "The new part should show {$entry->text(
                        'expected',
                    )}. Do not fit it, or say why it goes in all the same.",
                ),
            EntryKind::Closed => $this->closing($entry),
            EntryKind::Settled => ($this->open ?? new StillOpen($this->ledger))->isOpen($entry) ||
                throw new EntryRefused('of', 'That is not open any more. Reload the page.'),
            EntryKind::Arrived => $this->of($entry, EntryKind::Ordered),
            EntryKind::Choice => $entry->text('kind') !== OfferedRemedy::CONVERSION ||
                \in_array($entry->text('lasting'), ['temporary', 'permanent'], true) ||
                throw new EntryRefused('lasting', 'Say whether it is for good, or until the right part is here.'),
            EntryKind::Quote => $this->quote($entry),
            EntryKind::KitReady => $this->of($entry, EntryKind::Kit),
            EntryKind::Returned => $this->of($entry, EntryKind::Loan),
            EntryKind::Removed => $this->removal($entry),
            default => null,
        };
    }

    private function quote(Entry $quote): void
    {
        $problem = Quote::problem($quote);
        $problem === null || throw new EntryRefused(...$problem);
    }

    private function fit(Entry $fit): void
    {
        $type =
            PartType::tryFrom($fit->text('type')) ?? throw new EntryRefused('type', 'Choose what kind of part it is.');
        $findings = FitCheck::compare($type, $fit->map('old'), $fit->map('new'));
        $worst = FitCheck::worst($findings);
        if (!$fit->flag('accepted') || $fit->text('reason') !== '') {
            return;
        }
        $said = [];
        foreach ($findings as $finding) {
            if ($finding->verdict === $worst) {
                $said[] = $finding->attribute->label() . ': ' . $finding->how;
            }
        }
        if ($worst === FitVerdict::Wrong) {
            throw new EntryRefused(
                'reason',
                'It does not fit. ' . implode(' ', $said) . ' Choose another, or say why it is taken all the same.',
            );
        }
        if ($worst === FitVerdict::Adapt) {
            throw new EntryRefused(
                'reason',
                'It fits only when adapted: say that this is planned. ' . implode(' ', $said),
            );
        }
    }

    private function closing(Entry $closing): void
    {
        $outcome = JobOutcome::from($closing->text('outcome'));
        if ($outcome->needsReason() && $closing->text('reason') === '') {
            throw new EntryRefused(
                'reason',
                match ($outcome) {
                    JobOutcome::Advised => 'Say what was advised.',
                    JobOutcome::Cancelled => 'Say why it is cancelled.',
                    JobOutcome::NotInService => 'Say how it is switched off and secured, and what is missing.',
                    default => 'Say why it was not repaired.',
                },
            );
        }
        if ($outcome->needsName() && $closing->text('who') === '') {
            throw new EntryRefused(
                'who',
                $outcome === JobOutcome::HandedOver
                    ? 'Name the licensed person who takes it over.'
                    : 'Name the person who was told that it must not be switched on.',
            );
        }
        if ($outcome->needsDay() && $closing->text('dueOn') === '') {
            throw new EntryRefused(
                'dueOn',
                match ($outcome) {
                    JobOutcome::Temporary => 'A temporary repair needs the day on which it is due.',
                    JobOutcome::Watched => 'Give the day until which it has to stay away.',
                    default => 'Give the day on which it is looked at next.',
                },
            );
        }
        $open = (new StripDown($this->ledger))->open();
        if ($open !== []) {
            throw new EntryRefused(
                'reassembly',
                'Not back together yet: ' .
                    implode(
                        '; ',
                        array_map(
                            static fn(StepBack $step): string => $step->what .
                                ($step->left > 0 ? ", {$step->left} left over" : ''),
                            $open,
                        ),
                    ) .
                    '. Put it back, or give a reason for what stays out.',
            );
        }
        $wires = (new WireTransfer($this->ledger))->open();
        if ($wires !== []) {
            throw new EntryRefused('wires', 'The wires are not done: ' . implode('; ', $wires) . '.');
        }
    }

    private function removal(Entry $entry): void
    {
        $of =
            $this->ledger->find($entry->text('of')) ??
            throw new EntryRefused('of', 'That entry is not there any more. Reload the page.');
        if (
            \in_array(
                $of->kind,
                [
                    EntryKind::Closed,
                    EntryKind::Held,
                    EntryKind::Choice,
                    EntryKind::OtherCircuit,
                    EntryKind::HandedOver,
                    EntryKind::Corrected,
                    EntryKind::Reopened,
                ],
                true,
            )
        ) {
            throw new EntryRefused(
                'of',
                'This is part of how the job went and stays on record. Note what is so now instead.',
            );
        }
    }

    private function of(Entry $entry, EntryKind $kind): void
    {
        $this->ledger->find($entry->text('of'))?->kind === $kind ||
            throw new EntryRefused('of', 'That entry is not there any more. Reload the page.');
    }
}
