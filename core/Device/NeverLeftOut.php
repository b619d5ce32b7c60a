<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Checks of a repair that no note replaces, because somebody's life hangs on them.
 */
final readonly class NeverLeftOut
{
    /**
     * @param list<string> $tests        names among those that prove the repair
     * @param string       $because      what hangs on them
     * @param bool         $outOfService whether the machine does not go back into service without them, however the job
     *     ends
     */
    public function __construct(
        public array $tests = [],
        public string $because = '',
        public bool $outOfService = false,
    ) {}
}
