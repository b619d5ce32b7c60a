import { ask } from './desk';
import { mine, since } from './outbox';
import { person } from './person';
import { store, type Entry, type Kept } from './store';

/** What Inertia shows: a component, what it is sent, and where that is. */
export interface PageSent {
    component: string;
    props: Record<string, unknown>;
    url: string;
    version: string | null;
}

interface Answer {
    component: string;
    page: string;
    props: Record<string, unknown>;
    notice: string | null;
    errors: Record<string, string>;
}

const OF_JOB = /^\/jobs\/([0-9a-zA-Z]{26})(?:\/(.*))?$/;
const OF_RUN = /^\/runs\/([0-9a-zA-Z]{26})/;
/** Pages that lie beside a job, and belong to one where their question says so. */
const BESIDE_JOB = /^\/(?:planners\/|procedures(?:$|\/))/;

/** The job to which an address belongs, and what of it. */
export function ofJob(url: string): { job: string; what: string } | null {
    const { pathname, search } = new URL(url, location.origin);
    const found = OF_JOB.exec(pathname);
    if (found?.[1]) return { job: found[1], what: `${found[2] ?? ''}${search}` };
    const job = new URLSearchParams(search).get('job');
    return job !== null && BESIDE_JOB.test(pathname) ? { job, what: pathname.slice(1) + search } : null;
}

/** The same; of a procedure that was begun, the job for which that was. */
export async function belongs(url: string): Promise<{ job: string; what: string } | null> {
    const direct = ofJob(url);
    const { pathname } = new URL(url, location.origin);
    const run = OF_RUN.exec(pathname)?.[1];
    if (direct || run === undefined) return direct;
    const begun = (await mine()).find(
        (entry) => BEGIN.test(entry.url) && String(given(entry)['id']).toLowerCase() === run.toLowerCase(),
    );
    const job = begun ? begun.job : await jobWithRun(run);
    return job === null ? null : { job, what: pathname.slice(1) };
}

const BEGIN = /^\/procedures\/[^/]+\/runs$/;

async function jobWithRun(run: string): Promise<string | null> {
    const jobs = await store()
        .then((db) => db.getAll('jobs'))
        .catch(() => []);
    const found = jobs.find((one) => {
        const { runs } = JSON.parse(one.json) as { runs?: string[] };
        return one.person === person() && runs?.includes(run);
    });
    return found?.job ?? null;
}

/** The job for which something is entered. */
export async function jobOf(path: string, body: unknown): Promise<string | null> {
    const found = await belongs(path);
    if (found || !BEGIN.test(path) || typeof body !== 'string') return found?.job ?? null;
    const { job } = JSON.parse(body) as { job?: unknown };
    return typeof job === 'string' ? job : null;
}

export async function kept(job: string): Promise<Kept | null> {
    const found = await store()
        .then((db) => db.get('jobs', job))
        .catch(() => undefined);
    return found && found.person === person() ? found : null;
}

function given(entry: Entry): Record<string, unknown> {
    return typeof entry.body === 'string' && entry.body !== ''
        ? (JSON.parse(entry.body) as Record<string, unknown>)
        : {};
}

/**
 * Asks the core on the device.
 *
 * @param page of the job, with its question; null for where the last entry leads
 * @param from where the person stood, for what leads nowhere
 */
async function answered(job: Kept, page: string | null, from: string): Promise<Answer> {
    const done = (await since(job.job)).map((entry) => ({
        // The same entry with something else in it is done anew.
        key: `${entry.seq} ${entry.at}`,
        act: ofJob(entry.url)?.what ?? entry.url.slice(1),
        given: given(entry),
        at: entry.at,
    }));
    const day = new Date();
    const today = [day.getFullYear(), day.getMonth() + 1, day.getDate()]
        .map((part) => String(part).padStart(2, '0'))
        .join('-');
    return JSON.parse(await ask(JSON.stringify({ kept: job.json, today, done, page, from }))) as Answer;
}

function sent(job: Kept, answer: Answer): PageSent {
    const { page } = answer;
    return {
        component: answer.component,
        props: { ...answer.props, errors: answer.errors, notice: answer.notice, user: job.user },
        url: addressOf(job.job, page),
        version: null,
    };
}

function addressOf(job: string, page: string): string {
    if (page.startsWith('runs/')) return `/${page}`;
    if (!BESIDE_JOB.test(`/${page}`)) return `/jobs/${job}/${page}`;
    return page.includes('?') ? `/${page}` : `/${page}?job=${job}`;
}

/** A page of a job that was taken along, made on the device; null where it was not. */
export async function pageOf(url: string): Promise<PageSent | null> {
    const asked = await belongs(url);
    const job = asked && (await kept(asked.job));
    if (!asked || !job) return null;
    return sent(job, await answered(job, asked.what === '' ? null : asked.what, asked.what));
}

/** Where an entry leads that has just been kept; null where its job was not taken along. */
export async function pageAfter(entry: Entry, from: string): Promise<PageSent | null> {
    const job = entry.job === null ? null : await kept(entry.job);
    return job && sent(job, await answered(job, null, (await belongs(from))?.what ?? ''));
}

/** Starts what is kept, so that the first question out there is not the slowest. */
export async function warmUp(job: Kept): Promise<void> {
    await answered(job, 'bench', '');
}
