<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Captures\CaptureFiles;
use Illuminate\Console\Command;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\File;

/**
 * Brings photos and captures from the store that several machines share into a folder, laid out as where there is no
 * such store, and back.
 */
final class FilesCommand extends Command
{
    /** Where the files of a part lie in a folder. */
    private const PARTS = ['photos' => 'private/photos', 'captures' => 'captures'];

    protected $signature = 'ispira:files
        {folder : an installation\'s folder of files, or one like it}
        {--fetch : from the store into the folder}
        {--send : from the folder into the store}';

    protected $description = 'Copy photos and captures between the shared store and a folder';

    public function handle(): int
    {
        $store = CaptureFiles::far();
        if ($store === null) {
            $this->error('Files are kept in a folder here (FILESYSTEM_DISK=local): there is no store to copy with.');

            return self::FAILURE;
        }
        if (($this->option('fetch') === true) === ($this->option('send') === true)) {
            $this->error('Say --fetch or --send.');

            return self::FAILURE;
        }
        $folder = rtrim((string) $this->argument('folder'), '/');
        $copied = 0;
        foreach (self::PARTS as $part => $place) {
            $copied +=
                $this->option('fetch') === true
                    ? $this->fetch($store, $part, "$folder/$place")
                    : $this->send($store, $part, "$folder/$place");
        }
        $this->info("$copied files copied.");

        return self::SUCCESS;
    }

    private function fetch(Filesystem $store, string $part, string $place): int
    {
        $files = $store->allFiles($part);
        foreach ($files as $file) {
            $target = $place . substr($file, \strlen($part));
            File::ensureDirectoryExists(\dirname($target));
            file_put_contents($target, $store->readStream($file)) !== false ||
                throw new \RuntimeException("$target cannot be written.");
        }

        return \count($files);
    }

    private function send(Filesystem $store, string $part, string $place): int
    {
        $files = File::isDirectory($place) ? File::allFiles($place) : [];
        foreach ($files as $file) {
            $stream = fopen($file->getPathname(), 'r') ?: throw new \RuntimeException("$file cannot be read.");
            $store->writeStream("$part/" . $file->getRelativePathname(), $stream);
        }

        return \count($files);
    }
}
