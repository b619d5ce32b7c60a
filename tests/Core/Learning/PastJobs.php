<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Away\KeptJob;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\JobState;

/**
 * A year of closed jobs, as the demo has them: worked on simulated units, with what the engine said each time.
 */
final class PastJobs
{
    private const FILE = __DIR__ . '/../../../database/seeders/history.json';

    /** @var list<JobState>|null */
    private static ?array $all = null;

    /** @return list<JobState> */
    public static function all(): array
    {
        return self::$all ??= array_map(self::state(...), self::written());
    }

    /** @return list<JobState> those on which something was replaced that did not hold */
    public static function inVain(): array
    {
        return array_values(
            array_filter(
                self::all(),
                static fn(JobState $job): bool => array_filter(
                    $job->replacements,
                    static fn($one): bool => $job->held($one->id) === false,
                ) !== [],
            ),
        );
    }

    /** @return list<array<string, mixed>> */
    public static function written(): array
    {
        $written = json_decode((string) file_get_contents(self::FILE), true, 64, \JSON_THROW_ON_ERROR);

        /** @var list<array<string, mixed>> */
        return \is_array($written) ? $written : [];
    }

    /** @param array<string, mixed> $change of the job in the file, by key of its head */
    public static function changed(int $number, array $change): JobState
    {
        $one = self::written()[$number];
        $job = \is_array($one['job']) ? $one['job'] : [];
        $job['job'] = $change + (\is_array($job['job']) ? $job['job'] : []);

        return self::state(['job' => $job] + $one);
    }

    /** @param array<string, mixed> $one */
    private static function state(array $one): JobState
    {
        $job = \is_array($one['job']) ? $one['job'] : [];
        $replaced = \is_array($job['replacements'] ?? null) ? array_column($job['replacements'], 'id') : [];
        $verdicts = \is_array($one['verdicts']) ? $one['verdicts'] : [];

        return KeptJob::read(
            json_encode(
                [
                    'format' => KeptJob::NAME,
                    'version' => KeptJob::VERSION,
                    'id' => '01k00000000000000000000001',
                    'me' => 'Iska Moren',
                    'job' => $job,
                    'people' => (object) [],
                    'verdicts' => (object) array_combine($replaced, \array_slice($verdicts, 0, \count($replaced))),
                    'workplace' => ['unitSystem' => 'metric', 'procedures' => []],
                ],
                \JSON_THROW_ON_ERROR,
            ),
            FamilyRegistry::shipped(),
            '2026-11-30',
        )->job;
    }
}
