<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\Question;
use Ispira\Core\Kernel\Keyed;

final readonly class OtherCircuitPage extends Page
{
    /**
     * @param list<FamilyHead> $families
     * @param list<FieldShown> $fields
     * @param Keyed<mixed> $values
     * @param Keyed<string> $problems
     * @param list<string> $kept
     * @param list<string> $setAside
     * @param list<Cell> $cells
     * @param Keyed<SpeedState> $states
     * @param list<Question> $questions
     */
    public function __construct(
        public JobHead $job,
        public array $families,
        public string $family,
        public string $now,
        public array $fields,
        public Keyed $values,
        public Keyed $problems,
        public array $kept,
        public array $setAside,
        public array $cells,
        public Keyed $states,
        public array $questions,
    ) {}
}
