<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * A heat exchanger, its air, its burner and its limit, lumped.
 *
 * Metal: Cm·dTm/dt = P − UA·(Tm − Tair). Limit: τ·dTs/dt = Tref − Ts, where Tref is the supply air's temperature while
 * the fan runs (Tair + heat given off ÷ (ρ·cp·Q)) and Tair + α·(Tm − Tair) while it stands.
 */
final readonly class Furnace
{
    /** ρ·cp of air in J/m³K. */
    private const AIR = 1206.0;

    /** UA grows with airflow to this power. */
    private const FLOW_POWER = 0.7;

    /**
     * @param float $metal       Cm in J/K
     * @param float $moving      UA in W/K with the fan at the reference airflow
     * @param float $still       UA in W/K with the fan standing
     * @param float $soak        α: share of the metal's excess that reaches the limit in still air
     * @param float $flow        m³/s
     * @param float $referenceFlow m³/s at which `$moving` holds
     * @param float $airTemperature of the return, in °C
     * @param float $burner      output in W
     * @param float $opens       limit opens at, in °C
     * @param float $closes      and closes again at
     * @param float $lagMoving   τ in s with the fan on
     * @param float $lagStill    τ in s with the fan standing
     */
    public function __construct(
        public float $metal = 15e3,
        public float $moving = 150.0,
        public float $still = 12.0,
        public float $soak = 0.7,
        public float $flow = 0.6,
        public float $referenceFlow = 0.6,
        public float $airTemperature = 20.0,
        public float $burner = 20e3,
        public float $opens = 93.0,
        public float $closes = 70.0,
        public float $lagMoving = 15.0,
        public float $lagStill = 25.0,
    ) {}

    /** Conductance from metal to air, in W/K. */
    public function conductance(bool $fan): float
    {
        return $fan ? $this->moving * ($this->flow / $this->referenceFlow) ** self::FLOW_POWER : $this->still;
    }

    /** Rise of the air in K once the metal no longer warms. */
    public function steadyRise(): float
    {
        return $this->burner / (self::AIR * $this->flow);
    }

    /** Temperature that the limit is drawn to, in °C. */
    public function felt(float $metal, bool $fan): float
    {
        $excess = $metal - $this->airTemperature;

        return $this->airTemperature +
            ($fan ? ($this->conductance(true) * $excess) / (self::AIR * $this->flow) : $this->soak * $excess);
    }

    /**
     * With the uncertain values scaled.
     *
     * @param float $metal  factor of Cm
     * @param float $moving factor of UA
     * @param float $soak   added to α
     * @param float $flow   factor of the airflow
     */
    public function scaled(float $metal, float $moving, float $soak, float $flow): self
    {
        return new self(
            $this->metal * $metal,
            $this->moving * $moving,
            $this->still,
            min(1.0, max(0.0, $this->soak + $soak)),
            $this->flow * $flow,
            $this->referenceFlow,
            $this->airTemperature,
            $this->burner,
            $this->opens,
            $this->closes,
            $this->lagMoving,
            $this->lagStill,
        );
    }
}
