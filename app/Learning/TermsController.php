<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Asked;
use App\Http\Controller;
use App\Models\AuditEntry;
use App\Models\Workshop;
use App\People\AuditAct;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Learning\LearnedTerms;
use Ispira\Core\Learning\Share;
use Ispira\Core\Learning\TermKind;
use Ispira\Core\Learning\TermRow;

/**
 * What tests and parts take in this workshop: learned, and pinned by a lead.
 */
final class TermsController extends Controller
{
    /** So many of the newest jobs say which variants there are, and so many of these are shown. */
    private const JOBS_LOOKED_AT = 60;
    private const MOST_VARIANTS = 8;

    public function __construct(private readonly FamilyRegistry $families) {}

    public function index(Request $request): TermsPage
    {
        $workshop = $this->user($request)->workshop;
        $family = Asked::text($request, 'family', 60);
        $family = $this->families->has($family)
            ? $family
            : $workshop->usualFamily() ?? (string) array_key_first($this->families->all());
        $own = OwnTerms::of($workshop, $family);
        $terms = [];
        foreach ($this->rows($workshop, $family, $own) as [$row, $circuit]) {
            $terms[] = new TermShown(
                $row->kind,
                $row->key,
                self::label($circuit, new Words($circuit), $row),
                round($row->shipped, 3),
                round($row->own, 3),
                $row->noted,
                $row->pinned,
            );
        }

        return new TermsPage(
            families: array_map(
                static fn(string $key, $one): Choice => new Choice(value: $key, label: $one->texts()->get('name')),
                array_keys($this->families->all()),
                array_values($this->families->all()),
            ),
            family: $family,
            terms: $terms,
            sources: self::sources($own),
        );
    }

    public function pin(Request $request): RedirectResponse
    {
        $lead = $this->user($request);
        $data = $request->validate([
            'family' => ['required', 'string', Rule::in(array_keys($this->families->all()))],
            'kind' => ['required', Rule::enum(TermKind::class)],
            'key' => ['required', 'string', 'max:80'],
            'value' => ['nullable'],
        ]);
        $kind = TermKind::from($data['kind']);
        [$row, $circuit] =
            $this->rows($lead->workshop, $data['family'], OwnTerms::of($lead->workshop, $data['family']))[
                "$kind->value {$data['key']}"
            ] ?? throw ValidationException::withMessages(['value' => 'That is not there any more. Reload the page.']);
        $value = self::value($data['value'] ?? null, $kind);
        $of = [
            'workshop_id' => $lead->workshop_id,
            'family' => $data['family'],
            'kind' => $kind->value,
            'term' => $row->key,
        ];
        DB::transaction(static function () use ($lead, $of, $value, $circuit, $row): void {
            $value === null
                ? DB::table('pinned_terms')->where($of)->delete()
                : DB::table('pinned_terms')->updateOrInsert($of, [
                    'value' => $value,
                    'user_id' => $lead->id,
                    'pinned_at' => now(),
                ]);
            AuditEntry::note(
                $lead,
                $value === null ? AuditAct::TermReleased : AuditAct::TermPinned,
                self::label($circuit, new Words($circuit), $row),
                $value === null ? null : (string) $value,
            );
        });

        return redirect("/terms?family={$data['family']}", 303)->with(
            'notice',
            $value === null ? 'Released: what was learned counts again.' : 'Pinned: it stays so until it is released.',
        );
    }

    private static function value(mixed $given, TermKind $kind): ?float
    {
        if ($given === null || $given === '') {
            return null;
        }
        try {
            $value = NumberReader::read($given, '');
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages(['value' => $error->getMessage()]);
        }
        // A chance is typed as so many of a hundred.
        $value = $kind === TermKind::ComeBack ? $value / 100.0 : $value;

        return $value >= 0.0 && $value <= $kind->most()
            ? $value
            : throw ValidationException::withMessages([
                'value' => sprintf(
                    'Give a number from 0 to %s.',
                    $kind === TermKind::ComeBack ? '100' : (string) $kind->most(),
                ),
            ]);
    }

    /**
     * Terms of all the variants that the workshop had lately, each once.
     *
     * @return array<string, array{TermRow, CircuitModel}> with a circuit that has it, by kind and key
     */
    private function rows(Workshop $workshop, string $family, OwnTerms $own): array
    {
        $rows = [];
        foreach ($this->variants($workshop, $family) as $circuit) {
            foreach ($own->learned($circuit, '')->rows as $row) {
                $rows["{$row->kind->value} $row->key"] ??= [$row, $circuit];
            }
        }

        return $rows;
    }

    /** @return list<CircuitModel> of its newest jobs, one for each variant, and the ordinary one */
    private function variants(Workshop $workshop, string $family): array
    {
        $kind = $this->families->get($family);
        $circuits = [];
        $newest = $workshop->jobs()->where('family', $family)->whereNull('part')->latest('updated_at');
        foreach ($newest->limit(self::JOBS_LOOKED_AT)->get(['id', 'family', 'parameters', 'part']) as $job) {
            if (count($circuits) < self::MOST_VARIANTS) {
                $circuits[(string) json_encode($job->parameters)] ??= $job->circuit();
            }
        }

        return [...array_values($circuits), $kind->circuit($kind->parameters()->read([]))];
    }

    private static function label(CircuitModel $circuit, Words $words, TermRow $row): string
    {
        if ($row->kind === TermKind::Access) {
            return ucfirst($circuit->texts->get("access.$row->key"));
        }
        if ($row->kind !== TermKind::Test) {
            return $words->part($row->key);
        }
        $tests = array_values(array_filter($circuit->tests, static fn($test): bool => $test->name() === $row->key));
        $said = $tests[0]->words;

        return $circuit->texts->get(
            "tests.{$tests[0]->text}",
            count($tests) > 1 && isset($said['position']) ? ['position' => '…'] + $said : $said,
        );
    }

    /** @return list<SourceShown> */
    private static function sources(OwnTerms $own): array
    {
        /** @var array<string, array<string, non-empty-list<float>>> $by */
        $by = [];
        foreach ($own->bought() as $one) {
            $by[$one->source][$one->kind->value][] = $one->value;
        }
        $shown = [];
        foreach ($by as $source => $values) {
            $median = static fn(TermKind $kind): ?float => isset($values[$kind->value])
                ? LearnedTerms::median($values[$kind->value])
                : null;
            $back = $values[TermKind::ComeBack->value] ?? [];
            $shown[] = new SourceShown(
                (string) $source,
                max([0, ...array_values(array_map(count(...), $values))]),
                $median(TermKind::Lead),
                $median(TermKind::Price),
                Share::of((int) array_sum($back), count($back)),
            );
        }
        usort(
            $shown,
            static fn(SourceShown $a, SourceShown $b): int => [-$a->parts, $a->source] <=> [-$b->parts, $b->source],
        );

        return $shown;
    }
}
