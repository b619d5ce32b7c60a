<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A value of this machine that readings teach.
 */
final readonly class LearnedShown
{
    /**
     * @param string|null $after null while nothing has taught it
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $before,
        public ?string $after,
    ) {}
}
