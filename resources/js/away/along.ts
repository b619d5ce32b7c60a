import core from '../../../var/device-core.json?url';
import { kept, warmUp, type PageSent } from './kept';
import { forgetSent, since } from './outbox';
import { person } from './person';
import { store } from './store';

/** Pages beside a job that are needed out there. */
const BESIDE = ['/procedures', '/planners', '/parts', '/jobs/new'];

async function fetchPage(url: string): Promise<string | null> {
    const response = await fetch(url, {
        headers: {
            Accept: 'text/html',
            'X-Requested-With': 'XMLHttpRequest',
            'X-Inertia': 'true',
            'X-Inertia-Version': version(),
        },
    });
    return response.ok && response.headers.has('x-inertia') ? response.text() : null;
}

let version: () => string = () => '';

/** Where the version of the pages is to be asked. */
export function versionFrom(ask: () => string | null): void {
    version = () => ask() ?? '';
}

async function keepPage(url: string): Promise<PageSent | null> {
    const me = person();
    const page = me === null ? null : await fetchPage(url);
    if (me === null || page === null) return null;
    await (await store()).put('pages', { url, person: me, page, at: new Date().toISOString() });
    return JSON.parse(page) as PageSent;
}

/** A page as it was when a job was taken along. */
export async function keptPage(url: string): Promise<PageSent | null> {
    const { pathname } = new URL(url, location.origin);
    const found = await (await store()).get('pages', pathname);
    if (!found || found.person !== person()) return null;
    const page = JSON.parse(found.page) as PageSent;
    const notice = `As it was on ${new Date(found.at).toLocaleString()}: the server is out of reach.`;
    return { ...page, props: { ...page.props, notice, errors: {} }, url };
}

async function fetchKept(job: string): Promise<string> {
    const response = await fetch(`/jobs/${job}/along`, { headers: { Accept: 'application/json' } });
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    return response.text();
}

/** Takes a job along: what the core reads of it, the pages beside it, and the core itself, which is started. */
export async function takeAlong(
    job: { id: string; number: string; unit: string },
    user: unknown,
    said: (words: string) => void,
): Promise<void> {
    const me = person();
    if (me === null) throw new Error('Nobody is signed in.');
    said('Fetching the job');
    const json = await fetchKept(job.id);
    const at = new Date().toISOString();
    const one = { job: job.id, person: me, number: job.number, unit: job.unit, json, user, engine: core, at };
    said('Fetching the procedures, planners and parts');
    const [procedures] = await Promise.all(BESIDE.map(keepPage));
    const all = (procedures?.props['procedures'] ?? []) as { key: string }[];
    await Promise.all(all.map((procedure) => keepPage(`/procedures/${procedure.key}`)));
    said('Fetching the engine, about 4 MB the first time, and starting it');
    await controlled();
    await warmUp(one);
    await (await store()).put('jobs', one);
    // Where storage is short, what was asked to stay goes last; only a safe address may ask.
    if ('storage' in navigator) await navigator.storage.persist().catch(() => false);
}

export async function leaveHere(job: string): Promise<void> {
    await (await store()).delete('jobs', job);
}

/** Keeps what the server knows now of a job that was taken along. */
export function updateAfter(job: string): void {
    void update(job).catch(() => undefined);
}

/** Age from which a copy is a new one when a page of its job is opened, in ms. */
const OLD = 60_000;

/** What others did is in the copy as well, where its pages are looked at. */
export function updateWhenOld(job: string): void {
    void kept(job)
        .then((one) => (one && Date.now() - Date.parse(one.at) > OLD ? update(job) : undefined))
        .catch(() => undefined);
}

async function update(job: string): Promise<void> {
    const one = await kept(job);
    if (!one) return;
    const sent = (await since(job)).filter((entry) => entry.state === 'sent');
    const json = await fetchKept(job);
    const { stage } = (JSON.parse(json) as { job: { job: { stage: string } } }).job.job;
    // What is closed needs nothing more out there.
    if (stage === 'closed') await leaveHere(job);
    else await (await store()).put('jobs', { ...one, json, at: new Date().toISOString() });
    await forgetSent(sent);
}

/** After a new version was installed: what was taken along gets its engine, as long as there is a signal. */
export async function renew(): Promise<void> {
    const me = person();
    const old = (await (await store()).getAll('jobs')).filter((one) => one.person === me && one.engine !== core);
    for (const one of old)
        await takeAlong({ id: one.job, number: one.number, unit: one.unit }, one.user, () => undefined);
}

/** Waits until what is fetched is kept for later as well; at most some seconds, for there may be nobody to keep it. */
async function controlled(): Promise<void> {
    if (!('serviceWorker' in navigator) || navigator.serviceWorker.controller) return;
    await Promise.race([
        new Promise((done) => navigator.serviceWorker.addEventListener('controllerchange', done, { once: true })),
        new Promise((done) => setTimeout(done, 8000)),
    ]);
}
