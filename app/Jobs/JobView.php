<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\Reading;
use App\Models\Replacement;
use App\Models\SpeedMap;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Trust;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What the pages show of a job.
 */
final class JobView
{
    /** @return array<string, mixed> */
    public static function head(Job $job): array
    {
        return [
            'id' => $job->id,
            'number' => self::number($job),
            'unit' => $job->unit->name,
            'place' => $job->unit->place,
            'model' => $job->unit->model,
            'complaint' => $job->complaint,
            'since' => $job->since,
            'intermittent' => $job->intermittent,
            'replacedBefore' => $job->replaced_before,
            'stage' => $job->stage->value,
            'kind' => $job->kind->value,
            'outcome' => $job->outcome?->value,
            'dueOn' => $job->due_on?->toDateString(),
            'flow' => array_map(static fn($stage): string => $stage->value, $job->kind->flow()),
            'openedAt' => $job->created_at->toIso8601String(),
            'closedAt' => $job->closed_at?->toIso8601String(),
            'temporaryUntil' =>
                $job->outcome === JobOutcome::Temporary
                    ? $job->due_on?->toDateString()
                    : $job->replacements->last()?->temporary_until?->toDateString(),
        ];
    }

    public static function number(Job $job): string
    {
        return 'J-' . str_pad((string) $job->number, 4, '0', \STR_PAD_LEFT);
    }

    /**
     * One cell a position, with the answers that it takes.
     *
     * @return list<array{key: string, label: string, runs: bool, states: list<array{value: string, label: string}>}>
     */
    public static function cells(CircuitModel $circuit): array
    {
        $words = new Words($circuit);

        return array_map(
            static fn(Position $p): array => [
                'key' => $p->key,
                'label' => $p->label,
                'runs' => $p->runs(),
                'states' => array_map(
                    static fn(SpeedState $s): array => [
                        'value' => $s->value,
                        'label' => $words->state($s->value, $p->kind),
                    ],
                    SpeedState::possible($p->kind),
                ),
            ],
            array_values($circuit->positions),
        );
    }

    /**
     * What is asked with the complaint.
     *
     * @return list<array{test: string, title: string, choices: list<array{value: string, label: string}>}>
     */
    public static function questions(CircuitModel $circuit): array
    {
        $words = new Words($circuit);
        $questions = [];
        foreach ($circuit->tests as $test) {
            if ($test->asked) {
                $questions[] = [
                    'test' => $test->key,
                    'title' => $words->test($test),
                    'choices' => array_map(
                        static fn(string $value): array => [
                            'value' => $value,
                            'label' => $words->choice($test, $value),
                        ],
                        Judged::answers($circuit, $test),
                    ),
                ];
            }
        }

        return $questions;
    }

    /**
     * The speed strip: the cells and every map laid over them.
     *
     * @return array{cells: list<array{key: string, label: string, runs: bool, states: list<array{value: string, label: string}>, expected: float}>, maps: list<array{id: string, kind: string, notedFor: string|null, episode: int, states: array<string, string>}>}
     */
    public static function strip(Job $job, CircuitModel $circuit): array
    {
        $speeds = (new SoundCircuit($circuit))->speeds();
        $cells = array_map(
            static fn(array $cell): array => $cell + ['expected' => $speeds[$cell['key']]],
            self::cells($circuit),
        );

        return ['cells' => $cells, 'maps' => self::maps($job)];
    }

    /** @return list<array{id: string, kind: string, notedFor: string|null, episode: int, states: array<string, string>}> */
    public static function maps(Job $job): array
    {
        $byMap = $job->readings->groupBy('speed_map_id');
        $maps = $job->maps->map(
            static fn(SpeedMap $map): array => [
                'id' => $map->id,
                'kind' => $map->kind->value,
                'notedFor' => $map->noted_for,
                'episode' => $map->episode,
                'states' => ($byMap[$map->id] ?? collect())
                    ->filter(static fn(Reading $r): bool => $r->strike === null)
                    ->mapWithKeys(static fn(Reading $r): array => [substr($r->test, 6) => (string) $r->choice])
                    ->all(),
            ],
        );
        // A cell that was listened to again stands in the map it corrects.
        $single = $job->readings->filter(
            static fn(Reading $r): bool => $r->speed_map_id === null &&
                $r->strike === null &&
                str_starts_with($r->test, 'speed@'),
        );

        return array_values(
            $maps
                ->map(static function (array $map) use ($single): array {
                    foreach ($single as $reading) {
                        if ($reading->episode === $map['episode'] && $map['kind'] !== MapKind::Remembered->value) {
                            $map['states'][substr($reading->test, 6)] ??= (string) $reading->choice;
                        }
                    }

                    return $map;
                })
                ->all(),
        );
    }

    /** @return list<array<string, mixed>> newest first, without the cells of maps */
    public static function readings(Job $job, CircuitModel $circuit): array
    {
        $words = new Words($circuit, app(DisplayUnits::class));

        return array_values(
            $job->readings
                ->map(
                    static fn(Reading $reading): array => [
                        'id' => $reading->id,
                        'test' => $reading->test,
                        'title' => $words->test($circuit->tests[$reading->test]),
                        'value' => $words->reading($reading->toCore()),
                        'steady' => $reading->steady,
                        'misbehaved' => $reading->misbehaved,
                        'instrument' => $reading->instrument,
                        'leads' =>
                            $reading->lead_ohms > 0.0 ? $words->number($reading->lead_ohms, Quantity::Ohms) : null,
                        'doubts' => array_column($reading->doubts ?? [], 'sentence'),
                        'kept' => $reading->kept !== null,
                        'episode' => $reading->episode,
                        'map' => $reading->speed_map_id,
                        'struck' => $reading->strike !== null,
                        'struckBecause' => $reading->strike?->reason,
                        'seenBefore' => $reading->speed_map_id === null && $reading->trust === Trust::Remembered,
                        'takenAt' => $reading->taken_at->toIso8601String(),
                    ],
                )
                ->reverse()
                ->all(),
        );
    }

    /** @return list<array{id: string, remedy: string, label: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string, verdict: array<string, mixed>|null}> */
    public static function replacements(Job $job, CircuitModel $circuit): array
    {
        $words = new Words($circuit);

        return array_values(
            $job->replacements
                ->map(
                    static fn(Replacement $r): array => [
                        'id' => $r->id,
                        'remedy' => $r->remedy,
                        // What was only bridged is not called by the name of the part.
                        'label' =>
                            ($r->temporary_until === null ? null : $circuit->texts->find('temporary.done')) ??
                            $words->remedy($r->remedy),
                        'partNumber' => $r->part_number,
                        'note' => $r->note,
                        'temporaryUntil' => $r->temporary_until?->toDateString(),
                        'at' => $r->replaced_at->toIso8601String(),
                        'verdict' => $r->verdict,
                    ],
                )
                ->all(),
        );
    }
}
