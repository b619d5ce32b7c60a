<?php

declare(strict_types=1);

namespace App\Models;

use App\Captures\CaptureFiles;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\SampleStore;

/**
 * A capture of a scope that belongs to a job. Its samples lie in a folder of its own.
 *
 * @property string                     $id
 * @property string                     $job_id
 * @property string                     $name
 * @property string|null                $position of the selector while it was taken
 * @property array<string, mixed>       $head
 * @property list<array<string, float|int|bool|null>> $pulses by channel
 * @property Carbon                     $taken_at
 * @property int                        $bytes    of its samples on disk
 */
final class Capture extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['head' => 'array', 'pulses' => 'array', 'taken_at' => 'datetime'];

    public function store(): SampleStore
    {
        return CaptureFiles::of($this->id);
    }

    public function shape(): Head
    {
        return Head::fromArray($this->head);
    }

    public function pulsesOf(int $channel): ?Pulses
    {
        return isset($this->pulses[$channel]) ? Pulses::fromArray($this->pulses[$channel]) : null;
    }
}
