<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

use Ispira\Core\Kernel\Titled;

/**
 * What can be said when no fault of the list explains the readings.
 */
final readonly class ElsewhereShown
{
    /**
     * @param list<string> $sound
     * @param list<string> $odd
     * @param list<string> $cleared
     * @param list<string> $together
     * @param list<Titled> $narrows
     */
    public function __construct(
        public array $sound,
        public array $odd,
        public array $cleared,
        public array $together,
        public array $narrows,
    ) {}
}
