<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A time that has to pass before a step is done.
 */
final readonly class Wait
{
    /**
     * @param int         $least   seconds that must pass
     * @param int|null    $most    seconds after which it has gone wrong; null when it may take any longer
     * @param string      $reason  why it is waited for
     * @param string|null $formula what lengthens it: "stored-charge" by the capacitor that is told when the procedure
     *     starts
     */
    public function __construct(
        public int $least,
        public ?int $most,
        public string $reason,
        public ?string $formula = null,
    ) {}

    public function lasting(int $least): self
    {
        return new self($least, $this->most === null ? null : max($this->most, $least), $this->reason, $this->formula);
    }
}
