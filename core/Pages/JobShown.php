<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Job\Shown\Cell;
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
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;

/**
 * What the pages show of a job.
 */
final readonly class JobShown
{
    public function __construct(private JobState $job, private DisplayUnits $units = new DisplayUnits()) {}

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
    public function strip(): Strip
    {
        $speeds = (new SoundCircuit($this->job->circuit))->speeds();
        $cells = array_map(
            static fn(Cell $cell): StripCell => new StripCell(
                $cell->key,
                $cell->label,
                $cell->runs,
                $cell->states,
                $speeds[$cell->key],
            ),
            self::cells($this->job->circuit),
        );

        return new Strip(cells: $cells, maps: self::maps($this->job->maps, $this->job->readings));
    }

    /**
     * @param list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> $maps
     * @param list<FiledReading> $readings
     *
     * @return list<MapShown>
     */
    public static function maps(array $maps, array $readings): array
    {
        return array_map(static function (array $map) use ($readings): MapShown {
            $states = [];
            foreach ($readings as $one) {
                if ($one->map === $map['id'] && !$one->reading->struck) {
                    $states[substr($one->reading->test, 6)] = SpeedState::from((string) $one->reading->value);
                }
            }
            // A cell that was listened to again stands in the map it corrects.
            foreach ($map['kind'] === MapKind::Remembered ? [] : $readings as $one) {
                $reading = $one->reading;
                if (
                    $one->map === null &&
                    !$reading->struck &&
                    str_starts_with($reading->test, 'speed@') &&
                    $reading->episode === $map['episode']
                ) {
                    $states[substr($reading->test, 6)] ??= SpeedState::from((string) $reading->value);
                }
            }

            return new MapShown(
                id: $map['id'],
                kind: $map['kind'],
                notedFor: $map['notedFor'],
                episode: $map['episode'],
                states: new Keyed($states),
            );
        }, $maps);
    }

    /** @return list<ReadingShown> newest first, without the cells of maps */
    public function readings(): array
    {
        $circuit = $this->job->circuit;
        $words = new Words($circuit, $this->units);

        return array_map(static function (FiledReading $one) use ($circuit, $words): ReadingShown {
            $reading = $one->reading;

            return new ReadingShown(
                id: $reading->id,
                test: $reading->test,
                title: $words->test($circuit->tests[$reading->test]),
                value: $words->reading($reading),
                steady: $reading->steady,
                misbehaved: $reading->misbehaved,
                instrument: $reading->instrument,
                leads: $reading->leadOhms > 0.0 ? $words->number($reading->leadOhms, Quantity::Ohms) : null,
                doubts: array_column($one->doubts, 'sentence'),
                kept: $one->keptAt !== null,
                episode: $reading->episode,
                map: $one->map,
                struck: $reading->struck,
                struckBecause: $one->struckBecause,
                seenBefore: $one->map === null && $reading->trust === Trust::Remembered,
                takenAt: $one->takenAt ?? '',
                by: $one->by ?? '',
            );
        }, array_reverse($this->job->readings));
    }

    /** @return list<ReplacementShown> */
    public function replacements(): array
    {
        return self::replaced($this->job->circuit, $this->job->replacements);
    }

    /**
     * @param list<Replaced> $replacements
     *
     * @return list<ReplacementShown>
     */
    public static function replaced(CircuitModel $circuit, array $replacements): array
    {
        $words = new Words($circuit);

        return array_map(
            static fn(Replaced $one): ReplacementShown => new ReplacementShown(
                id: $one->id,
                remedy: $one->remedy,
                // What was only bridged is not called by the name of the part.
                label: ($one->temporaryUntil === null ? null : $circuit->texts->find('temporary.done')) ??
                    $words->remedy($one->remedy),
                partNumber: $one->partNumber,
                note: $one->note,
                temporaryUntil: $one->temporaryUntil,
                at: $one->at ?? '',
                verdict: $one->then(),
                by: $one->by,
            ),
            $replacements,
        );
    }

    /** @return list<EntryShown> */
    public function entries(EntryKind $kind): array
    {
        return array_map(EntryShown::of(...), $this->job->ledger->all($kind));
    }
}
