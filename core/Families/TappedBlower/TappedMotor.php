<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Circuit\InductionMotor;
use Ispira\Core\Device\ParameterList;

/**
 * The motor's ordinary figures: taps by their turns, its windings and its run capacitor.
 */
final readonly class TappedMotor
{
    /** Turns of a tap over those of the fastest; the taps of a three-tap motor are the outer and middle ones. */
    private const TURNS = ['3' => [1.0, 1.12, 1.3], '4' => [1.0, 1.1, 1.2, 1.35], '5' => [1.0, 1.08, 1.18, 1.28, 1.42]];

    public const NAMES = [
        '3' => ['high', 'medium', 'low'],
        '4' => ['high', 'medium-high', 'medium-low', 'low'],
        '5' => ['high', 'medium-high', 'medium', 'medium-low', 'low'],
    ];

    /** Ordinary motor on 230 V: rated current, resistances in Ω, reactances over the main winding's rated impedance. */
    private const AMPS_AT_230 = 3.1;
    private const MAIN_OHMS = 0.055;
    private const MAIN_REACTANCE = 0.07;
    private const MAGNETISING = 1.5;
    private const ROTOR_REACTANCE = 0.35;
    private const AUXILIARY_OHMS = 0.28;
    private const AUXILIARY_REACTANCE = 0.2;
    public const AUXILIARY_TURNS = 1.25;

    /** Reactance of an ordinary run capacitor over the main winding's rated impedance. */
    private const CAPACITOR_REACTANCE = 4.6;

    /** Torque of this motor's taps falls with the square of flux; pull-out over rated. */
    private const TRIPS_AT = 2.3;

    private function __construct(
        public string $taps,
        public float $line,
        public float $hertz,
        private ?float $ratedCapacitor,
        private ?float $ratedAmps,
    ) {}

    /** @param array<string, mixed> $values */
    public static function of(array $values): self
    {
        $taps = $values['taps'] ?? '4';
        $number = static fn(string $key): ?float => ParameterList::numberIn($values, $key);

        return new self(
            \is_string($taps) && isset(self::TURNS[$taps]) ? $taps : '4',
            ($values['line'] ?? '230') === '120' ? 120.0 : 230.0,
            ($values['hertz'] ?? '50') === '60' ? 60.0 : 50.0,
            $number('capacitor'),
            $number('ratedAmps'),
        );
    }

    /** @return list<string> from the fastest to the slowest */
    public function names(): array
    {
        return self::NAMES[$this->taps];
    }

    /** Turns up to a tap over those up to the fastest. */
    public function turns(int $tap): float
    {
        return self::TURNS[$this->taps][$tap];
    }

    public function capacitorKnown(): bool
    {
        return $this->ratedCapacitor !== null;
    }

    public function ampsKnown(): bool
    {
        return $this->ratedAmps !== null;
    }

    public function microfarads(): float
    {
        return $this->ratedCapacitor ??
            round(1e6 / (2.0 * \M_PI * $this->hertz * self::CAPACITOR_REACTANCE * $this->impedance()), 1);
    }

    public function mainOhms(): float
    {
        return self::MAIN_OHMS * $this->impedance();
    }

    public function mainReactance(): float
    {
        return self::MAIN_REACTANCE * $this->impedance();
    }

    public function auxiliaryOhms(): float
    {
        return self::AUXILIARY_OHMS * $this->impedance();
    }

    public function auxiliaryReactance(): float
    {
        return self::AUXILIARY_REACTANCE * $this->impedance();
    }

    /** A six-pole motor: 1200 a minute at 60 Hz without load. */
    public function synchronousSpeed(): float
    {
        return (2.0 * \M_PI * $this->hertz) / 3.0;
    }

    public function ratedSpeed(): float
    {
        return ($this->synchronousSpeed() * 1075.0) / 1200.0;
    }

    public function motor(): InductionMotor
    {
        $emf = 0.93 * $this->line;

        return new InductionMotor(
            ohms: $this->mainOhms(),
            reactance: $this->mainReactance(),
            magnetising: self::MAGNETISING * $this->impedance(),
            rotorReactance: self::ROTOR_REACTANCE * $this->impedance(),
            ratedEmf: $emf,
            auxiliarySiemens: $this->auxiliarySiemens($this->microfarads(), 1.0),
            synchronousSpeed: $this->synchronousSpeed(),
            ratedSpeed: $this->ratedSpeed(),
            tripAmps: self::TRIPS_AT * $this->amps(),
        );
    }

    /**
     * Auxiliary current over the voltage on the flux, with its rated capacitor.
     *
     * @param float $size impedance of the windings over the ordinary motor's
     */
    public function auxiliarySiemens(float $microfarads, float $size): float
    {
        $reactance = 1e6 / (2.0 * \M_PI * $this->hertz * $microfarads) - $this->auxiliaryReactance() * $size;

        return $this->line / (0.93 * $this->line) / max(1.0, $reactance);
    }

    private function amps(): float
    {
        return $this->ratedAmps ?? (self::AMPS_AT_230 * 230.0) / $this->line;
    }

    private function impedance(): float
    {
        return $this->line / $this->amps();
    }
}
