<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Presentation\Shown\TestChoiceShown;

/**
 * A diagnosis without all that would tell who works on an exercise what to think: what is left are the tests, in the
 * order of the circuit, and how each is done.
 */
final class HiddenDiagnosis
{
    private function __construct() {}

    /**
     * @param list<string> $order  keys of tests as the circuit has them
     * @param bool         $chosen whether the test of the card was chosen by the person
     */
    public static function of(DiagnosisShown $diagnosis, array $order, bool $chosen): DiagnosisShown
    {
        $place = array_flip($order);
        $tests = array_map(
            static fn(TestChoiceShown $one): TestChoiceShown => new TestChoiceShown(
                key: $one->key,
                title: $one->title,
                gain: 0.0,
                saves: 0.0,
                cost: $one->cost,
                minutes: $one->minutes,
                information: 0.0,
                elements: $one->elements,
            ),
            $diagnosis->tests,
        );
        usort(
            $tests,
            static fn(TestChoiceShown $a, TestChoiceShown $b): int => ($place[$a->key] ?? 0) <=> ($place[$b->key] ?? 0),
        );

        return new DiagnosisShown(
            suspects: [],
            next: null,
            card: $chosen && $diagnosis->card !== null ? $diagnosis->card->withoutMeaning() : null,
            tests: $tests,
            beyond: $diagnosis->beyond,
            verdict: null,
            misfit: null,
            traps: [],
            guessing: 0.0,
            left: 0,
            learned: [],
            elsewhere: null,
        );
    }
}
