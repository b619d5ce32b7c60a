<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A procedure as a person writes it: one line a caution, times as "4:30" or "5 min".
 */
final readonly class TypedProcedure
{
    /**
     * @param list<string>    $families
     * @param list<TypedStep> $steps
     */
    public function __construct(
        public string $title,
        public string $summary,
        public array $families,
        public string $cautions,
        public array $steps,
        public string $abort,
    ) {}

    public static function of(Procedure $procedure): self
    {
        return new self(
            $procedure->title,
            $procedure->summary,
            $procedure->families,
            implode("\n", $procedure->cautions),
            array_map(TypedStep::of(...), $procedure->steps),
            implode("\n", $procedure->abort),
        );
    }

    /** One to begin with: what every procedure says first, and one empty step. */
    public static function begun(): self
    {
        return new self(
            '',
            '',
            [],
            "Local code, the maker's sheet and licensed practice come first; where they say otherwise, follow them.",
            [new TypedStep('', '', '', '', '', false, '', '', '')],
            '',
        );
    }
}
