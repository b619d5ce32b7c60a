<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Asked;
use App\Http\Controller;
use App\Http\CsvDownload;
use App\Jobs\JobListed;
use App\Models\Workshop;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Learning\Share;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * What came of the closed jobs: by month, circuit, model and person, each number with the jobs behind it.
 */
final class ResultsController extends Controller
{
    private const MONTHS = 12;
    private const MOST_ROWS = 200;
    private const MOST_JOBS = 100;

    /** Figures of some jobs. What was not compared with guessing is left out of that comparison on both sides. */
    private const FIGURES = [
        'count(*) as jobs',
        'sum(right_first is not null) as judged',
        'sum(right_first = 1) as rightly',
        'sum(came_back) as came_back',
        'avg(minutes) as minutes',
        'avg(if(guessing is null, null, avoidable)) as avoidable',
        'avg(guessing) as guessing',
    ];

    public function __construct(private readonly FamilyRegistry $families) {}

    public function index(Request $request): ResultsPage
    {
        $workshop = $this->user($request)->workshop;
        [$by, $from, $until] = self::asked($request);
        $months = $this->rows($workshop, ResultsBy::Month, $from, $until);

        return new ResultsPage(
            by: $by,
            ways: array_map(
                static fn(ResultsBy $one): Choice => new Choice(value: $one->value, label: $one->label()),
                ResultsBy::cases(),
            ),
            from: $from,
            until: $until,
            all: self::row(
                '',
                'All',
                (array) self::closed($workshop, $from, $until)->selectRaw(self::figures())->first(),
            ),
            rows: $by === ResultsBy::Month ? $months : $this->rows($workshop, $by, $from, $until),
            months: $months,
        );
    }

    public function csv(Request $request): StreamedResponse
    {
        [$by, $from, $until] = self::asked($request);
        $number = static fn(?float $one): string => $one === null ? '' : (string) round($one, 2);
        $head = [$by->value, 'jobs', 'judged', 'right first time', 'came back', 'minutes a job'];
        $rows = array_map(
            static fn(ResultRow $row): array => [
                $row->label,
                $row->jobs,
                $row->right->all,
                $row->right->of,
                $row->cameBack,
                $number($row->minutes),
                $number($row->avoidable),
                $number($row->guessing),
            ],
            $this->rows($this->user($request)->workshop, $by, $from, $until),
        );

        return CsvDownload::of(
            [[...$head, 'avoidable money a job', 'by guessing'], ...$rows],
            "results-by-$by->value.csv",
        );
    }

    public function jobs(Request $request): ResultJobsPage
    {
        $workshop = $this->user($request)->workshop;
        [$by, $from, $until] = self::asked($request);
        $which = ResultsWhich::tryFrom(Asked::text($request, 'which', 20)) ?? ResultsWhich::All;
        $of = $request->has('of') ? Asked::text($request, 'of', 120) : null;
        $ids = self::closed($workshop, $from, $until)
            ->when(
                $of !== null,
                static fn(Builder $rows) => $rows->whereRaw("coalesce({$by->column()}, '') = ?", [$of]),
            )
            ->when($which === ResultsWhich::Right, static fn(Builder $rows) => $rows->where('right_first', true))
            ->when($which === ResultsWhich::Not, static fn(Builder $rows) => $rows->where('right_first', false))
            ->when($which === ResultsWhich::CameBack, static fn(Builder $rows) => $rows->where('came_back', true))
            ->orderByDesc('closed_on')
            ->orderByDesc('job_id')
            ->limit(self::MOST_JOBS + 1)
            ->pluck('job_id');
        $jobs = $workshop
            ->jobs()
            ->with(['unit', 'owner', 'replacements'])
            ->whereKey($ids->take(self::MOST_JOBS))
            ->latest('closed_at')
            ->latest('id')
            ->get();

        return new ResultJobsPage(
            title: $of === null ? 'All' : $this->label($workshop, $by, $of),
            which: $which->label(),
            jobs: JobListed::all($workshop, $jobs),
            more: $ids->count() > self::MOST_JOBS,
            back: '/results?' . http_build_query(['by' => $by->value, 'from' => $from, 'until' => $until]),
        );
    }

    /** @return array{ResultsBy, string, string} */
    private static function asked(Request $request): array
    {
        $month = static function (string $field, Carbon $usual) use ($request): string {
            $given = Asked::text($request, $field, 7);

            return preg_match('/^(?:19|20)\d\d-(?:0[1-9]|1[0-2])$/', $given) === 1 ? $given : $usual->format('Y-m');
        };
        $until = $month('until', now());
        $from = $month(
            'from',
            now()
                ->startOfMonth()
                ->subMonthsNoOverflow(self::MONTHS - 1),
        );

        return [ResultsBy::tryFrom(Asked::text($request, 'by', 20)) ?? ResultsBy::Month, min($from, $until), $until];
    }

    private static function closed(Workshop $workshop, string $from, string $until): Builder
    {
        return DB::table('job_results')
            ->where('workshop_id', $workshop->id)
            ->where('closed_on', '>=', "$from-01")
            ->where(
                'closed_on',
                '<=',
                Carbon::parse("$until-01")
                    ->endOfMonth()
                    ->toDateString(),
            );
    }

    private static function figures(): string
    {
        return implode(', ', self::FIGURES);
    }

    /** @return list<ResultRow> */
    private function rows(Workshop $workshop, ResultsBy $by, string $from, string $until): array
    {
        $rows = self::closed($workshop, $from, $until)
            ->selectRaw("coalesce({$by->column()}, '') as of_group, " . self::figures())
            ->groupBy('of_group')
            ->orderByRaw($by === ResultsBy::Month ? 'of_group' : 'count(*) desc, of_group')
            ->limit(self::MOST_ROWS)
            ->get();

        return array_values(
            $rows
                ->map(
                    fn(\stdClass $row): ResultRow => self::row(
                        (string) $row->of_group,
                        $this->label($workshop, $by, (string) $row->of_group),
                        (array) $row,
                    ),
                )
                ->all(),
        );
    }

    private function label(Workshop $workshop, ResultsBy $by, string $of): string
    {
        return match (true) {
            $by === ResultsBy::Family => $this->families->has($of)
                ? $this->families->get($of)->texts()->get('name')
                : $of,
            $by === ResultsBy::Person => $workshop->names()[(int) $of] ?? 'Nobody',
            $by === ResultsBy::Month && preg_match('/^\d{4}-\d\d$/', $of) === 1 => Carbon::parse("$of-01")->format(
                'M Y',
            ),
            default => $of === '' ? 'Model not noted' : $of,
        };
    }

    /** @param array<array-key, mixed> $row */
    private static function row(string $of, string $label, array $row): ResultRow
    {
        $number = static fn(string $key): ?float => is_numeric($row[$key] ?? null) ? (float) $row[$key] : null;

        return new ResultRow(
            $of,
            $label,
            (int) $number('jobs'),
            Share::of((int) $number('rightly'), (int) $number('judged')),
            (int) $number('came_back'),
            $number('minutes'),
            $number('avoidable'),
            $number('guessing'),
        );
    }
}
