<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Test;

/**
 * Whether a complaint that comes and goes could be seen or heard while a reading was taken.
 *
 * A good reading clears little of a fault that was away at that moment, and much while the
 * machine misbehaved. So what the machine did meanwhile belongs to the reading.
 */
final class Misbehaviour
{
    /** Chance that what the machine did is noted as it was. */
    public const NOTED_RIGHT = 0.97;

    /** Difference of the heard speed, as a ratio, from which it is noticed. */
    private const NOTICED_FROM = 0.15;

    private const MOVES_FROM = 0.5;

    /** @var array<string, Test|null> by set-up: what moves there, when it should */
    private array $moving = [];

    /** @var array<string, bool> by hypothesis and set-up */
    private array $noticed = [];

    public function __construct(private readonly Predictions $predictions, private readonly Hypothesis $sound) {}

    /** Whether anybody can note it with a test: something should move, and the test is not itself about that. */
    public function canBeNoted(Test $test): bool
    {
        return $test->probe->quantity->isNumber() && $this->moving($test->setUp) !== null;
    }

    /** Whether a fault is noticed in a set-up while it is present. */
    public function isNoticed(Hypothesis $hypothesis, string $setUp): bool
    {
        $moving = $this->moving($setUp);

        return $moving !== null &&
            ($this->noticed["$hypothesis->key|$setUp"] ??= self::differs(
                $this->predictions->of($hypothesis, $moving)[0],
                $this->predictions->of($this->sound, $moving)[0],
            ));
    }

    /** Whether something moves that is heard at a ratio of the right speed. */
    public static function moves(float $heard): bool
    {
        return abs($heard) > self::MOVES_FROM;
    }

    public static function differs(float $heard, float $right): bool
    {
        return is_nan($heard) || abs($heard - $right) > self::NOTICED_FROM;
    }

    /** Likelihood of what was noted, with a fault that is noticed or not. */
    public static function likelihood(bool $misbehaved, bool $noticed): float
    {
        return $misbehaved === $noticed ? self::NOTED_RIGHT : 1.0 - self::NOTED_RIGHT;
    }

    /** The test that listens to what moves in a set-up; null where nothing should. */
    public function moving(string $setUpKey): ?Test
    {
        if (!\array_key_exists($setUpKey, $this->moving)) {
            $circuit = $this->predictions->circuit;
            $test = $circuit->movingTest($setUpKey);
            $this->moving[$setUpKey] =
                $circuit->kindIn($test) !== PositionKind::Stands &&
                self::moves($this->predictions->of($this->sound, $test)[0])
                    ? $test
                    : null;
        }

        return $this->moving[$setUpKey];
    }
}
