<?php

declare(strict_types=1);

namespace App\Captures;

/**
 * What a channel shows of a test.
 */
final readonly class ChannelReading
{
    public function __construct(public string $test, public string $title, public string $value) {}
}
