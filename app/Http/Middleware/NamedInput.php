<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/**
 * Entries under an empty name are left out, at any depth: no form sends them, and a rule for all entries of a list
 * ("parts.*") does not reach them.
 */
final class NamedInput extends TransformsRequest
{
    /**
     * @param array<array-key, mixed> $data
     *
     * @return array<array-key, mixed>
     */
    protected function cleanArray(array $data, $keyPrefix = '')
    {
        unset($data['']);

        return parent::cleanArray($data, $keyPrefix);
    }
}
