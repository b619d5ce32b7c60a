<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/**
 * Texts that are no UTF-8 are made some: what cannot be read becomes a question mark, and is seen where it stands.
 */
final class ReadableText extends TransformsRequest
{
    protected function transform($key, $value)
    {
        return is_string($value) && !mb_check_encoding($value, 'UTF-8') ? mb_scrub($value, 'UTF-8') : $value;
    }
}
