<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A procedure of the workshop's own, or one that it has changed.
 *
 * @property int                  $workshop_id
 * @property string               $key
 * @property array<string, mixed> $text
 */
final class WorkshopProcedure extends Model
{
    protected $guarded = [];

    protected $casts = ['text' => 'array'];
}
