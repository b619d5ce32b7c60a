import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import JobRow from '@/jobs/JobRow';
import type { JobGroup, JobsPage, ListNumber } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import FilePick from '@/ui/FilePick';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

type Props = JobsPage & Shared;

type Asked = Partial<Record<'q' | 'view' | 'family' | 'person' | 'sort', string>>;

/** An address of the list: what was asked, with what is different. */
function address(asked: Asked): string {
    const given = Object.entries(asked).filter(([, value]) => value !== '');
    return given.length === 0 ? '/' : `/?${new URLSearchParams(given).toString()}`;
}

function useAsked(): Asked {
    const { search, view, family, person, sort } = usePage<Props>().props;
    return {
        q: search,
        view: view ?? '',
        family: family ?? '',
        person: person === null ? '' : String(person),
        sort: sort === 'touched' ? '' : sort,
    };
}

function Views({ numbers }: { numbers: ListNumber[] }) {
    const asked = useAsked();
    const look = (here: boolean) =>
        `inline-flex min-h-11 items-center gap-1.5 border-b-[3px] px-2 ${here ? 'border-ink font-semibold' : 'border-transparent text-soft hover:text-ink'}`;
    const first = Object.values(asked).every((value) => value === '');
    return (
        <nav
            aria-label="Lists of jobs"
            className="-mx-2 mt-4 flex flex-wrap border-b border-rule max-sm:flex-nowrap max-sm:overflow-x-auto max-sm:whitespace-nowrap"
        >
            <Link href="/" aria-current={first ? 'page' : undefined} className={look(first)}>
                Going on
            </Link>
            {numbers.map((one) => (
                <Link
                    key={one.view}
                    href={address({ ...asked, view: one.view })}
                    aria-current={asked.view === one.view ? 'page' : undefined}
                    className={look(asked.view === one.view)}
                >
                    {one.title}{' '}
                    <span className="figure text-[0.86rem]">
                        {one.more ? 'over ' : ''}
                        {one.count}
                    </span>
                </Link>
            ))}
        </nav>
    );
}

function Narrow() {
    const { families, people, sorts } = usePage<Props>().props;
    const asked = useAsked();
    const go = (change: Asked) => router.get(address({ ...asked, ...change }), {}, { preserveScroll: true });
    return (
        <div className="mt-3 grid gap-3 sm:grid-cols-3">
            <Select
                label="Kind of circuit"
                empty="all"
                choices={families}
                value={asked.family ?? ''}
                onChange={(event) => go({ family: event.target.value })}
            />
            <Select
                label="Whose"
                empty="everybody’s"
                choices={people}
                value={asked.person ?? ''}
                onChange={(event) => go({ person: event.target.value })}
            />
            <Select
                label="Order"
                choices={sorts}
                value={asked.sort === '' ? 'touched' : (asked.sort ?? 'touched')}
                onChange={(event) => go({ sort: event.target.value === 'touched' ? '' : event.target.value })}
            />
        </div>
    );
}

function Group({ group, flat }: { group: JobGroup; flat: boolean }) {
    return (
        <section aria-label={group.title} className="mt-7">
            <h2 className="mb-1 flex flex-wrap items-baseline gap-x-3 font-semibold">
                {group.title}{' '}
                {!flat && (
                    <span className="figure text-soft">
                        {group.more ? 'over ' : ''}
                        {group.count}
                    </span>
                )}
            </h2>
            <ul className="border-b border-rule">
                {group.jobs.map((one) => (
                    <JobRow key={one.job.id} listed={one} stage={flat} />
                ))}
            </ul>
            {group.view && <TextLink href={address({ view: group.view })}>All of them</TextLink>}
        </section>
    );
}

/** Offered to who has opened no job yet. */
function FourMinutes() {
    return (
        <section
            aria-label="New here?"
            className="mb-5 flex flex-wrap items-center justify-between gap-4 border-l-4 border-lake bg-sheet px-4 py-3"
        >
            <div>
                <h2 className="text-[1.3rem] leading-tight font-semibold">New here? Four minutes show the whole way</h2>
                <p className="text-soft">
                    A make-believe blower, from the complaint to the proof. Nothing can break, and it counts nowhere.
                </p>
            </div>
            <Button kind="act" onClick={() => router.post('/practice', { id: ulid(), mapId: ulid(), rung: 'first' })}>
                Begin
            </Button>
        </section>
    );
}

/** All jobs: what is going on first; any other list by what it is about, who has it, or words that are remembered. */
export default function Jobs() {
    const { groups, numbers, search, view, onlyTheNewest, newer, older, errors, newcomer } = usePage<Props>().props;
    const imports = useMay('correct');
    const asked = useAsked();
    const [words, setWords] = useState(search);
    const flat = Object.values(asked).some((value) => value !== '');
    const [narrowing, setNarrowing] = useState(flat && view === null);
    const find = (event: React.FormEvent) => {
        event.preventDefault();
        router.get(address({ ...asked, q: words.trim() }), {}, { preserveState: true });
    };
    return (
        <Frame title="Jobs">
            <div className="mx-auto max-w-[1180px] px-5 py-6">
                {newcomer && <FourMinutes />}
                <div className="flex flex-wrap items-end gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">Jobs</h1>
                    <form
                        onSubmit={find}
                        role="search"
                        className="flex items-end gap-2 max-sm:order-last max-sm:w-full"
                    >
                        <TextField
                            label="Words you remember"
                            type="search"
                            placeholder="van 7 heater"
                            value={words}
                            onChange={(event) => setWords(event.target.value)}
                            className="w-64 max-sm:flex-1"
                        />
                        <Button type="submit">Find</Button>
                    </form>
                    {imports && (
                        <FilePick label="Job file" accept="application/json,.json" to="/jobs/import">
                            Import a job file
                        </FilePick>
                    )}
                    <Link
                        href="/jobs/new"
                        className="inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                    >
                        New job
                    </Link>
                </div>
                {errors.file && (
                    <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                        {errors.file}
                    </p>
                )}
                <Views numbers={numbers} />
                {narrowing ? (
                    <Narrow />
                ) : (
                    <Button kind="quiet" className="-ml-2" onClick={() => setNarrowing(true)}>
                        By circuit, person or order
                    </Button>
                )}
                {groups.length === 0 && (
                    <p className="mt-8 text-lg">
                        {search !== ''
                            ? `No job has all of these words: "${search}". Half a word is enough, and fewer find more.`
                            : flat
                              ? 'No job is in this list.'
                              : 'No job yet. Open one with "New job": a unit, what is wrong, and what the fan does in each position. Or practise first, on a unit that is made up.'}
                    </p>
                )}
                {groups.map((group) => (
                    <Group key={group.title} group={group} flat={flat} />
                ))}
                {onlyTheNewest && (
                    <p className="mt-3 text-soft">
                        Very many jobs have each of these words: only the newest were looked through. Add a rarer one,
                        such as a number, for older ones.
                    </p>
                )}
                {(newer ?? older) && (
                    <nav aria-label="Pages" className="mt-3 flex gap-6">
                        {newer && <TextLink href={newer}>The page before</TextLink>}
                        {older && <TextLink href={older}>The next page</TextLink>}
                    </nav>
                )}
            </div>
        </Frame>
    );
}
