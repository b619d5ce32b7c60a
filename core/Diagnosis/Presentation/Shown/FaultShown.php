<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * One way in which a suspect may have failed.
 */
final readonly class FaultShown
{
    /**
     * @param string|null $degree how bad it is, in the trade's words; null where it has no degree
     * @param list<string> $elements of the netlist, for the sheet
     */
    public function __construct(
        public string $key,
        public string $label,
        public float $probability,
        public ?string $degree,
        public array $elements,
    ) {}
}
