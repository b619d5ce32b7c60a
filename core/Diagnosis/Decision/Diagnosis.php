<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\Test;

/**
 * What the readings of a job say: suspects, the next test, a verdict or none, a misfit or none.
 */
final readonly class Diagnosis
{
    /**
     * @param list<Suspect>    $suspects by remedy, likeliest first, with the odds that may be stated
     * @param TestChoice|null  $next     null when no test is worth doing
     * @param list<TestChoice> $others   every other test that can be done, best first
     * @param list<Test>       $beyond   tests that need a tool that is not at hand
     * @param float            $guessing expected money wasted by buying on today's odds
     */
    public function __construct(
        public array $suspects,
        public ?TestChoice $next,
        public array $others,
        public ?Verdict $verdict,
        public ?Misfit $misfit,
        public float $guessing,
        public Evidence $evidence,
        public array $beyond = [],
    ) {}

    /** @return list<TestChoice> every test that can be done, the next one first */
    public function choices(): array
    {
        return $this->next === null ? $this->others : [$this->next, ...$this->others];
    }

    public function choice(Test $test): ?TestChoice
    {
        foreach ($this->choices() as $choice) {
            if ($choice->test->key === $test->key) {
                return $choice;
            }
        }

        return null;
    }
}
