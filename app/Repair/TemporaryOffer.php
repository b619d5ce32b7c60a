<?php

declare(strict_types=1);

namespace App\Repair;

use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\Bridged;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * A part that the family of a job allows to be kept running for some days.
 */
final class TemporaryOffer
{
    private function __construct() {}

    /**
     * Checks a temporary repair against what its family allows.
     *
     * @param list<string> $parts
     */
    public static function until(Job $job, CircuitModel $circuit, array $parts, ?string $until): ?string
    {
        if ($until === null) {
            return null;
        }
        $offer = self::of($job, $circuit);
        $problem = match (true) {
            $offer === null || $parts !== [$offer->part]
                => 'Only the part that this unit allows may be bridged, and nothing else with it.',
            $offer->objection !== null => $offer->objection,
            $until > $offer->latest => "It may stand until {$offer->latest} at most.",
            default => null,
        };

        return $problem === null ? $until : throw ValidationException::withMessages(['temporaryUntil' => $problem]);
    }

    public static function of(Job $job, CircuitModel $circuit): ?TemporaryShown
    {
        $family = app(FamilyRegistry::class)->get($job->family);
        if (!($family instanceof Bridged)) {
            return null;
        }
        $repair = $family->temporaryRepair();
        $texts = $family->texts();
        $words = new Words($circuit);
        $tests = $circuit->tests;
        $answers = [];
        foreach ($job->caseFile()->standing() as $reading) {
            $answers[$reading->test] = (string) $reading->value;
        }
        [$kind, $test] = $repair->objection($answers) ?? [null, ''];

        return new TemporaryShown(
            part: $repair->part,
            name: $texts->get('temporary.name'),
            days: $texts->get('temporary.days', ['days' => (string) $repair->days]),
            latest: now()->addDays($repair->days)->toDateString(),
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
