<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;

/**
 * What the user of a machine complained of, as far as it was noted: the repair is proved by its being gone.
 */
final readonly class Complaint
{
    public function __construct(private CircuitModel $circuit, private CaseFile $case) {}

    /**
     * What was heard or felt and is not usual with a sound machine: it is asked again in the same words.
     *
     * @return list<string> names of tests
     */
    public function askedAgain(): array
    {
        $names = [];
        foreach ($this->case->standing() as $reading) {
            $test = $this->circuit->tests[$reading->test];
            if ($test->asked && $reading->trust === Trust::Measured && !$this->isUsual($test, $reading)) {
                $names[] = $test->name();
            }
        }

        return array_values(array_unique($names));
    }

    /** Whether all that was noted before the first repair was right: then the same again proves nothing. */
    public function showedNothing(): bool
    {
        $noted = false;
        foreach ($this->case->standing() as $reading) {
            $test = $this->circuit->tests[$reading->test];
            $isMap = str_starts_with($reading->test, 'speed@') && !$test->offered;
            if ($reading->episode > 0 || !($isMap || $test->asked)) {
                continue;
            }
            $noted = true;
            if ($isMap ? $reading->value !== SpeedState::Right->value : !$this->isUsual($test, $reading)) {
                return false;
            }
        }

        return $noted;
    }

    private function isUsual(Test $test, Reading $reading): bool
    {
        return $reading->value === $this->circuit->observations[$test->probe->at]->usually();
    }
}
