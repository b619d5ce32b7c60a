<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;

/**
 * A value that was worked out of several readings, and that a test of the same quantity asks for.
 */
final readonly class Worked
{
    /**
     * @param float  $value in the base unit of the quantity; INF for open
     * @param string $test  name of the only test that it belongs to; any of its quantity when empty
     */
    public function __construct(
        public Quantity $quantity,
        public float $value,
        public string $label,
        public string $test = '',
    ) {}

    public function belongsTo(Test $test): bool
    {
        return $test->offered &&
            $test->probe->quantity === $this->quantity &&
            ($this->test === '' || $test->name() === $this->test);
    }
}
