<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * One position of a test that is taken in all of them.
 */
final readonly class SeriesStep
{
    public function __construct(
        public string $test,
        public string $position,
        public ?float $expected,
        public string $expectedText,
        public ?float $read,
        public ?string $text,
    ) {}
}
