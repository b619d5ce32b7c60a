<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Quality\Doubt;
use Ispira\Core\Reading\Reading;

/**
 * A reading with what is kept about it beside its value.
 */
final readonly class FiledReading
{
    /**
     * @param list<Doubt> $doubts what the rules said when it was taken
     * @param string|null $keptAt when somebody answered that it is right
     * @param string|null $by     name of the person who took it, where it is known
     */
    public function __construct(
        public Reading $reading,
        public ?string $map,
        public ?string $takenAt,
        public ?string $struckAt,
        public ?string $struckBecause,
        public array $doubts = [],
        public ?string $keptAt = null,
        public ?string $by = null,
    ) {}

    public function by(string $name): self
    {
        return new self(
            $this->reading,
            $this->map,
            $this->takenAt,
            $this->struckAt,
            $this->struckBecause,
            $this->doubts,
            $this->keptAt,
            $name,
        );
    }
}
