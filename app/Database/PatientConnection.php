<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\MariaDbConnection;

/**
 * Repeats a whole transaction when the database broke it off because another one was in its way.
 */
final class PatientConnection extends MariaDbConnection
{
    private const ATTEMPTS = 4;

    public function transaction(\Closure $callback, $attempts = 1)
    {
        // Inside another one nothing can be repeated alone: the outermost begins anew.
        return parent::transaction($callback, $this->transactions === 0 ? max($attempts, self::ATTEMPTS) : $attempts);
    }
}
