<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\EnteredAt;
use App\Models\ProcedureMark;
use App\Models\ProcedureRun;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\NotYet;

/**
 * Notes a step of a procedure, by the server's clock; of what was done without it, what the device counted.
 */
final readonly class MarkStep
{
    public function __construct(private EnteredAt $entered) {}

    /** @param array<string, mixed> $data validated: id, step, seen, confirmed, waited */
    public function done(User $user, string $run, array $data): void
    {
        $this->note(
            $user,
            $run,
            $data,
            fn(ProcedureRun $stored): Marked => $stored
                ->toCore()
                ->run->done(
                    (int) $data['step'],
                    now()->getPreciseTimestamp() / 1e6,
                    (bool) ($data['seen'] ?? false),
                    (bool) ($data['confirmed'] ?? false),
                    $this->entered->later() ? (float) ($data['waited'] ?? 0.0) : null,
                ),
        );
    }

    /** @param array<string, mixed> $data validated: id, kind, note */
    public function other(User $user, string $run, array $data): void
    {
        $this->note($user, $run, $data, function (ProcedureRun $stored) use ($data): ?Marked {
            $now = $stored->toCore()->run;

            return $now->current() === null
                ? null
                : new Marked(
                    MarkKind::from($data['kind']),
                    $now->step,
                    now()->getPreciseTimestamp() / 1e6,
                    $data['note'] ?? null,
                    $this->entered->later() ? 0.0 : null,
                );
        });
    }

    /**
     * @param array<string, mixed>             $data
     * @param \Closure(ProcedureRun): ?Marked $mark
     */
    private function note(User $user, string $run, array $data, \Closure $mark): void
    {
        $id = isset($data['id']) ? strtolower($data['id']) : null;
        try {
            DB::transaction(static function () use ($user, $run, $id, $mark): void {
                $stored = $user->workshop->procedureRuns()->lockForUpdate()->findOrFail($run);
                $known = $id === null ? null : ProcedureMark::query()->where('entry_id', $id)->first();
                if ($known !== null) {
                    // What arrives twice was taken the first time.
                    $known->run_id === $stored->id ||
                        throw new NotYet('This was not taken. Reload the page and press again.');

                    return;
                }
                $marked = $mark($stored);
                if ($marked !== null) {
                    $stored->marks()->create([
                        'user_id' => $user->id,
                        'entry_id' => $id,
                        'kind' => $marked->kind,
                        'step' => $marked->step,
                        'note' => $marked->note,
                        'waited' => $marked->waited,
                        'marked_at' => now(),
                    ]);
                }
            });
        } catch (NotYet $notYet) {
            throw ValidationException::withMessages(['step' => $notYet->getMessage()]);
        }
    }
}
