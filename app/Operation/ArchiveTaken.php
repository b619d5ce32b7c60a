<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * What came in with an archive.
 */
final readonly class ArchiveTaken
{
    /**
     * @param array<string, int> $counts records by table, and files
     * @param list<array{0: string, 1: string}> $renamed people whose address somebody here has already: old and new
     */
    public function __construct(public int $workshop, public array $counts, public array $renamed) {}
}
