<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * What was replaced on a job, how sure the verdict was of it, and what came of it.
 */
final readonly class StatedVerdict
{
    /**
     * @param string     $remedy what was replaced
     * @param float|null $stated chance that it is the right one, as stated then; null where none was named
     * @param bool|null  $held   whether the machine ran right after it and stayed so; null where that is not known
     */
    public function __construct(public string $remedy, public ?float $stated, public ?bool $held) {}
}
