<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Something that can be seen at a machine, and where it leads: to a further question, or to a kind of circuit.
 */
final readonly class FinderChoice
{
    /**
     * @param string      $sign   name of the small drawing beside it
     * @param string|null $next   key of the next question; null where a family is found
     * @param string|null $family key of the family that it is
     */
    public function __construct(
        public string $label,
        public string $sign,
        public ?string $next,
        public ?string $family,
    ) {}
}
