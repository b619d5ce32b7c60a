<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A diagnosis as it leaves the core (see docs/formats/diagnosis.schema.json).
 */
final readonly class DiagnosisShown
{
    /**
     * @param list<SuspectShown> $suspects likeliest first
     * @param CardShown|null $card of the proposed test, or of the one that was chosen instead
     * @param list<TestChoiceShown> $tests best first
     * @param list<BeyondShown> $beyond tests that need a tool which is not at hand
     * @param list<MisfitShown>|null $misfit readings that no suspect explains; null when they all fit
     * @param list<TrapShown> $traps
     * @param float $guessing money that buying on the odds as they stand would waste on average
     * @param int $left tests that are about left, the next among them
     * @param list<LearnedShown> $learned
     */
    public function __construct(
        public array $suspects,
        public ?TestChoiceShown $next,
        public ?CardShown $card,
        public array $tests,
        public array $beyond,
        public ?VerdictShown $verdict,
        public ?array $misfit,
        public array $traps,
        public float $guessing,
        public int $left,
        public array $learned,
        public ?ElsewhereShown $elsewhere,
    ) {}
}
