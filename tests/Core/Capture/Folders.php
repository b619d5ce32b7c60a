<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;

/**
 * Folders of captures that are gone after the test.
 */
trait Folders
{
    /** @var list<string> */
    private array $folders = [];

    protected function tearDown(): void
    {
        foreach ($this->folders as $folder) {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }
        $this->folders = [];
    }

    private function folder(): string
    {
        $folder = sys_get_temp_dir() . '/ispira-capture-' . bin2hex(random_bytes(6));
        mkdir($folder);

        return $this->folders[] = $folder;
    }

    private function store(): SampleStore
    {
        return new SampleStore($this->folder());
    }

    /** @param iterable<string> $parts */
    private function file(iterable $parts): string
    {
        $path = $this->folder() . '/capture';
        $file = fopen($path, 'w');
        self::assertNotFalse($file);
        foreach ($parts as $part) {
            fwrite($file, $part);
        }
        fclose($file);

        return $path;
    }

    /** @return array{0: SampleStore, 1: Head} */
    private function imported(string $text, ImportSettings $settings = new ImportSettings()): array
    {
        $store = $this->store();

        return [$store, Importer::import($this->file([$text]), $store, $settings)];
    }

    /** @return list<float> */
    private static function samples(SampleStore $store, int $channel = 0): array
    {
        $all = [];
        foreach ($store->parts($channel) as $values) {
            $all = [...$all, ...$values];
        }

        return $all;
    }
}
