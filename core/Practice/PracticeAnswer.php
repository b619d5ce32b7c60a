<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

/**
 * What a practice unit shows at one test, as a person would put it into the fields of the reading.
 */
final readonly class PracticeAnswer
{
    /**
     * @param string    $value      the number in the unit that is shown; empty where none is read
     * @param string    $choice     the answer of what is looked at or listened to; empty where a number is read
     * @param bool|null $misbehaved whether the machine misbehaves meanwhile; null where that is not asked
     */
    public function __construct(
        public string $value,
        public string $choice,
        public bool $overRange,
        public bool $steady,
        public ?bool $misbehaved,
    ) {}
}
