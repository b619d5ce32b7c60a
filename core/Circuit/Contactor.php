<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * An alternating-current coil with an armature: it draws several times its sealed current until it seals.
 *
 * Under the drop-out voltage it is silent, between drop-out and pull-in it buzzes unsealed,
 * and from pull-in it seals, which raises its impedance and with it its voltage.
 */
final readonly class Contactor
{
    /**
     * @param float $ohms              of the winding on direct current
     * @param float $unsealedOhms      resistive part of the impedance with the armature apart
     * @param float $unsealedReactance reactive part of it, in Ω at the line frequency
     * @param float $sealedOhms        the same, sealed
     * @param float $sealedReactance   the same, sealed
     */
    public function __construct(
        public float $ohms,
        public float $unsealedOhms,
        public float $unsealedReactance,
        public float $sealedOhms,
        public float $sealedReactance,
        public float $pullInVolts,
        public float $dropOutVolts,
    ) {
        if ($dropOutVolts > $pullInVolts) {
            throw CircuitError::badValue('contactor', 'dropOutVolts', 'no more than pullInVolts');
        }
    }

    /**
     * From impedances in Ω and their power factors.
     */
    public static function of(
        float $ohms,
        float $unsealed,
        float $unsealedFactor,
        float $sealed,
        float $sealedFactor,
        float $pullInVolts,
        float $dropOutVolts,
    ): self {
        $reactive = static fn(float $factor): float => sqrt(1.0 - $factor * $factor);

        return new self(
            $ohms,
            $unsealed * $unsealedFactor,
            $unsealed * $reactive($unsealedFactor),
            $sealed * $sealedFactor,
            $sealed * $reactive($sealedFactor),
            $pullInVolts,
            $dropOutVolts,
        );
    }

    /** @return array<string, float> */
    public function parameters(): array
    {
        return [
            'ohms' => $this->ohms,
            'unsealedOhms' => $this->unsealedOhms,
            'unsealedReactance' => $this->unsealedReactance,
            'sealedOhms' => $this->sealedOhms,
            'sealedReactance' => $this->sealedReactance,
            'pullInVolts' => $this->pullInVolts,
            'dropOutVolts' => $this->dropOutVolts,
        ];
    }
}
