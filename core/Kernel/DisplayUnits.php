<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * In which units and with which numbers a person reads: a system, exceptions by quantity, and a decimal sign.
 */
final readonly class DisplayUnits
{
    public const METRIC = 'metric';
    public const US = 'us';

    /** Units of the systems that are not the base unit, by base unit. */
    private const SYSTEMS = [
        self::METRIC => [],
        self::US => ['Pa' => 'in w.c.', 'kPa' => 'inHg', 'K' => '°F'],
    ];

    /** @param array<string, string> $chosen symbols by base unit, against the system */
    public function __construct(
        public string $system = self::METRIC,
        private array $chosen = [],
        public NumberLanguage $numbers = NumberLanguage::Point,
    ) {}

    public function unit(string $base): Unit
    {
        $symbol = $this->chosen[$base] ?? (self::SYSTEMS[$this->system][$base] ?? $base);
        foreach (Unit::for($base) as $unit) {
            if ($unit->symbol === $symbol) {
                return $unit;
            }
        }

        return Unit::for($base)[0];
    }

    /** @return list<string> symbols of the units from which a field can be given one, where there is a choice */
    public static function choices(string $base): array
    {
        return \in_array($base, ['Pa', 'kPa', 'K'], true)
            ? array_map(static fn(Unit $unit): string => $unit->symbol, Unit::for($base))
            : [];
    }

    /** The same with one quantity in a unit of its own. @throws \OutOfBoundsException */
    public function with(string $base, string $symbol): self
    {
        return new self($this->system, [$base => Unit::of($base, $symbol)->symbol] + $this->chosen, $this->numbers);
    }

    /** @return array<string, string> */
    public function exceptions(): array
    {
        return $this->chosen;
    }
}
