<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;

/**
 * What stands on the bench during a test: a position, and what is unplugged, bridged or loaded.
 */
final readonly class SetUp
{
    /**
     * @param string           $position    key of the selector position
     * @param list<Adjustment> $adjustments on top of the position's
     * @param string|null      $text        key of the sentence that describes it; null for "all plugged in"
     * @param PositionKind|null $kind       what is right here, where the set-up changes it: fed directly, parked by
     *     hand
     * @param string|null      $mover       element that moves here, where it is not the position's
     * @param list<Adjustment> $atRest      what the shaft itself switches when it comes to its place of rest
     * @param bool             $isolated    switched off, secured and proven dead: no source of the circuit gives anything
     * @param list<string>     $fedFrom     sources of the bench that stay in an isolated set-up
     * @param bool             $still       what could turn is unplugged or taken off
     * @param list<Hazard>     $besides     what is dangerous here besides what is everywhere in the circuit
     * @param bool             $watchesDrive whether the drive itself is watched, at its lever, not what it moves
     */
    public function __construct(
        public string $key,
        public string $position,
        public array $adjustments = [],
        public ?string $text = null,
        public ?PositionKind $kind = null,
        public ?string $mover = null,
        public array $atRest = [],
        public bool $isolated = false,
        public array $fedFrom = [],
        public bool $still = false,
        public array $besides = [],
        public bool $watchesDrive = false,
    ) {}

    /**
     * Switched off, secured and proven dead before a hand goes in.
     *
     * @param string           $text        key of the sentence that says how
     * @param list<Adjustment> $adjustments what is unplugged besides
     * @param list<Hazard>     $besides
     */
    public static function isolated(
        string $key,
        string $position,
        string $text,
        array $adjustments = [],
        array $besides = [],
    ): self {
        return new self($key, $position, $adjustments, $text, PositionKind::Stands, isolated: true, besides: $besides);
    }

    /** With nothing left that feeds it. */
    public function withoutSources(Netlist $netlist): self
    {
        $off = [];
        foreach ($netlist->elements as $element) {
            $feeds = $element->type === ElementType::Source || $element->type === ElementType::AlternatingSource;
            if ($feeds && !\in_array($element->id, $this->fedFrom, true)) {
                // A limit holds whatever a fault does to the source.
                $off[] = Adjustment::atMost("$element->id.volts", 0.0);
            }
        }

        return new self(
            $this->key,
            $this->position,
            [...$off, ...$this->adjustments],
            $this->text,
            $this->kind,
            $this->mover,
            $this->atRest,
            $this->isolated,
            $this->fedFrom,
            $this->still,
            $this->besides,
            $this->watchesDrive,
        );
    }
}
