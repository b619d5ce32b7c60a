<?php

declare(strict_types=1);

namespace Ispira\Core\Learning\Shown;

/**
 * A verdict that did not hold, gone through once more.
 */
final readonly class ReplayShown
{
    /**
     * @param string $replacement id of what was replaced in vain
     * @param string $chosen      its label
     * @param string|null $truth  what it was in the end, or what leads now; null where that is not known
     * @param bool   $supposed    whether that is only what leads now
     * @param float|null $stated  chance that the verdict stated; null where a part was replaced without one
     * @param list<ReplayStep> $steps in the order taken
     * @param int|null $misled    number of the step that spoke most for the wrong one; null where none did
     * @param string $because     what went wrong, in one sentence
     * @param list<ToldShown> $told tests that were not done and tell the two apart, the best first
     * @param string $lesson      what to note next time, as it is proposed
     */
    public function __construct(
        public string $replacement,
        public string $chosen,
        public ?string $truth,
        public bool $supposed,
        public ?float $stated,
        public array $steps,
        public ?int $misled,
        public string $because,
        public array $told,
        public string $lesson,
    ) {}
}
