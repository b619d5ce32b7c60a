<?php

declare(strict_types=1);

namespace App\Log;

/**
 * A photo of the job.
 */
final readonly class PhotoShown
{
    public function __construct(
        public string $id,
        public ?string $caption,
        public int $width,
        public int $height,
        public ?string $reading,
        public string $takenAt,
    ) {}
}
