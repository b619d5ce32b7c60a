<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Asked;
use App\Models\Job;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Kernel\Choice;

/**
 * The jobs of a workshop, as they are looked for. However many there are, a page reads so many rows and no more.
 */
final readonly class JobList
{
    private const A_PAGE = 50;
    private const CLOSED_AT_FIRST = 20;

    /** How many of the first are looked at for words that many jobs have. */
    private const LOOKED_AT = 300;

    /** Nobody needs to know how many more there are. */
    private const MOST_COUNTED = 200;

    /** What is going on, as the first page shows it. */
    private const GOING_ON = [ListView::Bench, ListView::Proof, ListView::Circuit, ListView::Closed];

    public function __construct(private FamilyRegistry $families) {}

    public function page(Request $request, User $user): JobsPage
    {
        $search = trim(Asked::text($request, 'q', 100));
        $view = ListView::tryFrom(Asked::text($request, 'view', 20));
        $family = Asked::text($request, 'family', 60);
        $family = $this->families->has($family) ? $family : null;
        $person = $request->integer('person') > 0 ? $request->integer('person') : null;
        $sort = ListSort::tryFrom(Asked::text($request, 'sort', 20)) ?? ListSort::Touched;
        $numbers = array_map(fn(ListView $one): ListNumber => $this->number($one, $user), ListView::cases());
        $asked =
            $search !== '' || $view !== null || $family !== null || $person !== null || $sort !== ListSort::Touched;
        [$groups, $newer, $older, $cut] = $asked
            ? $this->found($request, $user, $search, $view ?? ListView::All, $family, $person, $sort)
            : [$this->goingOn($user, $numbers), null, null, false];

        return new JobsPage(
            search: $search,
            view: $view,
            family: $family,
            person: $person,
            sort: $sort,
            numbers: $numbers,
            groups: $groups,
            onlyTheNewest: $cut && ($groups === [] || !$groups[0]->more),
            newer: $newer,
            older: $older,
            families: array_map(
                static fn(FamilyHead $one): Choice => new Choice(value: $one->key, label: $one->name),
                FamilyHead::all($this->families),
            ),
            people: array_map(
                static fn(int $id, string $name): Choice => new Choice(value: (string) $id, label: $name),
                array_keys($user->workshop->names()),
                $user->workshop->names(),
            ),
            sorts: array_map(
                static fn(ListSort $one): Choice => new Choice(value: $one->value, label: $one->label()),
                ListSort::cases(),
            ),
            newcomer: !$user->workshop->jobs()->where('user_id', $user->id)->exists(),
        );
    }

    /** @return Builder<Job> */
    private static function of(User $user, ListView $view): Builder
    {
        return $view->only($user->workshop->jobs()->getQuery(), $user);
    }

    private function number(ListView $view, User $user): ListNumber
    {
        $some = self::of($user, $view)
            ->toBase()
            ->select(DB::raw('1'))
            ->limit(self::MOST_COUNTED + 1);
        $count = DB::query()->fromSub($some, 'some')->count();

        return new ListNumber(
            view: $view,
            title: $view->title(),
            count: min($count, self::MOST_COUNTED),
            more: $count > self::MOST_COUNTED,
        );
    }

    /**
     * @param list<ListNumber> $numbers
     *
     * @return list<JobGroup>
     */
    private function goingOn(User $user, array $numbers): array
    {
        $groups = [];
        foreach (self::GOING_ON as $view) {
            $most = $view === ListView::Closed ? self::CLOSED_AT_FIRST : self::A_PAGE;
            $jobs = self::of($user, $view)
                ->with(['unit', 'owner', 'replacements'])
                ->latest('updated_at')
                ->latest('id')
                ->limit($most)
                ->get();
            foreach ($numbers as $number) {
                if ($number->view === $view && $number->count > 0) {
                    $groups[] = new JobGroup(
                        title: $view->title(),
                        view: $number->count > $most ? $view : null,
                        count: $number->count,
                        more: $number->more,
                        jobs: JobListed::all($user->workshop, $jobs),
                    );
                }
            }
        }

        return $groups;
    }

    /** @return array{list<JobGroup>, string|null, string|null, bool} */
    private function found(
        Request $request,
        User $user,
        string $search,
        ListView $view,
        ?string $family,
        ?int $person,
        ListSort $sort,
    ): array {
        $query = self::of($user, $view)
            ->when($family !== null, static fn(Builder $jobs) => $jobs->where('family', $family))
            ->when($person !== null, static fn(Builder $jobs) => $jobs->where('owner_id', $person));
        foreach ($sort->by($view) as $column => $direction) {
            $query->orderBy($column, $direction);
        }
        $narrowed = $view !== ListView::All || $family !== null || $person !== null;
        $cut = $search !== '' && self::having($query, $user, $search, $request->has('cursor'), $narrowed, $sort);
        // Only what orders them is read of all that fit; the rest of a job only where it is shown.
        $page = $query
            ->cursorPaginate(self::A_PAGE, ['id', ...array_keys($sort->by($view))])
            ->withPath('/')
            ->appends($request->except(['cursor', 'page']));
        $ids = array_map(static fn(Job $one): string => $one->id, $page->items());
        $jobs = Job::query()
            ->with(['unit', 'owner', 'replacements'])
            ->whereKey($ids)
            ->get()
            ->sortBy(static fn(Job $one): int => (int) array_search($one->id, $ids, true));

        return [
            $jobs->isEmpty()
                ? []
                : [
                    new JobGroup(
                        title: $view->title(),
                        view: null,
                        count: $jobs->count(),
                        more: $page->hasMorePages(),
                        jobs: JobListed::all($user->workshop, $jobs),
                    ),
                ],
            $page->previousPageUrl(),
            $page->nextPageUrl(),
            $cut,
        ];
    }

    /**
     * Keeps those that have all the words. Words that most jobs have are looked for among the first of the list, where
     * they fill a page; only others are looked for everywhere.
     *
     * @param Builder<Job> $query in the order of the list
     * @param bool $narrowed whether the list leaves out jobs for other reasons than words
     *
     * @return bool whether jobs that were not looked at may have them as well
     */
    private static function having(
        Builder $query,
        User $user,
        string $search,
        bool $later,
        bool $narrowed,
        ListSort $sort,
    ): bool {
        $dense = [];
        if (!$later) {
            $first = array_values(
                array_map(intval(...), $query->clone()->limit(self::LOOKED_AT)->pluck('number')->all()),
            );
            $dense = $first === [] ? [] : JobTerms::among($user->workshop_id, $search, $first);
            if (count($dense) > self::A_PAGE) {
                $query->whereIn('number', $dense);

                return true;
            }
        }
        $enough = $later || $narrowed ? \PHP_INT_MAX : self::A_PAGE + 1;
        $found = JobTerms::find($user->workshop_id, $search, $enough, $sort === ListSort::Oldest);
        $query->whereIn('number', array_values(array_unique([...$dense, ...$found->numbers])));

        return $found->cut;
    }
}
