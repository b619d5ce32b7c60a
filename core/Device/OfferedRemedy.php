<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A way to cure some suspects, with its money, its time and what speaks for and against it.
 */
final readonly class OfferedRemedy
{
    public const CONVERSION = 'conversion';
    public const TEMPORARY = 'temporary';

    /**
     * @param string       $key        of the option
     * @param string       $kind       component, module, part, assembly, salvage, conversion, revision, temporary
     *     (bridges some days) or appliance (all of it)
     * @param list<string> $parts      keys of the parts that are then new or sound
     * @param list<string> $faults     texts of the only faults it cures; empty for all of its parts
     * @param float        $price      of purchase, with freight and tax
     * @param float        $minutes    of labour
     * @param int|null     $leadDays   until it is here; null for no stock and no date
     * @param float        $lifeYears  expected
     * @param float        $comeBack   chance that it fails within its first year, 0 to 1
     * @param float        $lost       money lost with it if it was the wrong choice: restocking, deposit, freight back
     * @param string       $why        what speaks for it
     * @param string       $whyNot     what speaks against it
     * @param list<string> $changes    of a conversion: what is done, each ticked when it is
     * @param list<string> $proves     names of tests without which it does not close
     * @param string|null  $quotedBy   who gave price and time for this job; null where they are ordinary ones
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $kind,
        public array $parts,
        public array $faults,
        public float $price,
        public float $minutes,
        public ?int $leadDays,
        public int $warrantyMonths,
        public float $lifeYears,
        public float $comeBack,
        public float $lost,
        public string $why,
        public string $whyNot,
        public array $changes = [],
        public array $proves = [],
        public ?string $quotedBy = null,
    ) {}

    /** The same with price and time as they were told for one job. */
    public function quoted(float $price, float $minutes, ?int $leadDays, string $by): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->kind,
            $this->parts,
            $this->faults,
            $price,
            $minutes,
            $leadDays,
            $this->warrantyMonths,
            $this->lifeYears,
            $this->comeBack,
            $this->lost,
            $this->why,
            $this->whyNot,
            $this->changes,
            $this->proves,
            $by,
        );
    }

    /** Whether it only bridges the days until a part comes. */
    public function isTemporary(): bool
    {
        return $this->kind === self::TEMPORARY;
    }

    /** Whether it makes another machine of this one, to be agreed to as such. */
    public function isConversion(): bool
    {
        return $this->kind === self::CONVERSION;
    }
}
