<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\Question;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;

/**
 * The map and the questions of the circuit chosen so far.
 */
final readonly class IntakeStart
{
    /**
     * @param list<Cell> $cells
     * @param list<Question> $questions
     * @param list<Choice> $parts
     * @param bool $asked whether the family was chosen, and is not only the usual one
     * @param Keyed<string> $shape what was chosen of its shape, so that a reload keeps it
     */
    public function __construct(
        public string $family,
        public array $cells,
        public array $questions,
        public array $parts,
        public bool $asked,
        public Keyed $shape,
    ) {}
}
