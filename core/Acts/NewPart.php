<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\TemporaryOffer;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * The new part: what it shows before it goes in, and that it went in.
 */
final readonly class NewPart
{
    /** Suspects that are kept with what was replaced. */
    private const SUSPECTS_KEPT = 4;

    public function __construct(
        private Workplace $place,
        private JobDiagnosis $diagnosis,
        private JobProof $proof,
        private TemporaryOffer $temporary,
    ) {}

    /**
     * @param array<array-key, mixed> $given test, value, reason
     *
     * @throws EntryRefused
     */
    public function measured(JobState $job, string $id, array $given): Entry
    {
        $intake = Judged::intake($job->circuit, $this->place->units());
        try {
            $test = $intake->test(\is_string($given['test'] ?? null) ? $given['test'] : '');
            $value = $intake->value($test, $given['value'] ?? '');
        } catch (RefusedReading $refused) {
            throw new EntryRefused('value', $refused->getMessage());
        }
        $checks = $this->proof->of($job);

        return Entry::read($id, EntryKind::Measured, [
            'test' => $test->key,
            'number' => \is_float($value) ? $value : null,
            'answer' => \is_string($value) ? $value : null,
            'right' => $checks->isRight($test, new Reading('new', $test->key, $value)),
            'expected' => $checks->expected($test),
            'reason' => $given['reason'] ?? null,
        ]);
    }

    /**
     * @param list<string>            $parts what was replaced; of a conversion, its own count
     * @param array<array-key, mixed> $given partNumber, note, temporaryUntil, done (what a conversion changes)
     * @param string                  $at    moment as ISO 8601
     *
     * @throws EntryRefused
     */
    public function replaced(JobState $job, string $id, array $parts, array $given, string $at): Replaced
    {
        $conversion = $job->conversion();
        $done = array_filter(\is_array($given['done'] ?? null) ? $given['done'] : [], \is_string(...));
        $left = array_diff($conversion->changes ?? [], $done);
        if ($left !== []) {
            throw new EntryRefused(
                'done',
                'Not done yet: ' . implode('; ', $left) . '. Tick each when it is done, or choose another way.',
            );
        }
        $parts = $conversion->parts ?? $parts;
        $parts === [] && throw new EntryRefused('parts', 'Choose what was replaced or repaired.');
        sort($parts);
        foreach ($parts as $part) {
            isset($job->circuit->parts[$part]) ||
                throw new EntryRefused('parts', 'This circuit has no such part. Reload the page.');
        }
        $text = static fn(string $field): ?string => \is_string($given[$field] ?? null) ? $given[$field] : null;

        return new Replaced(
            $id,
            implode('+', $parts),
            $text('partNumber'),
            $conversion === null ? $text('note') : trim("Converted: $conversion->name. " . $text('note')),
            $this->temporary->until($job, $parts, $text('temporaryUntil')),
            $at,
            $job->is(JobStage::Bench) ? $this->verdict($job) : null,
        );
    }

    /** @return array<string, mixed> what the diagnosis says now */
    private function verdict(JobState $job): array
    {
        $shown = $this->diagnosis->of($job)->diagnosis;

        return [
            'verdict' => $shown->verdict,
            'suspects' => \array_slice($shown->suspects, 0, self::SUSPECTS_KEPT),
            'guessing' => $this->diagnosis->priceOfGuessing($job),
        ];
    }
}
