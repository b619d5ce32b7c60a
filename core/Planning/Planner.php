<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;

/**
 * Works out something that a job needs before anything is moved or switched on.
 */
interface Planner
{
    /** Stable identifier, used in addresses: lower case and hyphens. */
    public function key(): string;

    public function parameters(): ParameterList;

    /**
     * @param array<string, mixed> $values as returned by {@see ParameterList::read()}
     *
     * @throws ParameterError where values that can be read do not go together, with a message by field
     */
    public function plan(array $values): Plan;

    /** The words of this planner, in the language asked for. */
    public function texts(): Texts;
}
