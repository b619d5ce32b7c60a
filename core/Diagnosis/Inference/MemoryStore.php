<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * Keeps predictions as long as the process runs.
 */
final class MemoryStore implements PredictionStore
{
    /** @var array<string, array<string, string>> */
    private array $kept = [];

    public function load(string $hash): array
    {
        return $this->kept[$hash] ?? [];
    }

    public function save(string $hash, array $cells): void
    {
        $this->kept[$hash] = $cells;
    }
}
