<?php

declare(strict_types=1);

namespace App\Instruments;

use Ispira\Core\Instrument\SimulatedMeter;

/**
 * Lets a simulated meter be reached over TCP as a real one is.
 */
final class MeterServer
{
    private const LONGEST_LINE = 1024;

    /** @var resource */
    private $socket;

    /** @var array<int, resource> */
    private array $clients = [];

    /** @var array<int, string> what each client has sent of a line */
    private array $begun = [];

    /**
     * @param int      $port   0 lets the system choose
     * @param int|null $falls  silent after so many answers; null for never
     *
     * @throws \RuntimeException when the port is taken
     */
    public function __construct(private readonly SimulatedMeter $meter, int $port, private ?int $falls = null)
    {
        $socket = @stream_socket_server("tcp://127.0.0.1:$port", $code, $message);
        if ($socket === false) {
            throw new \RuntimeException("Port $port cannot be used: $message. Choose another with --port.");
        }
        $this->socket = $socket;
    }

    public function address(): string
    {
        return (string) stream_socket_get_name($this->socket, false);
    }

    /** Serves until `$goesOn` says no. @param \Closure(): bool $goesOn */
    public function serve(\Closure $goesOn): void
    {
        while ($goesOn()) {
            $read = [$this->socket, ...$this->clients];
            $write = $except = null;
            if (@stream_select($read, $write, $except, 0, 200_000) === false) {
                continue;
            }
            foreach ($read as $stream) {
                if ($stream === $this->socket) {
                    $client = @stream_socket_accept($this->socket, 0.0);
                    if ($client !== false) {
                        $this->clients[get_resource_id($client)] = $client;
                        $this->begun[get_resource_id($client)] = '';
                    }
                } else {
                    $this->hear($stream);
                }
            }
        }
    }

    /** @param resource $client */
    private function hear($client): void
    {
        $id = get_resource_id($client);
        $heard = @fread($client, self::LONGEST_LINE);
        if ($heard === false || $heard === '' || strlen($this->begun[$id]) > self::LONGEST_LINE) {
            fclose($client);
            unset($this->clients[$id], $this->begun[$id]);

            return;
        }
        $lines = explode("\n", $this->begun[$id] . $heard);
        $this->begun[$id] = (string) array_pop($lines);
        foreach ($lines as $line) {
            $answer = $this->meter->answer(rtrim($line, "\r"));
            if ($answer !== null && ($this->falls === null || $this->falls-- > 0)) {
                @fwrite($client, "$answer\n");
            }
        }
    }
}
