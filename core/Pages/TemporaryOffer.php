<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Bridged;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Shown\TemporaryShown;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * A part that the family of a job allows to be kept running for some days.
 */
final readonly class TemporaryOffer
{
    public function __construct(private FamilyRegistry $families, private Workplace $place) {}

    /**
     * Checks a temporary repair against what its family allows.
     *
     * @param list<string> $parts
     *
     * @throws EntryRefused
     */
    public function until(JobState $job, array $parts, ?string $until): ?string
    {
        if ($until === null) {
            return null;
        }
        $offer = $this->of($job);
        $problem = match (true) {
            $offer === null || $parts !== [$offer->part]
                => 'Only the part that this unit allows may be bridged, and nothing else with it.',
            $offer->objection !== null => $offer->objection,
            $until > $offer->latest => "It may stand until {$offer->latest} at most.",
            default => null,
        };

        return $problem === null ? $until : throw new EntryRefused('temporaryUntil', $problem);
    }

    public function of(JobState $job): ?TemporaryShown
    {
        $family = $this->families->get($job->family);
        if (!($family instanceof Bridged)) {
            return null;
        }
        $repair = $family->temporaryRepair();
        $texts = $family->texts();
        $words = new Words($job->circuit);
        $tests = $job->circuit->tests;
        $answers = [];
        foreach ($job->case->standing() as $reading) {
            $answers[$reading->test] = (string) $reading->value;
        }
        [$kind, $test] = $repair->objection($answers) ?? [null, ''];

        return new TemporaryShown(
            part: $repair->part,
            name: $texts->get('temporary.name'),
            days: $texts->get('temporary.days', ['days' => (string) $repair->days]),
            latest: (new \DateTimeImmutable($this->place->today()))->modify("+$repair->days days")->format('Y-m-d'),
            objection: $kind === null
                ? null
                : $texts->get("temporary.$kind", [
                    'test' => $words->test($tests[$test]),
                    'answer' => $kind === 'refused' ? $words->choice($tests[$test], $answers[$test]) : '',
                ]),
            cautions: $texts->list('temporary.cautions'),
            steps: $texts->list('temporary.steps'),
        );
    }
}
