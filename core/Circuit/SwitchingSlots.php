<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Places of the resistances in a vector of values, and which of them are open.
 */
final readonly class SwitchingSlots
{
    /** As many as an integer has to spare, where it is of 32 bits as well. */
    private const BITS = 8 * \PHP_INT_SIZE - 4;

    /** @var list<list<int>> as many to a list as an integer has bits to spare */
    private array $words;

    /** @var array<int, true> */
    private array $isOne;

    /** @param list<int> $slots */
    public function __construct(array $slots)
    {
        $this->words = array_chunk($slots, self::BITS);
        $this->isOne = array_fill_keys($slots, true);
    }

    /**
     * A text that is equal for vectors in which the same of them are open.
     *
     * @param array<int, float> $values
     */
    public function pattern(array $values): string
    {
        $pattern = '';
        foreach ($this->words as $slots) {
            $word = 0;
            foreach ($slots as $slot) {
                $word = ($word << 1) | ($values[$slot] < CircuitSolver::OPEN_FROM_OHMS ? 1 : 0);
            }
            $pattern .= $word . ' ';
        }

        return $pattern;
    }

    /**
     * Slots in which two vectors differ.
     *
     * @param array<int, float> $values
     * @param array<int, float> $usual
     *
     * @return list<int>
     */
    public static function changed(array $values, array $usual): array
    {
        $changed = [];
        foreach ($values as $slot => $value) {
            if ($value !== $usual[$slot]) {
                $changed[] = $slot;
            }
        }

        return $changed;
    }

    /**
     * Those that are open and are not so usually; null where one is closed that is open usually, which may bring to
     * life what was idle.
     *
     * @param array<int, float> $values
     * @param array<int, float> $usual
     * @param list<int>         $changed slots in which they differ
     *
     * @return list<int>|null
     */
    public function opened(array $values, array $usual, array $changed): ?array
    {
        $opened = [];
        foreach ($changed as $slot) {
            if (
                !isset($this->isOne[$slot]) ||
                $values[$slot] < CircuitSolver::OPEN_FROM_OHMS === $usual[$slot] < CircuitSolver::OPEN_FROM_OHMS
            ) {
                continue;
            }
            if ($usual[$slot] >= CircuitSolver::OPEN_FROM_OHMS) {
                return null;
            }
            $opened[] = $slot;
        }

        return $opened;
    }
}
