<?php

declare(strict_types=1);

namespace App\Bench;

use Ispira\Core\Diagnosis\Inference\PredictionStore;

/**
 * Keeps predictions in files, one a circuit. They can be deleted at any time.
 */
final readonly class FilePredictionStore implements PredictionStore
{
    public function __construct(private string $folder) {}

    public function load(string $hash): array
    {
        $file = $this->file($hash);
        $data = is_file($file) ? @unserialize((string) file_get_contents($file), ['allowed_classes' => false]) : [];
        $cells = [];
        foreach (is_array($data) ? $data : [] as $key => $packed) {
            if (is_string($key) && is_string($packed)) {
                $cells[$key] = $packed;
            }
        }

        return $cells;
    }

    public function save(string $hash, array $cells): void
    {
        if (!is_dir($this->folder)) {
            @mkdir($this->folder, 0o775, true);
            $this->clearOthers();
        }
        // Written aside and moved, so that a reader never sees half a file.
        $temporary = tempnam($this->folder, 'new');
        if ($temporary !== false && file_put_contents($temporary, serialize($cells)) !== false) {
            rename($temporary, $this->file($hash));
        }
    }

    /** Removes what other versions of the core have kept. */
    private function clearOthers(): void
    {
        foreach (glob(dirname($this->folder) . '/*/*.predictions') ?: [] as $file) {
            $folder = dirname($file);
            if ($folder !== $this->folder && preg_match('/^[0-9a-f]{16}$/', basename($folder)) === 1) {
                @unlink($file);
                @rmdir($folder);
            }
        }
    }

    private function file(string $hash): string
    {
        return "$this->folder/$hash.predictions";
    }
}
