<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * Keeps nothing.
 */
final class NoStore implements PredictionStore
{
    public function load(string $hash): array
    {
        return [];
    }

    public function save(string $hash, array $cells): void {}
}
