<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/**
 * The store of files that ships as a stand-in, in a process of its own.
 */
final class ObjectStoreProcess
{
    public readonly string $folder;

    private readonly Process $process;

    private readonly int $port;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir() . '/store-' . bin2hex(random_bytes(6));
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $this->process = new Process(['bin/object-store', (string) $this->port], base_path(), [
            'OBJECT_STORE_FOLDER' => $this->folder,
            'S3_KEY' => 'ispira',
        ]);
        $this->process->setTimeout(null)->start();
        $this->process->waitUntil(static fn(string $type, string $said): bool => str_contains($said, 'started'));
    }

    /** @return array<string, string> */
    public function settings(): array
    {
        return [
            'FILESYSTEM_DISK' => 's3',
            'S3_ENDPOINT' => "http://127.0.0.1:$this->port",
            'S3_KEY' => 'ispira',
            'S3_SECRET' => 'anything',
        ];
    }

    /** Makes this application keep its files there. */
    public function use(): void
    {
        config([
            'filesystems.default' => 's3',
            'filesystems.disks.s3.endpoint' => "http://127.0.0.1:$this->port",
            'filesystems.disks.s3.key' => 'ispira',
            'filesystems.disks.s3.secret' => 'anything',
        ]);
    }

    /** @return list<string> keys of what is stored */
    public function keys(): array
    {
        $keys = array_map(rawurldecode(...), array_map(basename(...), glob("$this->folder/ispira/*") ?: []));
        sort($keys);

        return $keys;
    }

    public function stop(): void
    {
        $this->process->stop(5);
    }

    public function __destruct()
    {
        $this->stop();
        File::deleteDirectory($this->folder);
    }
}
