<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Judged;

/**
 * Reads the answers to what is asked with the complaint.
 */
final class Answers
{
    /**
     * @return array<string, string> answer by test
     *
     * @throws ValidationException
     */
    public static function read(mixed $given, CircuitModel $circuit): array
    {
        $answers = [];
        foreach (is_array($given) ? $given : [] as $key => $answer) {
            if ($answer === null || $answer === '') {
                continue;
            }
            $test = $circuit->tests[$key] ?? null;
            if ($test === null || !$test->asked || !in_array($answer, Judged::answers($circuit, $test), true)) {
                throw ValidationException::withMessages([
                    'answers' => 'Choose one of the answers, or leave the question open.',
                ]);
            }
            $answers[(string) $key] = (string) $answer;
        }

        return $answers;
    }
}
