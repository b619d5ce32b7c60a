<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the speeds at which motors on one network settle.
 *
 * With EMFs e the currents are i = i0 − G·e, G symmetric and positive definite. The torque
 * balance of all motors is then the minimum of the convex function
 * ½·eᵀGe − i0ᵀe + Σ(Tf·|ω| + b·ω²/2 + c·|ω|³/3) with e = k·ω, so going from motor to motor
 * and settling each in closed form converges to the only solution.
 */
final readonly class MotorSettlement
{
    private const MOST_ROUNDS = 2000;

    /** Change of an EMF in V under which a round counts as the last. */
    private const SETTLED = 1e-12;

    /**
     * @param array<int, array{emfConstant: float, frictionTorque: float, fanConstant: float, brakingConstant: float}> $motors
     * @param array<int, float> $stalled current of each with all of them at rest, in A
     */
    public function __construct(private array $motors, private array $stalled)
    {
    }

    /** Whether no motor has the torque to break away. */
    public function allStand(): bool
    {
        foreach ($this->motors as $motor => $parameters) {
            if ($parameters['frictionTorque'] < $parameters['emfConstant'] * abs($this->stalled[$motor])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<int, array<int, float>> $coupling fall of each current for a volt of each EMF, in S
     *
     * @return array<int, float> rad/s
     */
    public function speeds(array $coupling): array
    {
        $emf = array_fill_keys(array_keys($this->motors), 0.0);
        $speeds = $emf;
        for ($round = 0; $round < self::MOST_ROUNDS; ++$round) {
            $largest = 0.0;
            foreach ($this->motors as $motor => $parameters) {
                $current = $this->stalled[$motor];
                foreach ($emf as $other => $volts) {
                    $current -= $other === $motor ? 0.0 : $coupling[$motor][$other] * $volts;
                }
                $speeds[$motor] = BrushedMotor::settledSpeed($current, $coupling[$motor][$motor], ...$parameters);
                $volts = $parameters['emfConstant'] * $speeds[$motor];
                $largest = max($largest, abs($volts - $emf[$motor]));
                $emf[$motor] = $volts;
            }
            if (\count($this->motors) === 1 || $largest < self::SETTLED) {
                break;
            }
        }

        return $speeds;
    }
}
