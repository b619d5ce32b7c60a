<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

/**
 * Which of the family's circuits this is, and the node names that differ between them.
 */
final readonly class Variant
{
    public const OPEN = 1e10;

    /**
     * @param int              $top       highest position, which bypasses the pack
     * @param 'selector'|'relay'|'changeover' $high what makes the highest speed
     * @param 'no'|'feed'|'return'     $mode where the mode selector interrupts the blower
     * @param float            $scale     system voltage over 12 V
     * @param list<float>|null $packOhms  resistances from the lowest position up; per position for separate coils
     * @param float|null       $motorAmps rated current on high
     */
    private function __construct(
        public bool $feedSide,
        public int $top,
        public bool $chain,
        public bool $thermalFuse,
        public string $high,
        public bool $electronic,
        public string $mode,
        public bool $packInHead,
        public float $scale,
        public ?array $packOhms,
        public ?float $motorAmps,
        private ?float $lampWatts = null,
    ) {}

    /** @param array<string, mixed> $values */
    public static function of(array $values): self
    {
        $high = $values['high'] ?? 'selector';
        $pack = $values['packOhms'] ?? null;
        $amps = $values['motorAmps'] ?? null;
        $mode = $values['modeContact'] ?? 'no';

        return new self(
            ($values['side'] ?? 'feed') === 'feed',
            is_numeric($values['positions'] ?? null) ? (int) $values['positions'] : 4,
            ($values['pack'] ?? 'chain') === 'chain',
            ($values['thermalFuse'] ?? 'yes') === 'yes',
            $high === 'relay' || $high === 'changeover' ? $high : 'selector',
            ($values['selector'] ?? 'mechanical') === 'electronic',
            $mode === 'feed' || $mode === 'return' ? $mode : 'no',
            ($values['packPlace'] ?? 'duct') === 'head',
            ($values['supply'] ?? '12') === '24' ? 2.0 : 1.0,
            \is_array($pack) ? array_values(array_filter($pack, \is_float(...))) : null,
            \is_float($amps) ? $amps : null,
            \is_float($values['lampWatts'] ?? null) ? $values['lampWatts'] : null,
        );
    }

    public function highRelay(): bool
    {
        return $this->high !== 'selector';
    }

    public function modeContact(): bool
    {
        return $this->mode !== 'no';
    }

    /** @return array{0: string, 1: string} nodes before and after the contact of the mode selector */
    public function modeNodes(): array
    {
        return $this->mode === 'return' ? ['return', 'mode-out'] : ['relay-out', 'fed'];
    }

    /** Ω of the load lamp when it is hot: 48 W at 12 V where nobody says its watts. */
    public function lampOhms(): float
    {
        return (144.0 / ($this->lampWatts ?? 48.0)) * $this->impedance();
    }

    /** Factor on resistances against a 12 V circuit of the same power. */
    public function impedance(): float
    {
        return $this->scale * $this->scale;
    }

    /** Node at the positive terminal of the blower plug, harness side. */
    public function plusNode(): string
    {
        return $this->feedSide ? 'drive' : 'fed';
    }

    /** Node at the negative terminal of the blower plug, harness side. */
    public function minusNode(): string
    {
        return $this->feedSide ? 'return' : 'drive';
    }

    /** Node that the switching side ends in: the feed, or the ground joint. */
    public function selectorNode(): string
    {
        return $this->feedSide ? 'fed' : 'return';
    }

    /** @return list<int> positions that go through the pack */
    public function lowPositions(): array
    {
        return range(1, $this->top - 1);
    }

    public function packPart(): string
    {
        return $this->packInHead ? 'head' : 'pack';
    }

    public function selectorPart(): string
    {
        return $this->packInHead || $this->electronic ? 'head' : 'selector';
    }
}
