<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

use Ispira\Core\Kernel\Choice;

/**
 * What is asked with the complaint.
 */
final readonly class Question
{
    /**
     * @param list<Choice> $choices
     */
    public function __construct(public string $test, public string $title, public array $choices) {}
}
