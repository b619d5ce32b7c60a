<?php

declare(strict_types=1);

namespace App\Away;

use App\Jobs\JobStates;
use App\Jobs\StoredJobFile;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Replacement;
use App\Models\User;
use Ispira\Core\Away\KeptJob;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Repair\Fit\PartsFormat;

/**
 * A job with all that a device needs to go on with it where the server is out of reach.
 */
final readonly class TakenAlong
{
    public function __construct(private JobFileFormat $format, private Workplace $place) {}

    /** @return array<string, mixed> see docs/formats/kept-job.schema.json */
    public function of(Job $job, User $user): array
    {
        $names = $job->workshop->names();
        $state = JobStates::of($job);
        $file = $this->format->toArray(StoredJobFile::of($job, photos: false));
        $entries = is_array($file['repair']) ? $file['repair'] : [];
        $file['repair'] = array_map(self::withoutPhoto(...), $entries);

        return [
            'format' => KeptJob::NAME,
            'version' => KeptJob::VERSION,
            'id' => $job->id,
            'me' => $user->name,
            'job' => $file,
            'people' => (object) $job->readings
                ->mapWithKeys(
                    static fn(Reading $one): array => [$one->id => $one->author ?? ($names[$one->user_id] ?? '')],
                )
                ->all(),
            'verdicts' => (object) $job->replacements
                ->mapWithKeys(static fn(Replacement $one): array => [$one->id => $one->verdict])
                ->all(),
            'runs' => $job->runs->pluck('id')->all(),
            'practice' => $job->practice(),
            'owner' => $job->owner?->name,
            'odds' => $state->odds,
            'workplace' => [
                'unitSystem' => $this->place->units()->system,
                'numbers' => $this->place->units()->numbers->value,
                'unitExceptions' => (object) $this->place->units()->exceptions(),
                'labourPerHour' => $this->place->labourPerHour(),
                'comeBackHours' => $this->place->comeBackHours(),
                'missingTools' => $this->place->missingTools(),
                'leadOhms' => $this->place->leadOhms(),
                'parts' => array_map(PartsFormat::partToArray(...), $this->place->parts()),
                'lessons' => $this->place->lessons($state),
                'terms' => $this->place->terms($state),
                'procedures' => array_map(ProcedureFormat::toArray(...), array_values($this->place->procedures())),
            ],
        ];
    }

    /** Pictures stay here: what was noted with one keeps its words. */
    private static function withoutPhoto(mixed $entry): mixed
    {
        if (is_array($entry) && is_object($entry['data'] ?? null) && isset($entry['data']->photo)) {
            $entry['data'] = (object) (['photo' => null] + (array) $entry['data']);
        }

        return $entry;
    }
}
