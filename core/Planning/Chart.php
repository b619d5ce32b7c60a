<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

/**
 * Curves over one axis.
 */
final readonly class Chart
{
    /**
     * @param list<array{label: string, points: list<array{0: float, 1: float}>, style: 'plain'|'heavy'|'dashed'}> $curves
     * @param list<array{x: float, y: float, label: string}>    $marks  points with a name
     * @param list<array{from: float, to: float, label: string}> $bands of the x axis
     * @param list<array{y: float, label: string}>              $levels of the y axis
     */
    public function __construct(
        public string $title,
        public string $x,
        public string $y,
        public array $curves,
        public array $marks = [],
        public array $bands = [],
        public array $levels = [],
    ) {}
}
