<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * One two-terminal element between two named nodes.
 *
 * Positive current flows through the element from `from` to `to`; for a source
 * `from` is the plus terminal, so a source that delivers has a negative current.
 */
final readonly class Element
{
    /** Resistance in ohms at and above which a branch counts as open. */
    public const OPEN_OHMS = 1e10;

    /**
     * @param array<string, float> $parameters values by name, in SI units
     * @param string|null          $coil       for a relay contact: the id of the coil that moves it
     * @param float                $restOhms   relay contact resistance while its coil is not energised
     * @param float                $workOhms   relay contact resistance while its coil is energised
     */
    private function __construct(
        public string $id,
        public ElementType $type,
        public string $from,
        public string $to,
        public array $parameters,
        public ?string $coil = null,
        public float $restOhms = self::OPEN_OHMS,
        public float $workOhms = 0.0,
    ) {
        if ($id === '' || $from === '' || $to === '') {
            throw CircuitError::malformed('Every element needs an id and two node names that are not empty.');
        }
        foreach ($parameters as $name => $value) {
            if (!is_finite($value)) {
                throw CircuitError::badValue($id, $name, 'a finite number');
            }
            if ($value < 0.0 && $name !== 'volts') {
                throw CircuitError::badValue($id, $name, 'zero or more');
            }
        }
    }

    /** @param float $ohms resistance, 0 or more */
    public static function resistor(string $id, string $from, string $to, float $ohms): self
    {
        return new self($id, ElementType::Resistor, $from, $to, ['ohms' => $ohms]);
    }

    /**
     * @param float $volts electromotive force, plus at `$plus`
     * @param float $ohms  internal resistance, 0 for an ideal source
     */
    public static function source(string $id, string $plus, string $minus, float $volts, float $ohms = 0.0): self
    {
        return new self($id, ElementType::Source, $plus, $minus, ['volts' => $volts, 'ohms' => $ohms]);
    }

    /** @param float $closedOhms resistance of the contact when it is closed */
    public static function switch(string $id, string $from, string $to, bool $closed, float $closedOhms = 0.0): self
    {
        return new self($id, ElementType::Switch, $from, $to, ['ohms' => $closed ? $closedOhms : self::OPEN_OHMS]);
    }

    /** A relay contact that closes when the coil named `$coil` pulls in. */
    public static function workContact(string $id, string $from, string $to, string $coil, float $closedOhms): self
    {
        return new self($id, ElementType::Switch, $from, $to, ['ohms' => self::OPEN_OHMS], $coil, self::OPEN_OHMS, $closedOhms);
    }

    /** A relay contact that opens when the coil named `$coil` pulls in. */
    public static function restContact(string $id, string $from, string $to, string $coil, float $closedOhms): self
    {
        return new self($id, ElementType::Switch, $from, $to, ['ohms' => $closedOhms], $coil, $closedOhms, self::OPEN_OHMS);
    }

    /**
     * @param float $pullInVolts  voltage at which the resting relay moves
     * @param float $dropOutVolts voltage under which the working relay falls back, not above `$pullInVolts`
     */
    public static function coil(string $id, string $from, string $to, float $ohms, float $pullInVolts, float $dropOutVolts): self
    {
        if ($dropOutVolts > $pullInVolts) {
            throw CircuitError::badValue($id, 'dropOutVolts', 'no more than pullInVolts');
        }

        return new self($id, ElementType::Coil, $from, $to, ['ohms' => $ohms, 'pullInVolts' => $pullInVolts, 'dropOutVolts' => $dropOutVolts]);
    }

    public static function motor(string $id, string $plus, string $minus, BrushedMotor $motor): self
    {
        return new self($id, ElementType::Motor, $plus, $minus, $motor->parameters());
    }
}
