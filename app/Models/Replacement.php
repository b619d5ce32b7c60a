<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\Shown\VerdictThen;

/**
 * A part that was replaced, with the verdict that led to it.
 *
 * @property int         $sequence
 * @property string      $id
 * @property string      $job_id
 * @property string      $remedy
 * @property string|null $part_number
 * @property string|null $note
 * @property array<string, mixed>|null $verdict
 * @property Carbon|null $temporary_until the day on which a temporary repair is due
 * @property Carbon      $replaced_at
 */
final class Replacement extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['verdict' => 'array', 'replaced_at' => 'datetime', 'temporary_until' => 'date:Y-m-d'];

    /** What the diagnosis said when it was chosen; null where none was asked. */
    public function then(): ?VerdictThen
    {
        if ($this->verdict === null) {
            return null;
        }
        $verdict = is_array($this->verdict['verdict'] ?? null) ? $this->verdict['verdict'] : [];
        $suspects = is_array($this->verdict['suspects'] ?? null) ? $this->verdict['suspects'] : [];
        $reasons = is_array($suspects[0] ?? null) ? $suspects[0]['reasons'] ?? [] : [];
        $number = static fn(mixed $value): ?float => is_float($value) || is_int($value) ? (float) $value : null;

        return new VerdictThen(
            label: is_string($verdict['label'] ?? null) ? $verdict['label'] : null,
            probability: $number($verdict['probability'] ?? null),
            guessing: $number($this->verdict['guessing'] ?? null) ?? 0.0,
            reasons: array_values(
                array_filter(array_column(is_array($reasons) ? $reasons : [], 'sentence'), is_string(...)),
            ),
        );
    }

    /** Whether its part was named because nothing else was left. */
    public function wasByElimination(): bool
    {
        $verdict = $this->verdict['verdict'] ?? null;

        return is_array($verdict) && ($verdict['byElimination'] ?? false) === true;
    }

    /** The odds of its part when it was chosen; null where none were kept. */
    public function odds(): ?float
    {
        $suspects = $this->verdict['suspects'] ?? null;
        $odds = is_array($suspects) && is_array($suspects[0] ?? null) ? $suspects[0]['probability'] ?? null : null;

        return is_float($odds) || is_int($odds) ? (float) $odds : null;
    }
}
