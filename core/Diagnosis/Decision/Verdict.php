<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

/**
 * The remedy that the readings have settled on.
 */
final readonly class Verdict
{
    /**
     * @param list<\Ispira\Core\Device\CauseCheck> $causesToCheck not tested yet: the verdict is not final without them
     * @param bool $byElimination true when no test was left that could separate further
     */
    public function __construct(public Suspect $suspect, public array $causesToCheck, public bool $byElimination) {}
}
