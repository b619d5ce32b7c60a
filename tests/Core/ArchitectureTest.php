<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

final class ArchitectureTest extends TestCase
{
    public function testTheCoreDependsOnNothingOutsideItself(): void
    {
        foreach ($this->files(__DIR__ . '/../../core') as $file => $code) {
            preg_match_all('/^use (?:function )?([A-Z]\w*)\\\\/m', $code, $uses);
            self::assertSame([], array_values(array_diff(array_unique($uses[1]), ['Ispira', 'Random'])), $file);
            self::assertDoesNotMatchRegularExpression(
                '/\b(?:time|date|microtime|rand|mt_rand|now)\(/',
                $code,
                "$file reads the clock or chance",
            );
        }
    }

    public function testTheFoldersOfTheCoreDependOnEachOtherInNoCircle(): void
    {
        $uses = [];
        foreach ($this->files(__DIR__ . '/../../core') as $file => $code) {
            $folder = explode('/', substr($file, (int) strpos($file, '/core/') + 6))[0];
            preg_match_all('/Ispira\\\\Core\\\\(\w+)/', $code, $named);
            foreach (array_diff(array_unique($named[1]), [$folder]) as $other) {
                $uses[$folder][$other] = true;
            }
        }
        self::assertArrayNotHasKey('Kernel', $uses, 'The kernel stands below everything.');
        // Folders that depend on nothing that is left are taken away, until none is: a circle would stay.
        while ($uses !== []) {
            $above = array_filter($uses, static fn(array $on): bool => array_intersect_key($on, $uses) !== []);
            self::assertNotSame(
                array_keys($uses),
                array_keys($above),
                'A circle in: ' . implode(', ', array_keys($uses)),
            );
            $uses = $above;
        }
    }

    public function testTheEngineKnowsNoFamilyByName(): void
    {
        foreach (
            [
                ...$this->files(__DIR__ . '/../../core/Diagnosis'),
                ...$this->files(__DIR__ . '/../../core/Circuit'),
                ...$this->files(__DIR__ . '/../../core/Job'),
                ...$this->files(__DIR__ . '/../../app/Http'),
                ...$this->files(__DIR__ . '/../../app/Bench'),
                ...$this->files(__DIR__ . '/../../app/Jobs'),
            ]
            as $file => $code
        ) {
            self::assertStringNotContainsString('SteppedBlower', $code, $file);
            self::assertStringNotContainsString('stepped-blower', $code, $file);
        }
    }

    /** @return array<string, string> */
    private function files(string $folder): array
    {
        $files = [];
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $files[$file->getPathname()] = (string) file_get_contents($file->getPathname());
            }
        }
        self::assertNotEmpty($files);

        return $files;
    }
}
