<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How much more often than as shipped each thing is at fault, as the jobs of a workshop say it.
 */
final readonly class Odds implements \JsonSerializable
{
    /**
     * @param array<string, float> $ofRemedies factor by remedy
     * @param array<string, array<string, float>> $ofFaults factor by fault, within a remedy
     */
    public function __construct(private array $ofRemedies = [], private array $ofFaults = []) {}

    public static function shipped(): self
    {
        return new self();
    }

    public function isShipped(): bool
    {
        return $this->ofRemedies === [] && $this->ofFaults === [];
    }

    /**
     * By what the shipped chance of an explanation is multiplied; what no job speaks of keeps its own.
     *
     * @param string $fault without the mark of what comes and goes
     */
    public function factor(string $remedy, string $fault): float
    {
        return ($this->ofRemedies[$remedy] ?? 1.0) * ($this->ofFaults[$remedy][$fault] ?? 1.0);
    }

    /** @return array{remedies: object, faults: object} as {@see read} takes it */
    public function jsonSerialize(): array
    {
        return [
            'remedies' => (object) $this->ofRemedies,
            'faults' => (object) array_map(static fn(array $factors): object => (object) $factors, $this->ofFaults),
        ];
    }

    /** From what was written; what is no positive number is left out. */
    public static function read(mixed $data): self
    {
        $given = static fn(string $key): array => \is_array($data) && \is_array($data[$key] ?? null) ? $data[$key] : [];
        $within = [];
        foreach ($given('faults') as $remedy => $factors) {
            $within[(string) $remedy] = self::factors($factors);
        }

        return new self(self::factors($given('remedies')), $within);
    }

    /** @return array<string, float> */
    private static function factors(mixed $given): array
    {
        $factors = [];
        foreach (\is_array($given) ? $given : [] as $key => $factor) {
            if ((\is_float($factor) || \is_int($factor)) && $factor > 0.0) {
                $factors[(string) $key] = (float) $factor;
            }
        }

        return $factors;
    }
}
