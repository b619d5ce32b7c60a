<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * How many proven jobs ended with one fault of one thing, on one model.
 */
final readonly class CountedFault
{
    /**
     * @param string $model empty where the model was not noted
     * @param string $fault empty where it is not known which of its faults it was
     * @param float  $jobs  not whole where the readings left more than one fault
     */
    public function __construct(
        public string $family,
        public string $model,
        public string $remedy,
        public string $fault,
        public float $jobs,
    ) {}
}
