<?php

declare(strict_types=1);

namespace App\Workshop;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\Choice;

/**
 * Every tool that the tests of any circuit need.
 */
final readonly class WorkshopTools
{
    public function __construct(private FamilyRegistry $families) {}

    /** @return list<Choice> by name */
    public function all(): array
    {
        $tools = [];
        foreach ($this->families->all() as $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            $words = new Words($circuit);
            foreach ($circuit->tests as $test) {
                foreach ($test->tools as $key) {
                    $tools[$key] ??= $words->tool($key);
                }
            }
        }
        asort($tools, \SORT_NATURAL | \SORT_FLAG_CASE);

        return array_map(
            static fn(string $key, string $label): Choice => new Choice(value: $key, label: $label),
            array_map(strval(...), array_keys($tools)),
            $tools,
        );
    }
}
