<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\PracticeAct;
use Ispira\Core\Job\PracticeActKind;

/**
 * One thing done in an exercise; nothing of it is changed afterwards.
 *
 * @property int             $sequence
 * @property string          $id
 * @property string          $job_id
 * @property int             $user_id
 * @property PracticeActKind $kind
 * @property array<string, string|float|bool|int> $data
 * @property int             $after    readings that had been written down
 * @property Carbon          $done_at
 */
final class ExerciseAct extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['kind' => PracticeActKind::class, 'data' => 'array', 'done_at' => 'datetime'];

    public function toCore(): PracticeAct
    {
        return new PracticeAct(
            $this->id,
            $this->kind,
            array_map(static fn(mixed $one): mixed => \is_int($one) ? (float) $one : $one, $this->data),
            $this->after,
        );
    }
}
