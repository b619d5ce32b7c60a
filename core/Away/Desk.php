<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Acts\NewPart;
use Ispira\Core\Acts\RemedyChosen;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\BenchAsked;
use Ispira\Core\Pages\BenchPages;
use Ispira\Core\Pages\Cures;
use Ispira\Core\Pages\FitAsked;
use Ispira\Core\Pages\FitPages;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\JobPlans;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\LeadsOn;
use Ispira\Core\Pages\PlannerAsked;
use Ispira\Core\Pages\PlannerPages;
use Ispira\Core\Pages\ProcedurePages;
use Ispira\Core\Pages\RemedyAsked;
use Ispira\Core\Pages\RepairPages;
use Ispira\Core\Pages\StripPages;
use Ispira\Core\Pages\TemporaryOffer;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Practice\Exercise;
use Ispira\Core\Practice\ExerciseActs;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Answers for a job that was taken along, where the server is out of reach: the same pages from the same rules.
 *
 * It keeps the job as it stood after what was asked last, so that only what came since is done again.
 */
final class Desk
{
    /** Pages of a job that need the server. */
    private const ONLY_THERE = 'This page needs the server: it opens again when the connection is back.';

    private ?KeptJob $kept = null;
    private string $keptAs = '';

    /** @var list<JobState> the job after so many things were done */
    private array $states = [];

    /** @var list<string> ids of what was done */
    private array $done = [];

    public function __construct(
        private readonly FamilyRegistry $families,
        private readonly PlannerRegistry $planners,
        private readonly PredictionStore $store,
    ) {}

    /**
     * @param string $json of what is asked: "kept" the job as it was taken along (a text of JSON), "today" the day of the
     *     device, "done" what was done since (each with key, act, given, at), "page" the page and its question; null for
     *     the one where the last thing done leads, "from" the page where the person is
     *
     * @return array{component: string, page: string, props: array<string, mixed>, notice: string|null, errors: Keyed<string>}
     *
     * @throws FileError
     */
    public function answer(string $json): array
    {
        $asked = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
        \is_array($asked) || throw new \InvalidArgumentException('Nothing is asked.');
        $kept = $this->open($asked);
        $place = $kept->place;
        $outcome = null;
        $errors = [];
        foreach (\is_array($asked['done'] ?? null) ? array_values($asked['done']) : [] as $number => $one) {
            $one = \is_array($one) ? $one : [];
            $key = \is_string($one['key'] ?? null) ? $one['key'] : '';
            $place = self::withTools($place, $one);
            if (($this->done[$number] ?? null) === $key) {
                continue;
            }
            $this->forgetFrom($number);
            try {
                $outcome = $this->apply($this->states[$number], $place, $kept->me, self::done($one));
                $errors = [];
            } catch (EntryRefused $refused) {
                $outcome = null;
                $errors = [$refused->field => $refused->getMessage()];
            } catch (ParameterError $refused) {
                $outcome = null;
                $errors = $refused->messages;
            }
            $this->done[] = $key;
            $this->states[] = $outcome->job ?? $this->states[$number];
        }
        $job = $this->states[\count($this->states) - 1];
        $led = !\is_string($asked['page'] ?? null);
        $page = $led ? self::leads($job, $outcome, $errors, $asked) : $asked['page'];
        [$shown, $page] = $this->page($job, $place, $page);

        return [
            'component' => $shown::component(),
            'page' => $page,
            'props' => $shown->props(),
            // What came of the last thing done is said once: where it leads.
            'notice' => $led ? $outcome?->notice : null,
            'errors' => new Keyed($led ? $errors : []),
        ];
    }

    /** @param array<array-key, mixed> $asked */
    private function open(array $asked): KeptJob
    {
        $text = \is_string($asked['kept'] ?? null) ? $asked['kept'] : '';
        $today = \is_string($asked['today'] ?? null) ? $asked['today'] : '';
        $as = hash('xxh3', $text) . $today;
        if ($this->kept === null || $as !== $this->keptAs) {
            $this->kept = KeptJob::read($text, $this->families, $today);
            $this->keptAs = $as;
            $this->done = [];
            $this->states = [$this->kept->job];
        }

        return $this->kept;
    }

    /** @param array<array-key, mixed> $one of what was done */
    private static function withTools(KeptWorkplace $place, array $one): KeptWorkplace
    {
        $done = self::done($one);

        return $done->act === 'tools' ? $place->withTool($done->text('tool'), $done->flag('atHand')) : $place;
    }

    private function forgetFrom(int $number): void
    {
        $this->done = \array_slice($this->done, 0, $number);
        $this->states = \array_slice($this->states, 0, $number + 1);
    }

    /** @param array<array-key, mixed> $one */
    private static function done(array $one): Done
    {
        return new Done(
            \is_string($one['act'] ?? null) ? $one['act'] : '',
            \is_array($one['given'] ?? null) ? $one['given'] : [],
            \is_string($one['at'] ?? null) ? $one['at'] : '',
        );
    }

    /** @throws EntryRefused|ParameterError */
    private function apply(JobState $job, KeptWorkplace $place, string $me, Done $done): Outcome
    {
        if ($done->act === 'tools') {
            return new Outcome($job, 'bench');
        }
        $bench = new BenchActs($place, $this->store, $me);
        if (\in_array(explode('/', $done->act)[0], ['readings', 'hook-up'], true)) {
            return $bench->apply($job, $done);
        }
        if (\in_array(explode('/', $done->act)[0], ['procedures', 'runs'], true)) {
            return (new ProcedureActs($place))->apply($job, $done);
        }
        $diagnosis = new JobDiagnosis($this->store, $place);
        if ($done->act === 'practice-acts') {
            return self::exercise($job, $done, $diagnosis);
        }
        $proof = new JobProof($diagnosis, $place);

        return (new RepairActs(
            $place,
            $bench,
            new RemedyChosen($diagnosis, new Cures($diagnosis, $place)),
            new NewPart($place, $diagnosis, $proof, new TemporaryOffer($this->families, $place)),
            $proof,
            $this->planners,
        ))->apply($job, $done);
    }

