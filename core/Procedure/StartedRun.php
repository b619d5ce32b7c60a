<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A procedure that was begun, with what was noted of it so far.
 */
final readonly class StartedRun
{
    /**
     * @param string $key       of the procedure
     * @param string $startedAt moment as ISO 8601
     */
    public function __construct(public string $id, public string $key, public string $startedAt, public Run $run) {}

    public function with(Marked $mark): self
    {
        $run = $this->run;

        return new self(
            $this->id,
            $this->key,
            $this->startedAt,
            Run::of($run->procedure, $run->started, [...$run->marks, $mark], $run->heard),
        );
    }
}
