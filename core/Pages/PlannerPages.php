<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\Worked;

/**
 * A planner or worksheet, alone or in a job.
 */
final readonly class PlannerPages
{
    public function __construct(private JobPlans $plans, private Workplace $place) {}

    public function planner(Planner $planner, ?JobState $job, PlannerAsked $asked): PlannerPage
    {
        $given = $asked->values;
        // A job begins with what it knows, never with an example and a verdict on it.
        $begins = $job !== null && $given === [] && !$asked->example;
        $given = match (true) {
            $begins => $this->plans->begun($job, $planner),
            $given === [] && $job !== null => $planner->parameters()->defaults(),
            default => $given,
        };
        $problems = $begins ? [] : $planner->parameters()->leftEmpty($given);
        $plan = null;
        $example = false;
        try {
            $read = $begins || $problems !== [] ? null : $planner->parameters()->read($given);
            $plan = $read === null ? null : $planner->plan($read);
            $example = $read !== null && $planner->parameters()->isExample($read);
        } catch (ParameterError $error) {
            $problems = $error->messages;
        }

        return new PlannerPage(
            planner: PlanView::head($planner),
            fields: FieldShown::all($planner->parameters(), $planner->texts()),
            // An object even when nothing was given: an empty list has methods of its own, by names that a field may
            // have.
            values: new Keyed($given),
            problems: new Keyed($problems),
            plan: $plan === null ? null : PlanView::of($plan, $this->place->units()->numbers),
            // They come before anything is done, so also before there is anything to work out.
            cautions: $plan->cautions ?? $planner->texts()->list('cautions'),
            example: $example,
            job: $job?->head,
            open: $job !== null && !$job->is(JobStage::Closed),
            kept: $job === null ? [] : $this->plans->kept($job),
            wanted: $asked->test,
            tests: $job === null || $plan === null ? [] : self::tests($job, $plan),
        );
    }

    /**
     * Tests of a job that ask for what was worked out, by the number of the value.
     *
     * @return list<list<Titled>>
     */
    private static function tests(JobState $job, Plan $plan): array
    {
        $words = new Words($job->circuit);
        $offered = array_filter(
            $job->is(JobStage::Bench) ? $job->circuit->tests : [],
            static fn(Test $test): bool => $test->offered,
        );

        return array_map(
            static fn(Worked $worked): array => array_values(
                array_map(
                    static fn(Test $test): Titled => new Titled(key: $test->key, title: $words->test($test)),
                    array_filter($offered, $worked->belongsTo(...)),
                ),
            ),
            $plan->worked,
        );
    }
}
