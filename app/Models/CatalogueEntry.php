<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ispira\Core\Repair\Fit\CataloguePart;
use Ispira\Core\Repair\Fit\PartsFormat;

/**
 * A part in the catalogue of a workshop.
 *
 * @property int    $id
 * @property int    $workshop_id
 * @property string $number
 * @property array<string, mixed> $part
 */
final class CatalogueEntry extends Model
{
    protected $table = 'catalogue_parts';

    protected $guarded = [];

    protected $casts = ['part' => 'array'];

    public function toCore(): CataloguePart
    {
        return PartsFormat::part($this->part, 'part');
    }
}
