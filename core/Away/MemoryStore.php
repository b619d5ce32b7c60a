<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Diagnosis\Inference\PredictionStore;

/**
 * Keeps predictions as long as the device runs.
 */
final class MemoryStore implements PredictionStore
{
    /** @var array<string, array<string, string>> */
    private array $cells = [];

    public function load(string $hash): array
    {
        return $this->cells[$hash] ?? [];
    }

    public function save(string $hash, array $cells): void
    {
        $this->cells[$hash] = $cells;
    }
}
