<?php

declare(strict_types=1);

namespace App\Practice;

use App\Jobs\JobView;
use App\Models\Exercise;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Practice\PracticeTexts;

/**
 * An exercise as a list shows it.
 */
final readonly class ExerciseListed
{
    /** @param string $who name of the person; empty where it is the own list */
    public function __construct(
        public string $job,
        public string $number,
        public string $circuit,
        public string $title,
        public string $way,
        public string $who,
        public ?string $set,
        public ?string $overAt,
        public ?int $points,
        public ?bool $passed,
        public ?string $verdict,
    ) {}

    public static function of(Exercise $one, FamilyRegistry $families, string $who = '', ?string $set = null): self
    {
        $verdict = $one->result['verdict'] ?? null;

        return new self(
            $one->job_id,
            JobView::numbered($one->job->number),
            $families->get($one->job->family)->texts()->get('name'),
            $one->rung->title(),
            PracticeTexts::get("ways.{$one->way->value}"),
            $who,
            $set,
            $one->over_at?->toIso8601String(),
            $one->points,
            $one->passed,
            \is_string($verdict) ? $verdict : null,
        );
    }
}
