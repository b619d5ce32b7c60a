<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Job\Shown\VerdictThen;

/**
 * A part that was replaced, with the verdict that led to it.
 */
final readonly class Replaced
{
    /**
     * @param string                    $remedy         parts joined by "+"
     * @param string|null               $temporaryUntil day on which a temporary repair is due
     * @param string|null               $at             moment as ISO 8601
     * @param array<array-key, mixed>|null $verdict     as it stood when the part was chosen; null where none was asked
     * @param string|null               $by             name of the person who replaced it, where it is known
     */
    public function __construct(
        public string $id,
        public string $remedy,
        public ?string $partNumber,
        public ?string $note,
        public ?string $temporaryUntil,
        public ?string $at,
        public ?array $verdict,
        public ?string $by = null,
    ) {}

    /** What the diagnosis said when it was chosen. */
    public function then(): ?VerdictThen
    {
        if ($this->verdict === null) {
            return null;
        }
        $verdict = \is_array($this->verdict['verdict'] ?? null) ? $this->verdict['verdict'] : [];
        $suspects = \is_array($this->verdict['suspects'] ?? null) ? $this->verdict['suspects'] : [];
        $reasons = \is_array($suspects[0] ?? null) ? $suspects[0]['reasons'] ?? [] : [];
        $number = static fn(mixed $value): ?float => \is_float($value) || \is_int($value) ? (float) $value : null;

        return new VerdictThen(
            label: \is_string($verdict['label'] ?? null) ? $verdict['label'] : null,
            probability: $number($verdict['probability'] ?? null),
            guessing: $number($this->verdict['guessing'] ?? null) ?? 0.0,
            reasons: array_values(
                array_filter(array_column(\is_array($reasons) ? $reasons : [], 'sentence'), \is_string(...)),
            ),
        );
    }

    /** How sure the verdict was of what was replaced; null where it named something else, or nothing. */
    public function stated(): ?float
    {
        $verdict = $this->verdict['verdict'] ?? null;

        return \is_array($verdict) && ($verdict['remedy'] ?? null) === $this->remedy
            ? $this->then()?->probability
            : null;
    }

    /** Whether its part was named because nothing else was left. */
    public function wasByElimination(): bool
    {
        $verdict = $this->verdict['verdict'] ?? null;

        return \is_array($verdict) && ($verdict['byElimination'] ?? false) === true;
    }
}
