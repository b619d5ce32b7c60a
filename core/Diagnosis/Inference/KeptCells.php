<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * Numbers that follow from a circuit alone, packed, by a key: looked up where they were computed before.
 */
final class KeptCells
{
    /** @var array<string, string>|null null before the first is asked for */
    private ?array $cells = null;

    private bool $grown = false;

    public function __construct(private readonly PredictionStore $store, private readonly string $name) {}

    /** @param \Closure(): string $compute where it is not kept */
    public function of(string $key, \Closure $compute): string
    {
        $this->cells ??= $this->store->load($this->name);
        if (!isset($this->cells[$key])) {
            $this->cells[$key] = $compute();
            $this->grown = true;
        }

        return $this->cells[$key];
    }

    /** Keeps what was computed for the next time. */
    public function keep(): void
    {
        if ($this->grown && $this->cells !== null) {
            $this->store->save($this->name, $this->cells);
            $this->grown = false;
        }
    }
}
