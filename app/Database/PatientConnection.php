<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Eloquent\Model;
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

    /** @var array<int, array{Model, array<string, mixed>, bool}>|null models of this attempt, as they stood before it; null outside of one */
    private ?array $attempted = null;

    public function transaction(\Closure $callback, $attempts = 1)
    {
        // Inside another one nothing can be repeated alone: the outermost begins anew.
        if ($this->transactions > 0) {
            return parent::transaction($callback, $attempts);
        }
        try {
            return $this->patiently(
                fn() => parent::transaction(function (self $connection) use ($callback): mixed {
                    $this->forgetTheAttempt();

                    return $callback($connection);
                }, max($attempts, self::ATTEMPTS)),
            );
        } finally {
            $this->attempted = null;
        }
    }

    /** A model is about to be saved or deleted: how it stood, in case all of it has to be done again. */
    public function remember(Model $model): void
    {
        if ($this->attempted !== null) {
            $this->attempted[spl_object_id($model)] ??= [$model, $model->getRawOriginal(), $model->exists];
        }
    }

    /**
     * A model that was saved in an attempt that came to nothing believes that it stands in the database. It would not be
     * written again, and what was not kept would be acknowledged.
     */
    private function forgetTheAttempt(): void
    {
        foreach ($this->attempted ?? [] as [$model, $original, $exists]) {
            $wanted = $model->getAttributes();
            $model->setRawAttributes($original, true);
            $model->setRawAttributes($wanted);
            $model->exists = $exists;
        }
        $this->attempted = [];
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
