<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Cures;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\RemedyAsked;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * One of the ways to cure a job, chosen with a reason: what it costs is kept as it stood.
 */
final readonly class RemedyChosen
{
    public function __construct(private JobDiagnosis $diagnosis, private Cures $cures) {}

    /** What was chosen, said once more where the person is led. */
    public static function said(Entry $choice): string
    {
        return "Chosen: {$choice->text(
            'label',
        )}. It stands under Remedy with its reason; another way can be chosen there.";
    }

    /**
     * @param array<array-key, mixed> $given option, reason, partNumber, selling, lasting; standing and potted as the
     *     ways were shown
     *
     * @throws EntryRefused
     */
    public function entry(JobState $job, string $id, array $given): Entry
    {
        $key = \is_string($given['option'] ?? null) ? $given['option'] : '';
        $outlook = $this->cures->outlook(
            $job,
            $this->diagnosis->plain($job),
            RemedyAsked::money(\is_scalar($given['standing'] ?? null) ? (string) $given['standing'] : '') ?? 0.0,
            filter_var($given['potted'] ?? false, \FILTER_VALIDATE_BOOLEAN),
        );
        $option =
            array_column($outlook->options, null, 'key')[$key] ??
            throw new EntryRefused('option', 'This way is not offered any more: the odds have changed. Choose again.');
        $option->leadDays !== null || throw new EntryRefused('option', 'It is not to be had: choose another way.');

        return Entry::read($id, EntryKind::Choice, [
            'option' => $option->key,
            'label' => $option->label,
            'parts' => $option->parts,
            'kind' => $option->kind,
            'purchase' => $option->price,
            'selling' => $given['selling'] ?? null,
            'minutes' => $option->minutes,
            'leadDays' => $option->leadDays,
            'warrantyMonths' => $option->warrantyMonths,
            'partNumber' =>
                $given['partNumber'] ?? (str_starts_with($option->key, 'number:') ? substr($option->key, 7) : null),
            'expected' => $option->expected,
            'reason' => $given['reason'] ?? null,
            'lasting' => $given['lasting'] ?? null,
        ]);
    }
}
