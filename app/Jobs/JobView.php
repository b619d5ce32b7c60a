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
use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\MapShown;
use Ispira\Core\Job\Shown\Question;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Job\Shown\StateChoice;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Job\Shown\StripCell;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Reading\Trust;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What the pages show of a job.
 */
final class JobView
{
    public static function head(Job $job): JobHead
    {
        return new JobHead(
            id: $job->id,
            number: self::number($job),
            unit: $job->unit->name,
            place: $job->unit->place,
            model: $job->unit->model,
            complaint: $job->complaint,
            since: $job->since,
            intermittent: $job->intermittent,
            replacedBefore: $job->replaced_before,
            stage: $job->stage,
            kind: $job->kind,
            outcome: $job->outcome,
            dueOn: $job->due_on?->toDateString(),
            flow: $job->kind->flow(),
            openedAt: $job->created_at->toIso8601String(),
            closedAt: $job->closed_at?->toIso8601String(),
            temporaryUntil: $job->outcome === JobOutcome::Temporary
                ? $job->due_on?->toDateString()
                : $job->replacements->last()?->temporary_until?->toDateString(),
        );
    }

    public static function number(Job $job): string
    {
        return 'J-' . str_pad((string) $job->number, 4, '0', \STR_PAD_LEFT);
    }

    /**
     * One cell a position, with the answers that it takes.
     *
     * @return list<Cell>
     */
    public static function cells(CircuitModel $circuit): array
    {
        $words = new Words($circuit);

        return array_map(
            static fn(Position $p): Cell => new Cell(
                key: $p->key,
                label: $p->label,
                runs: $p->runs(),
                states: array_map(
                    static fn(SpeedState $s): StateChoice => new StateChoice(
                        value: $s,
                        label: $words->state($s->value, $p->kind),
                    ),
                    SpeedState::possible($p->kind),
                ),
            ),
            array_values($circuit->positions),
        );
    }

    /**
     * What is asked with the complaint.
     *
     * @return list<Question>
     */
    public static function questions(CircuitModel $circuit): array
    {
        $words = new Words($circuit);
        $questions = [];
        foreach ($circuit->tests as $test) {
            if ($test->asked) {
                $questions[] = new Question(
                    test: $test->key,
                    title: $words->test($test),
                    choices: array_map(
                        static fn(string $value): Choice => new Choice(
                            value: $value,
                            label: $words->choice($test, $value),
                        ),
                        Judged::answers($circuit, $test),
                    ),
                );
            }
        }

        return $questions;
    }

    /**
     * The speed strip: the cells and every map laid over them.
     */
    public static function strip(Job $job, CircuitModel $circuit): Strip
    {
        $speeds = (new SoundCircuit($circuit))->speeds();
        $cells = array_map(
            static fn(Cell $cell): StripCell => new StripCell(
                $cell->key,
                $cell->label,
                $cell->runs,
                $cell->states,
                $speeds[$cell->key],
            ),
            self::cells($circuit),
        );

        return new Strip(cells: $cells, maps: self::maps($job));
    }

    /** @return list<MapShown> */
    public static function maps(Job $job): array
    {
        $byMap = $job->readings->groupBy('speed_map_id');
        // A cell that was listened to again stands in the map it corrects.
        $single = $job->readings->filter(
            static fn(Reading $r): bool => $r->speed_map_id === null &&
                $r->strike === null &&
                str_starts_with($r->test, 'speed@'),
        );

        return array_values(
            $job->maps
                ->map(static function (SpeedMap $map) use ($byMap, $single): MapShown {
                    $states = [];
                    foreach ($byMap[$map->id] ?? [] as $reading) {
                        if ($reading->strike === null) {
                            $states[substr($reading->test, 6)] = SpeedState::from((string) $reading->choice);
                        }
                    }
                    foreach ($map->kind === MapKind::Remembered ? [] : $single as $reading) {
                        if ($reading->episode === $map->episode) {
                            $states[substr($reading->test, 6)] ??= SpeedState::from((string) $reading->choice);
                        }
                    }

                    return new MapShown(
                        id: $map->id,
                        kind: $map->kind,
                        notedFor: $map->noted_for,
                        episode: $map->episode,
                        states: new Keyed($states),
                    );
                })
                ->all(),
        );
    }

    /** @return list<ReadingShown> newest first, without the cells of maps */
    public static function readings(Job $job, CircuitModel $circuit): array
    {
        /** @var array<int, string> $names */
        $names = $job->workshop->users()->pluck('name', 'id')->all();
        $words = new Words($circuit, app(DisplayUnits::class));

        return array_values(
            $job->readings
                ->map(
                    static fn(Reading $reading): ReadingShown => new ReadingShown(
                        id: $reading->id,
                        test: $reading->test,
                        title: $words->test($circuit->tests[$reading->test]),
                        value: $words->reading($reading->toCore()),
                        steady: $reading->steady,
                        misbehaved: $reading->misbehaved,
                        instrument: $reading->instrument,
                        leads: $reading->lead_ohms > 0.0 ? $words->number($reading->lead_ohms, Quantity::Ohms) : null,
                        doubts: array_column($reading->doubts ?? [], 'sentence'),
                        kept: $reading->kept !== null,
                        episode: $reading->episode,
                        map: $reading->speed_map_id,
                        struck: $reading->strike !== null,
                        struckBecause: $reading->strike?->reason,
                        seenBefore: $reading->speed_map_id === null && $reading->trust === Trust::Remembered,
                        takenAt: $reading->taken_at->toIso8601String(),
                        by: $names[$reading->user_id] ?? '',
                    ),
                )
                ->reverse()
                ->all(),
        );
    }

    /** @return list<ReplacementShown> */
    public static function replacements(Job $job, CircuitModel $circuit): array
    {
        $words = new Words($circuit);

        return array_values(
            $job->replacements
                ->map(
                    static fn(Replacement $r): ReplacementShown => new ReplacementShown(
                        id: $r->id,
                        remedy: $r->remedy,
                        // What was only bridged is not called by the name of the part.
                        label: ($r->temporary_until === null ? null : $circuit->texts->find('temporary.done')) ??
                            $words->remedy($r->remedy),
                        partNumber: $r->part_number,
                        note: $r->note,
                        temporaryUntil: $r->temporary_until?->toDateString(),
                        at: $r->replaced_at->toIso8601String(),
                        verdict: $r->then(),
                    ),
                )
                ->all(),
        );
    }
}
