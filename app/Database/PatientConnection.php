<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Str;

/**
 * Repeats a whole transaction when the database broke it off because another one was in its way, or because the server
 * went away and another takes its place. What is sent carries a number of its own, so that what had been written already
 * is found, not written twice.
 */
final class PatientConnection extends MariaDbConnection
{
    private const ATTEMPTS = 4;
    /** How long a server may be away: less than anybody waits for a page, more than another one needs to step in. */
    private const AWAY_SECONDS = 4.0;
    private const PAUSE_MICROSECONDS = 150_000;
    private const AWAY = [
        'WSREP has not yet prepared node for application use',
        'There is no active transaction',
        'Connection refused',
        'Server shutdown in progress',
        'Connection was killed',
        'Lost connection',
        'gone away',
        'No such file or directory',
    ];

    /** Whether it was waited for in vain: then nothing else of the same request waits again. */
    private bool $gone = false;

    public function transaction(\Closure $callback, $attempts = 1)
    {
        // Inside another one nothing can be repeated alone: the outermost begins anew.
        return $this->transactions > 0
            ? parent::transaction($callback, $attempts)
            : $this->patiently(fn() => parent::transaction($callback, max($attempts, self::ATTEMPTS)));
    }

    /** @param array<array-key, mixed> $bindings */
    protected function tryAgainIfCausedByLostConnection(QueryException $e, $query, $bindings, \Closure $callback)
    {
        return $this->patiently(fn() => $this->runQueryCallback($query, $bindings, $callback), $e);
    }

    /**
     * @param \Closure(): mixed $do
     * @param \Throwable|null $first what went wrong already
     */
    private function patiently(\Closure $do, ?\Throwable $first = null): mixed
    {
        $until = microtime(true) + ($this->gone ? 0.0 : self::AWAY_SECONDS);
        while (true) {
            try {
                $result = $first === null ? $do() : throw $first;
                $this->gone = false;

                return $result;
            } catch (\Throwable $error) {
                if (!$this->isAway($error)) {
                    throw $error;
                }
                if (microtime(true) > $until) {
                    $this->gone = true;
                    throw $error;
                }
                $first = null;
                $this->transactions = 0;
                usleep(self::PAUSE_MICROSECONDS);
                $this->reconnect();
            }
        }
    }

    private function isAway(\Throwable $error): bool
    {
        return $error instanceof \PDOException &&
            ($this->causedByLostConnection($error) || Str::contains($error->getMessage(), self::AWAY));
    }
}
