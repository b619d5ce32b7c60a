<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

/**
 * One thing that was done away from the server, as it will be sent to it.
 */
final readonly class Done
{
    /**
     * @param string                  $act   what of the job, as in its address: "readings", "readings/ID/strike", "proof"
     * @param array<array-key, mixed> $given fields as they were typed
     * @param string                  $at    moment as ISO 8601, by the device's clock
     */
    public function __construct(public string $act, public array $given, public string $at) {}

    public function text(string $field): string
    {
        $value = $this->given[$field] ?? '';

        return \is_string($value) ? $value : '';
    }

    public function flag(string $field): bool
    {
        return filter_var($this->given[$field] ?? false, \FILTER_VALIDATE_BOOLEAN);
    }

    public function number(string $field): float
    {
        $value = $this->given[$field] ?? 0.0;

        return \is_numeric($value) ? (float) $value : 0.0;
    }

    /** Made where what is sent needs an id, in the form in which entries keep it. */
    public function id(): string
    {
        return strtolower($this->text('id'));
    }
}
