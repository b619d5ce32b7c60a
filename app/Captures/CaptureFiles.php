<?php

declare(strict_types=1);

namespace App\Captures;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Ispira\Core\Capture\SampleStore;

/**
 * Where the samples of captures lie. Pictures of a part of them need a file in which one can jump: where files are kept
 * far away, a folder here holds what was looked at, and may be emptied at any time.
 */
final class CaptureFiles
{
    private function __construct() {}

    /** The samples of a capture, to be read. */
    public static function of(string $id): SampleStore
    {
        $folder = self::folder($id);
        $far = self::far();
        if ($far !== null && !is_file("$folder/head.json")) {
            File::ensureDirectoryExists($folder);
            foreach ($far->files("captures/$id") as $path) {
                // Under another name until it is whole: two may fetch it at once.
                $part = "$folder/" . basename($path) . '.' . bin2hex(random_bytes(4));
                file_put_contents($part, $far->readStream($path));
                rename($part, "$folder/" . basename($path));
            }
        }

        return new SampleStore($folder);
    }

    /**
     * A place of its own for samples that are being taken in: the same capture may be sent twice at once.
     *
     * @param int $most bytes
     */
    public static function begin(string $place, int $most): SampleStore
    {
        return new SampleStore(self::folder($place), $most);
    }

    /** Puts what was taken in where it stays; again is the same. */
    public static function keep(string $place, string $id): void
    {
        if (File::isDirectory(self::folder($place))) {
            File::deleteDirectory(self::folder($id));
            rename(self::folder($place), self::folder($id));
        }
        self::send($id);
    }

    /** Brings what lies here to where all files are kept, if that is far. */
    public static function send(string $id): void
    {
        $far = self::far();
        if ($far === null) {
            return;
        }
        foreach (File::files(self::folder($id)) as $file) {
            // What marks a capture as whole goes last.
            if ($file->getFilename() !== 'head.json') {
                $stream = fopen($file->getPathname(), 'r') ?: throw new \RuntimeException("$file cannot be read.");
                $far->writeStream("captures/$id/" . $file->getFilename(), $stream);
            }
        }
        $far->put("captures/$id/head.json", (string) file_get_contents(self::folder($id) . '/head.json'));
    }

    public static function remove(string $id): void
    {
        self::far()?->deleteDirectory("captures/$id");
        File::deleteDirectory(self::folder($id));
    }

    /** Bytes on disk, of the copy here. */
    public static function bytes(string $id): int
    {
        $bytes = 0;
        foreach (File::isDirectory(self::folder($id)) ? File::files(self::folder($id)) : [] as $file) {
            $bytes += $file->getSize();
        }

        return $bytes;
    }

    public static function folder(string $id): string
    {
        return config()->string('ispira.captures') . "/$id";
    }

    /** The store of all files, where it is not a folder that is at hand here. */
    public static function far(): ?Filesystem
    {
        $name = config()->string('filesystems.default');

        return config("filesystems.disks.$name.driver") === 'local' ? null : Storage::disk($name);
    }
}
