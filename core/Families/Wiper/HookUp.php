<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * Two jumpers on a bench, each with its pin, and what goes wrong with clips: off, without current, on the other's pin.
 */
final readonly class HookUp
{
    private const OHMS = 0.005;

    /**
     * @param string                                  $side  node to which the jumpers lead
     * @param array<string, array{0: string, 1: string}> $jumpers element that closes a jumper and the pin it belongs on,
     *     by its name
     * @param string                                  $clip  element of the clip that all of them need
     * @param list<string>                            $fed   elements that carry nothing when the jumper's fuse is blown
     */
    public function __construct(
        private string $side,
        private array $jumpers,
        private string $clip,
        private array $fed,
    ) {}

    /** @return list<Element> jumpers to their pins, and the ways across, open while each is on its own */
    public function elements(): array
    {
        $elements = [];
        $names = array_keys($this->jumpers);
        foreach ($this->jumpers as $name => [$closes, $pin]) {
            $other = $names[0] === $name ? $names[1] : $names[0];
            $elements[] = Element::resistor($closes, $this->side, "jumper-$name", Element::OPEN_OHMS);
            $elements[] = Element::resistor("on-$name", "jumper-$name", $pin, self::OHMS);
            $elements[] = Element::resistor(
                "across-$name",
                "jumper-$name",
                $this->jumpers[$other][1],
                Element::OPEN_OHMS,
            );
        }

        return $elements;
    }

    /** @return list<Fault> with the odds of a bench: as likely as each other */
    public function faults(): array
    {
        $swapped = [];
        foreach (array_keys($this->jumpers) as $name) {
            $swapped[] = Adjustment::opened("on-$name");
            $swapped[] = Adjustment::closed("across-$name", self::OHMS);
        }
        $dead = array_map(Adjustment::opened(...), $this->fed);

        return [
            new Fault('clip-off', 'clip-off', Part::HOOK_UP, 0.4, Severity::only(Adjustment::opened($this->clip))),
            new Fault('jumper-dead', 'jumper-dead', Part::HOOK_UP, 0.3, Severity::only(...$dead)),
            new Fault('jumpers-swapped', 'jumpers-swapped', Part::HOOK_UP, 0.3, Severity::only(...$swapped)),
        ];
    }
}
