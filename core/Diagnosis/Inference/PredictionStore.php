<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * Keeps what was predicted for a circuit from one request to the next.
 */
interface PredictionStore
{
    /** @return array<string, string> packed predictions by cell, empty when nothing is kept */
    public function load(string $hash): array;

    /** @param array<string, string> $cells */
    public function save(string $hash, array $cells): void;
}
