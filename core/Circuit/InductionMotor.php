<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A single-phase induction motor with a fan on its shaft, in quantities relative to its rated point.
 *
 * All sections of its main winding share one flux, so each carries a voltage in proportion to its
 * turns whether it is fed or not. With the rotor's branch referred to one turn of the first section
 * (steady-state equivalent circuit of an induction machine, its rotor branch R/s + jX with the
 * pull-out slip R/X), torque follows from slip by Kloss's formula:
 * T = f · M · r² · 2 / (s/sp + sp/s), with the flux r over the rated flux and M the pull-out
 * torque. Against it stand friction and a fan that takes (n/n rated)². An auxiliary winding makes the field
 * turn: f falls to a little over a half without it, and without it nothing starts.
 */
final readonly class InductionMotor
{
    /** Slips over that of pull-out up to which the torque is concave, and steps of Newton's rule that are enough. */
    private const CONCAVE_TO = 1.7320508075688772;
    private const MOST_STEPS = 12;

    /** Torque that is left of a motor whose auxiliary winding is dead, once it turns. */
    private const WITHOUT_AUXILIARY = 0.55;

    /** Share of the auxiliary current above which more of it adds nothing. */
    private const MOST_AUXILIARY = 1.3;

    /** Speed over rated under which the search for a running point ends. */
    private const STANDS_BELOW = 0.02;

    /**
     * @param float $ohms               of the first section of the main winding
     * @param float $reactance          leakage of it, in Ω at the line frequency
     * @param float $magnetising        reactance of the magnetising branch, in Ω
     * @param float $rotorReactance     of the rotor branch, in Ω
     * @param float $ratedEmf           V across the first section's flux at the rated point
     * @param float $auxiliarySiemens   auxiliary current in quadrature with that voltage over it, when nothing is
     *     wrong; 0 for a motor that needs none (shaded poles)
     * @param float $startTorque        relative to rated, at standstill with full flux
     * @param float $frictionTorque     relative to rated
     * @param float $fanTorque          relative to rated, at rated speed
     * @param float $air                air moved at rated speed, over what is right
     * @param float $synchronousSpeed   rad/s
     * @param float $ratedSpeed         rad/s
     * @param float $pullOutSlip        slip at which torque is greatest
     * @param float $pullOutTorque      relative to rated
     * @param float $tripAmps           in any of its windings, at which its thermal protector opens after a while
     * @param float $pushed             1 while a hand starts it
     */
    public function __construct(
        public float $ohms,
        public float $reactance,
        public float $magnetising,
        public float $rotorReactance,
        public float $ratedEmf,
        public float $auxiliarySiemens,
        public float $startTorque = 0.45,
        public float $frictionTorque = 0.03,
        public float $fanTorque = 0.97,
        public float $air = 1.0,
        public float $synchronousSpeed = 125.664,
        public float $ratedSpeed = 112.574,
        public float $pullOutSlip = 0.28,
        public float $pullOutTorque = 1.5,
        public float $tripAmps = 1e6,
        public float $pushed = 0.0,
    ) {}

    /** @return array<string, float> */
    public function parameters(): array
    {
        /** @var array<string, float> $own */
        $own = get_object_vars($this);

        return $own;
    }

    /**
     * @param list<float>        $values
     * @param array<string, int> $slots  places of its parameters among them, by their names
     */
    public static function from(array $values, array $slots): self
    {
        return new self(
            $values[$slots['ohms']],
            $values[$slots['reactance']],
            $values[$slots['magnetising']],
            $values[$slots['rotorReactance']],
            $values[$slots['ratedEmf']],
            $values[$slots['auxiliarySiemens']],
            $values[$slots['startTorque']],
            $values[$slots['frictionTorque']],
            $values[$slots['fanTorque']],
            $values[$slots['air']],
            $values[$slots['synchronousSpeed']],
            $values[$slots['ratedSpeed']],
            $values[$slots['pullOutSlip']],
            $values[$slots['pullOutTorque']],
            $values[$slots['tripAmps']],
            $values[$slots['pushed']],
        );
    }

    /**
     * Admittance of magnetising and rotor branch at a slip, referred to the first section.
     *
     * @return array{0: float, 1: float} conductance and susceptance in S
     */
    public function admittance(float $slip): array
    {
        $resistive = ($this->rotorReactance * $this->pullOutSlip) / max($slip, 1e-6);
        $size = $resistive * $resistive + $this->rotorReactance * $this->rotorReactance;

        return [$resistive / $size, -$this->rotorReactance / $size - 1.0 / $this->magnetising];
    }

    /**
     * Torque at rest over the friction that holds it: it starts above 1.
     *
     * @param float $flux      over rated
     * @param float $auxiliary share of the right auxiliary current in quadrature
     */
    public function push(float $flux, float $auxiliary): float
    {
        return ($this->startTorque * max($this->pushed, min($auxiliary, self::MOST_AUXILIARY)) * $flux * $flux) /
            $this->frictionTorque;
    }

    /**
     * Speed at which it settles once it turns.
     *
     * @param float $flux      over rated
     * @param float $auxiliary share of the right auxiliary current in quadrature
     *
     * @return float rad/s, 0 when nothing holds it up
     */
    public function speed(float $flux, float $auxiliary): float
    {
        $help =
            self::WITHOUT_AUXILIARY + (1.0 - self::WITHOUT_AUXILIARY) * max(0.0, min($auxiliary, self::MOST_AUXILIARY));
        $drive = 2.0 * $help * $this->pullOutTorque * $flux * $flux;
        $share = $this->besideSynchronous($drive);
        if ($share !== null) {
            return $share > self::STANDS_BELOW ? $share * $this->synchronousSpeed : 0.0;
        }
        $upper = 1.0;
        $lower = $upper - 0.02;
        while ($lower > self::STANDS_BELOW && $this->surplus($lower, $drive) < 0.0) {
            $upper = $lower;
            $lower -= 0.02;
        }
        if ($lower <= self::STANDS_BELOW) {
            return 0.0;
        }
        // Between two points the surplus is nearly straight: the rule of false position, with the stale end halved
        // (Illinois).
        [$above, $below] = [$this->surplus($lower, $drive), $this->surplus($upper, $drive)];
        for ($step = 0; $step < 12 && $upper - $lower > 1e-7; ++$step) {
            $middle = ($lower * $below - $upper * $above) / ($below - $above);
            $here = $this->surplus($middle, $drive);
            if (abs($here) < 1e-9) {
                return $middle * $this->synchronousSpeed;
            }
            if ($here < 0.0) {
                [$upper, $below, $above] = [$middle, $here, 0.5 * $above];
            } else {
                [$lower, $above, $below] = [$middle, $here, 0.5 * $below];
            }
        }

        return $lower * $this->synchronousSpeed;
    }

    /**
     * Where the surplus first vanishes below the synchronous speed, by Newton's rule.
     *
     * Up to a slip of √3 times the one of pull-out the torque is concave in the slip, and with it the surplus in the
     * speed: its tangent lies above it, so that from a speed that is too high no step passes over the zero.
     *
     * @return float|null over the synchronous speed; null where it lies beyond, or nowhere
     */
    private function besideSynchronous(float $drive): ?float
    {
        $concave = 1.0 - self::CONCAVE_TO * $this->pullOutSlip;
        $scale = ($this->synchronousSpeed / $this->ratedSpeed) ** 2;
        $share = 1.0;
        for ($step = 0; $step < self::MOST_STEPS && $share > $concave; ++$step) {
            $slip = 1.0 - $share;
            $parts = $slip * $slip + $this->pullOutSlip * $this->pullOutSlip;
            $surplus =
                ($drive * $slip * $this->pullOutSlip) / $parts -
                $this->frictionTorque -
                $this->fanTorque * $scale * $share * $share;
            $rise =
                (-$drive * $this->pullOutSlip * ($this->pullOutSlip * $this->pullOutSlip - $slip * $slip)) /
                    ($parts * $parts) -
                2.0 * $this->fanTorque * $scale * $share;
            if ($surplus >= -1e-9) {
                return $share;
            }
            if ($rise >= 0.0) {
                return null;
            }
            $share -= $surplus / $rise;
        }

        return null;
    }

    /**
     * Torque above what friction and fan take, relative to rated.
     *
     * @param float $share speed over the synchronous one
     * @param float $drive twice its pull-out torque with the flux and the auxiliary current it has
     */
    private function surplus(float $share, float $drive): float
    {
        $slip = 1.0 - $share;
        $torque = $slip <= 0.0 ? 0.0 : $drive / ($slip / $this->pullOutSlip + $this->pullOutSlip / $slip);
        $speed = ($share * $this->synchronousSpeed) / $this->ratedSpeed;

        return $torque - $this->frictionTorque - $this->fanTorque * $speed * $speed;
    }
}
