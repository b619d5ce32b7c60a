<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\Question;
use Ispira\Core\Kernel\Choice;

/**
 * The map and the questions of the circuit chosen so far.
 */
final readonly class IntakeStart
{
    /**
     * @param list<Cell> $cells
     * @param list<Question> $questions
     * @param list<Choice> $parts
     */
    public function __construct(
        public string $family,
        public array $cells,
        public array $questions,
        public array $parts,
    ) {}
}
