<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Plug;

/**
 * One place of a plug, seen from its front.
 */
final readonly class PlugPin
{
    /**
     * @param string      $label  what stands beside it: its number, letter or shortest name
     * @param string      $words  what its wire does; empty where nothing is known of it
     * @param string|null $lead   the lead that goes there: A or B
     * @param int         $row    from the top, from zero
     * @param int         $column from the left, from zero
     */
    public function __construct(
        public string $label,
        public string $words,
        public ?WireColour $colour = null,
        public ?string $lead = null,
        public int $row = 0,
        public int $column = 0,
    ) {}

    public function at(int $row, int $column): self
    {
        return new self($this->label, $this->words, $this->colour, $this->lead, $row, $column);
    }
}
