<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

/**
 * Which of the family's circuits this is.
 */
final readonly class Layout
{
    public const WORDS = ['a' => 'main fan', 'b' => 'second fan'];

    /**
     * @param 'resistor'|'two-input'|'pair'|'master' $arrangement
     * @param bool         $relays    whether relays make the speeds; else a thermal switch carries the current itself
     * @param float|null   $motorAmps rated current of one fan on high
     */
    private function __construct(public string $arrangement, public bool $relays, public ?float $motorAmps) {}

    /** @param array<string, mixed> $values */
    public static function of(array $values): self
    {
        $arrangement = $values['arrangement'] ?? 'resistor';
        $arrangement = \in_array($arrangement, ['two-input', 'pair', 'master'], true) ? $arrangement : 'resistor';
        $amps = $values['motorAmps'] ?? null;

        return new self(
            $arrangement,
            $arrangement === 'pair' || ($values['control'] ?? 'switch') === 'relays',
            \is_float($amps) ? $amps : null,
        );
    }

    /** @return list<string> */
    public function fans(): array
    {
        return $this->arrangement === 'pair' || $this->arrangement === 'master' ? ['a', 'b'] : ['a'];
    }

    public function pair(): bool
    {
        return $this->arrangement === 'pair';
    }

    public function dropsInResistor(): bool
    {
        return $this->arrangement === 'resistor' || $this->arrangement === 'master';
    }

    /** Key of the cell of a fan under a request. */
    public function cell(string $request, string $fan): string
    {
        return \count($this->fans()) === 1 ? $request : "$request-$fan";
    }

    public function label(string $request, string $fan): string
    {
        $words = ['off' => 'key off', 'low' => 'low', 'high' => 'high'];

        return $words[$request] . (\count($this->fans()) === 1 ? '' : ', ' . self::WORDS[$fan]);
    }

    /**
     * Relays with what they do: letter of the request from which on they pull.
     *
     * @return array<string, 'low'|'high'>
     */
    public function relaysByRequest(): array
    {
        return match (true) {
            !$this->relays => [],
            $this->pair() => ['k1' => 'low', 'k2' => 'high', 'k3' => 'high'],
            default => ['k-low' => 'low', 'k-high' => 'high'],
        };
    }
}
