<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photo of a finding. The picture lies in the file system, without what the camera wrote into it.
 *
 * @property string      $id
 * @property string      $job_id
 * @property int         $user_id
 * @property string|null $author of a file that it came with
 * @property int|null    $reading_sequence the reading that it belongs to
 * @property string|null $caption
 * @property int         $width
 * @property int         $height
 * @property Carbon      $taken_at
 * @property int         $bytes  of the picture
 */
final class Photo extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = [
        'reading_sequence' => 'integer',
        'width' => 'integer',
        'height' => 'integer',
        'bytes' => 'integer',
        'taken_at' => 'datetime',
    ];

    public function path(): string
    {
        return "photos/$this->job_id/$this->id.jpg";
    }
}