    /** @throws EntryRefused */
    private static function exercise(JobState $job, Done $done, JobDiagnosis $diagnosis): Outcome
    {
        $exercise = Exercise::of($job);
        if ($exercise === null || $job->practice === null) {
            throw new EntryRefused('kind', 'This is no exercise.');
        }
        $acts = new ExerciseActs($exercise, static fn() => $diagnosis->plain($job));
        $practice = $job->practice->withAct($acts->read($done->id(), $done->text('kind'), $done->given));

        return new Outcome($job->with(practice: $practice), $practice->isOver() ? 'score' : Outcome::STAY);
    }

    /** @return array{0: Page, 1: string} the page, and which one it is */
    private function page(JobState $job, KeptWorkplace $place, string $page): array
    {
        [$name, $question] = explode('?', $page, 2) + ['', ''];
        parse_str($question, $asked);
        $text = static fn(string $field): string => \is_string($asked[$field] ?? null) ? $asked[$field] : '';
        $flag = static fn(string $field): bool => filter_var($asked[$field] ?? false, \FILTER_VALIDATE_BOOLEAN);
        $diagnosis = new JobDiagnosis($this->store, $place);
        $cures = new Cures($diagnosis, $place);
        $plans = new JobPlans($this->families, $this->planners);
        $bench = new BenchPages($place, $diagnosis, $cures, new LeadsOn($this->families), $plans, $this->planners);
        $repair = new RepairPages(
            $place,
            $diagnosis,
            $cures,
            new JobProof($diagnosis, $place),
            new TemporaryOffer($this->families, $place),
            $plans,
        );
        if ($name !== 'bench' && $name !== 'strip' && $name !== 'wires' && $job->practice?->hides() === true) {
            $name = $page = 'bench';
        }
        $score = $name === 'score' ? $bench->score($job) : null;
        if ($score !== null) {
            return [$score, $page];
        }
        if ($name === 'proof' && $job->is(JobStage::Bench) && $job->passes(JobStage::Proof)) {
            $name = $page = 'bench';
        }
        if (str_starts_with($name, 'planners/')) {
            $planner = $this->planners->find(substr($name, 9));
            $values = $asked['values'] ?? [];
            if ($planner !== null) {
                $asks = new PlannerAsked(\is_array($values) ? $values : [], $flag('example'), $text('test'));

                return [(new PlannerPages($plans, $place))->planner($planner, $job, $asks), $page];
            }
        }

        $worked = self::procedures($job, $place, $name);
        if ($worked !== null) {
            return [$worked, $page];
        }

        return match ($name) {
            'bench' => [
                $bench->bench(
                    $job,
                    new BenchAsked($text('test'), $flag('series'), $text('suppose'), $text('reading'), $text('showed')),
                    'away',
                ),
                $page,
            ],
            'verdict' => [$bench->verdict($job), $page],
            'remedy' => [
                $repair->remedy(
                    $job,
                    new RemedyAsked(
                        $text('standing'),
                        $flag('potted'),
                        $text('tool'),
                        $text('price'),
                        $text('saving'),
                        $text('perYear'),
                    ),
                ),
                $page,
            ],
            'fit' => [
                (new FitPages($place))->fit(
                    $job,
                    new FitAsked(
                        $text('type'),
                        FitAsked::described($asked['old'] ?? null),
                        FitAsked::described($asked['new'] ?? null),
                        $text('candidate'),
                    ),
                ),
                $page,
            ],
            // Pictures and the routes of other jobs stay with the server.
            'strip' => [(new StripPages())->strip($job, [], null), $page],
            'wires' => [(new StripPages())->wires($job), $page],
            'order' => [$repair->order($job), $page],
            'swap' => [$repair->swap($job), $page],
            'proof' => [$repair->proof($job), $page],
            default => [new AwayPage($job->head, self::ONLY_THERE), $page],
        };
    }

    /** A page of procedures; null where that is none, or one of which nothing was taken along. */
    private static function procedures(JobState $job, KeptWorkplace $place, string $page): ?Page
    {
        [$name, $key] = explode('/', $page, 2) + ['', ''];
        if ($page === 'procedures') {
            return ProcedurePages::all(
                $place->procedures(),
                [],
                array_reverse(ProcedurePages::ofJob($job)),
                $job->head,
                $job->family,
                false,
            );
        }
        if ($name === 'procedures' && isset($place->procedures()[$key])) {
            return ProcedurePages::procedure($place->procedures()[$key], $job->head);
        }
        $run = $name === 'runs' ? $job->run($key) : null;

        // What counts is what is waited on this device from now on: the whole of it.
        return $run === null ? null : ProcedurePages::run($run, $run->run->since, $job->head);
    }

    /**
     * Where a person is led: what was refused, and what leads nowhere, lets him stay.
     *
     * @param array<string, string>   $errors
     * @param array<array-key, mixed> $asked
     */
    private static function leads(JobState $job, ?Outcome $outcome, array $errors, array $asked): string
    {
        $from = \is_string($asked['from'] ?? null) ? $asked['from'] : '';
        $page = $errors !== [] || $outcome?->page === Outcome::STAY ? $from : $outcome->page ?? '';

        return $page === '' ? self::whereItStands($job) : $page;
    }

    private static function whereItStands(JobState $job): string
    {
        return $job->is(JobStage::Closed) ? 'proof' : $job->head->stage->value;
    }
}
