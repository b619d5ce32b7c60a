import { Head, Link, router, usePage } from '@inertiajs/react';
import { useLayoutEffect, useState, type ReactNode } from 'react';
import type { JobHead } from '@/generated/props';
import { speakNumbers } from '@/lib/format';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import { showTheme, themeOfPerson } from '@/lib/theme';
import AwayLine from '@/away/AwayLine';
import Tour from '@/practice/Tour';
import WordsButton from '@/words/WordsButton';
import Waiting from './Waiting';
import TextLink from '@/ui/TextLink';

function currentTheme(): string {
    return typeof document === 'undefined' ? '' : (document.documentElement.dataset.theme ?? '');
}

function ThemeSwitch() {
    const [theme, setTheme] = useState(currentTheme);
    const dark = theme === 'dash';
    const change = () => {
        const next = dark ? 'day' : 'dash';
        showTheme(next);
        setTheme(next);
    };
    return (
        <button
            type="button"
            onClick={change}
            aria-pressed={dark}
            className="min-h-11 px-2 text-soft underline decoration-dotted underline-offset-4 hover:text-ink"
        >
            {dark ? 'light colours' : 'dark colours'}
        </button>
    );
}

const stages = [
    { key: 'complaint', label: 'Complaint' },
    { key: 'circuit', label: 'Circuit' },
    { key: 'bench', label: 'Bench' },
    { key: 'verdict', label: 'Verdict' },
    { key: 'remedy', label: 'Repair' },
    { key: 'proof', label: 'Proof' },
];

function reached(job: JobHead, stage: string): boolean {
    if (stage === 'complaint' || stage === 'circuit') return true;
    if (stage === 'bench' || stage === 'verdict' || stage === 'remedy') return job.stage !== 'circuit';
    // Without a machine to prove there is only the end of the job.
    if (!job.flow.includes('proof')) return job.stage !== 'circuit';
    return job.stage === 'proof' || job.stage === 'closed';
}

function StageTrail({ job, here }: { job: JobHead; here: string }) {
    return (
        <nav aria-label="Stages of the job" className="flex min-w-0 max-lg:order-3 max-lg:-ml-2.5 max-lg:basis-full">
            <ol className="flex">
                {stages.map((stage) => {
                    const current = stage.key === here;
                    const look = `flex min-h-11 items-center border-b-[3px] px-2.5 max-sm:px-1.5 ${current ? 'border-ink font-semibold' : 'border-transparent text-soft'}`;
                    return (
                        <li key={stage.key}>
                            {reached(job, stage.key) ? (
                                <Link
                                    href={`/jobs/${job.id}/${stage.key}`}
                                    aria-current={current ? 'page' : undefined}
                                    className={`${look} hover:text-ink`}
                                >
                                    {stage.key === 'proof' && !job.flow.includes('proof') ? 'Close' : stage.label}
                                </Link>
                            ) : (
                                <span className={look} aria-disabled="true">
                                    {stage.key === 'proof' && !job.flow.includes('proof') ? 'Close' : stage.label}
                                </span>
                            )}
                        </li>
                    );
                })}
            </ol>
        </nav>
    );
}

const places = [
    { label: 'Due', href: '/due' },
    { label: 'Parts', href: '/parts' },
    { label: 'Instruments', href: '/instruments' },
    { label: 'Procedures', href: '/procedures' },
    { label: 'Planners', href: '/planners' },
    { label: 'Records', href: '/experience' },
    { label: 'Practise', href: '/practice' },
];

/** The ways to everything beside a job; folded on a phone, where they would push the page away. */
function Places({ user }: { user: NonNullable<Shared['user']> }) {
    const [open, setOpen] = useState(false);
    const people = useMay('people');
    return (
        <>
            <button
                type="button"
                aria-expanded={open}
                onClick={() => setOpen(!open)}
                className="min-h-11 px-2 text-lake underline underline-offset-4 sm:hidden"
            >
                {open ? 'Fold' : 'Menu'}
            </button>
            <nav
                aria-label="Places"
                className={`flex-wrap items-center justify-end gap-x-2 max-sm:basis-full sm:flex ${open ? 'flex' : 'hidden'}`}
            >
                {[...places, ...(people ? [{ label: 'People', href: '/people' }] : [])].map((one) => (
                    <TextLink key={one.href} apart href={one.href}>
                        {one.label}
                    </TextLink>
                ))}
                <TextLink apart href="/account" aria-label={`Your account, ${user.name}`}>
                    {user.name}
                </TextLink>
                <button
                    type="button"
                    onClick={() => router.post('/sign-out')}
                    className="min-h-11 px-2 text-lake underline underline-offset-4"
                >
                    Sign out
                </button>
            </nav>
        </>
    );
}

interface Props {
    title: string;
    job?: JobHead;
    here?: string;
    fill?: boolean;
    /** Whether the stages of the job are shown. */
    trail?: boolean;
    children: ReactNode;
}

/** Head of every page: where you are, and the way back. */
export default function Frame({ title, job, here = '', fill = false, trail = true, children }: Props) {
    const { user, notice } = usePage<Shared>().props;
    speakNumbers(user?.numbers ?? 'point');
    const theme = user?.theme ?? null;
    useLayoutEffect(() => themeOfPerson(theme), [theme]);
    return (
        <div className={`flex min-h-screen flex-col ${fill ? 'lg:h-screen lg:overflow-hidden' : ''}`}>
            <Head title={title} />
            <Waiting />
            <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:bg-sheet focus:p-3">
                To the content
            </a>
            <header className="flex flex-wrap items-center gap-x-4 border-b border-rule px-5">
                <Link
                    href="/"
                    className="flex min-h-11 items-center text-[1.35rem] font-semibold tracking-tight text-lake"
                >
                    ispira
                </Link>
                {job ? (
                    <>
                        <p className="flex min-w-0 flex-1 items-baseline gap-3 max-lg:order-2 max-lg:basis-full">
                            <span className="figure text-soft">{job.number}</span>
                            <span className="font-semibold whitespace-nowrap">{job.unit}</span>
                            <span className="truncate text-soft max-sm:hidden">{job.complaint}</span>
                        </p>
                        {trail && <StageTrail job={job} here={here} />}
                    </>
                ) : (
                    <p className="flex-1 truncate text-soft">{user?.workshop}</p>
                )}
                <div className="ml-auto flex flex-wrap items-center justify-end gap-x-2 whitespace-nowrap max-lg:order-1 max-sm:-mr-2 max-sm:gap-x-0">
                    <AwayLine />
                    <WordsButton />
                    <ThemeSwitch />
                    {user && !job && <Places user={user} />}
                </div>
            </header>
            {notice && (
                <p role="status" className="border-b border-warn/40 bg-caution px-5 py-2 font-medium">
                    {notice}
                </p>
            )}
            {job && <Tour job={job} />}
            <main id="main" className={`flex-1 ${fill ? 'flex min-h-0 flex-col' : ''}`}>
                {children}
            </main>
        </div>
    );
}
