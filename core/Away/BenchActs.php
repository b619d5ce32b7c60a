<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Acts\TypedReading;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Reading\Trust;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * What is done at the bench, away from the server.
 */
final readonly class BenchActs
{
    /** @param string $by name of the person */
    public function __construct(private Workplace $place, private PredictionStore $store, private string $by) {}

    /** @throws EntryRefused */
    public function apply(JobState $job, Done $done): Outcome
    {
        if (!$job->is(JobStage::Bench)) {
            return new Outcome($job, notice: 'This job is no longer on the bench: that was not recorded.');
        }
        $parts = explode('/', $done->act);

        return match ([$parts[0], $parts[2] ?? '']) {
            ['readings', ''] => $this->reading($job, $done),
            ['readings', 'strike'] => new Outcome(
                $this->strike($job, $parts[1], $done->text('reason'), $done->at),
                'bench' . ($done->flag('again') ? '?test=' . $this->find($job, $parts[1])->reading->test : ''),
            ),
            ['readings', 'keep'] => new Outcome($this->keep($job, $parts[1], $done->at), 'bench'),
            ['readings', 'undo'] => $this->undo($job, $parts[1], $done->at),
            default => new Outcome($this->hookedUp($job, $done->at), 'bench'),
        };
    }

    /** A reading with what is doubtful about it, added to a job. */
    public function record(JobState $job, Reading $reading, string $at): JobState
    {
        $remembered = $reading->trust === Trust::Remembered;
        $episode = $remembered ? 0 : \count($job->replacements);
        $doubts =
            \is_string($reading->value) || $remembered
                ? []
                : (new QualityCheck($this->store))->of(
                    $job->circuit,
                    $job->case,
                    $reading->inEpisode($episode),
                    $this->place->units(),
                );
        $rules = array_map(static fn(Doubt $doubt): string => $doubt->rule, $doubts);

        return $job->with(
            readings: [
                ...$job->readings,
                new FiledReading(
                    $reading->inEpisode($episode)->doubtedBy($rules),
                    null,
                    $at,
                    null,
                    null,
                    $doubts,
                    null,
                    $this->by,
                ),
            ],
        );
    }

    private function reading(JobState $job, Done $done): Outcome
    {
        if ($done->text('meter') !== '') {
            throw new EntryRefused('value', 'No meter is read without the server: type what it shows.');
        }
        $seenOn = $done->text('seenOn');
        if ($seenOn !== '' && $seenOn >= $this->place->today()) {
            throw new EntryRefused(
                'seenOn',
                'Give the day on which it was seen, before today: what is so now needs none.',
            );
        }
        $intake = Judged::intake($job->circuit, $this->place->units());
        try {
            $reading = (new TypedReading($intake, $this->place->leadOhms()))->read(
                $done->text('id'),
                $done->given,
                $seenOn !== '',
            );
        } catch (RefusedReading $refused) {
            throw new EntryRefused(
                $refused->field === RefusedReading::SUPPLY ? 'supplyVolts' : 'value',
                $refused->getMessage(),
            );
        }
        $after = $this->record($job, $reading, $seenOn === '' ? $done->at : "{$seenOn}T12:00:00+00:00");
        $next = $done->flag('series')
            ? (new Series($after->circuit, $after->case))->next($after->circuit->tests[$reading->test])
            : null;

        return new Outcome($after, 'bench' . ($next === null ? '' : "?test=$next->key&series=1"));
    }

    private function strike(JobState $job, string $id, string $reason, string $at): JobState
    {
        return $this->changed(
            $job,
            $id,
            static fn(FiledReading $one): FiledReading => new FiledReading(
                $one->reading->struckOut(),
                $one->map,
                $one->takenAt,
                $at,
                $reason === '' ? null : $reason,
                $one->doubts,
                $one->keptAt,
                $one->by,
            ),
        );
    }

    private function keep(JobState $job, string $id, string $at): JobState
    {
        return $this->changed(
            $job,
            $id,
            static fn(FiledReading $one): FiledReading => new FiledReading(
                $one->reading->doubtedBy([])->answeredFor(),
                $one->map,
                $one->takenAt,
                $one->struckAt,
                $one->struckBecause,
                $one->doubts,
                $at,
                $one->by,
            ),
        );
    }

    private function undo(JobState $job, string $id, string $at): Outcome
    {
        $own = array_filter($job->readings, static fn(FiledReading $one): bool => $one->map === null);
        $newest = $own === [] ? null : end($own);
        $mayBe = $newest?->reading->id === $id && !$newest->reading->struck && $newest->by === $this->by;

        return new Outcome(
            $mayBe ? $this->strike($job, $id, 'taken back at once', $at) : $job,
            'bench',
            $mayBe ? null : 'That cannot be taken back any more: strike it out in the readings, and say why.',
        );
    }

    /** The clips of a part on the bench were put right: what was read through them is struck out and read again. */
    private function hookedUp(JobState $job, string $at): JobState
    {
        foreach ($job->readings as $one) {
            $test = $job->circuit->tests[$one->reading->test];
            if ($job->part !== null && !$one->reading->struck && LoosePart::isHookedUp($test)) {
                $job = $this->strike($job, $one->reading->id, 'The hook-up on the bench was wrong.', $at);
            }
        }

        return $job;
    }

    private function find(JobState $job, string $id): FiledReading
    {
        foreach ($job->readings as $one) {
            if ($one->reading->id === $id) {
                return $one;
            }
        }
        throw new EntryRefused('reading', 'That reading is not in this job.');
    }

    /** @param \Closure(FiledReading): FiledReading $change */
    private function changed(JobState $job, string $id, \Closure $change): JobState
    {
        $this->find($job, $id);

        return $job->with(
            readings: array_map(
                static fn(FiledReading $one): FiledReading => $one->reading->id === $id ? $change($one) : $one,
                $job->readings,
            ),
        );
    }
}
