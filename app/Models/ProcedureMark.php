<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;

/**
 * What was noted of a procedure. Rows are only added.
 *
 * @property int         $user_id
 * @property string|null $author of a file that it came with
 * @property string      $run_id
 * @property MarkKind    $kind
 * @property int         $step
 * @property string|null $note
 * @property Carbon      $marked_at
 * @property string|null $entry_id  with which a person sent it
 * @property float|null  $waited    seconds that a device counted without the server
 */
final class ProcedureMark extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['kind' => MarkKind::class, 'step' => 'integer', 'marked_at' => 'datetime', 'waited' => 'float'];

    /** @param array<int, string> $names of persons */
    public function toCore(array $names = []): Marked
    {
        return new Marked(
            $this->kind,
            $this->step,
            $this->marked_at->getPreciseTimestamp() / 1e6,
            $this->note,
            $this->waited,
            $this->author ?? ($names[$this->user_id] ?? null),
        );
    }
}
