<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What an electronic control makes of the signal at its input: a value for a parameter of another element.
 *
 * The signal is taken as a share of a reference, and the value read from a table with
 * straight lines between its points. An input that is open inside sees nothing: zero.
 */
final readonly class Control
{
    /**
     * @param string                               $target    parameter that it sets, as "element.parameter"; never a
     *     resistance
     * @param list<array{0: float, 1: float}>      $table     signal as a share of the reference, and the value; by rising signal, at least one
     * @param float                                $volts     the reference, where it is a fixed voltage
     * @param array{0: string, 1: string}|null     $reference nodes between which the reference stands, where it is the supply
     * @param float                                $worksFrom volts of the reference under which it sees nothing
     */
    public function __construct(
        public string $target,
        public array $table,
        public float $volts = 1.0,
        public ?array $reference = null,
        public float $worksFrom = 0.0,
    ) {
        if ($table === []) {
            throw CircuitError::malformed("The control of \"$target\" needs a table of at least one point.");
        }
    }

    /** @param float $signal as a share of the reference */
    public function value(float $signal): float
    {
        $before = null;
        foreach ($this->table as [$at, $value]) {
            if ($signal <= $at) {
                return $before === null || $at === $before[0]
                    ? $value
                    : $before[1] + (($value - $before[1]) * ($signal - $before[0])) / ($at - $before[0]);
            }
            $before = [$at, $value];
        }

        return $before[1] ?? 0.0;
    }
}
