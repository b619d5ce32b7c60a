import axios, { AxiosError, isCancel, type AxiosResponse, type InternalAxiosRequestConfig } from 'axios';
import { DeskFailed } from './desk';
import { keptPage, renew, updateAfter, updateWhenOld, versionFrom } from './along';
import { belongs, jobOf, kept, pageAfter, pageOf, type PageSent } from './kept';
import { add, outbox, reached, refresh, refuse, remove, taken, waiting } from './outbox';
import { person, setPerson } from './person';
import type { Entry } from './store';
import { readingWords } from './words';

const send = axios.getAdapter(['xhr']);

/** How long the server may stay silent before the device answers, in ms. */
const SILENCE = 20_000;

/** What goes through the outbox: entries of jobs, of runs of procedures. Settings and files that are worked on are asked at once. */
const ENTRIES = [/^\/jobs$/, /^\/jobs\/[0-9a-zA-Z]{26}\/(?!captures|log$)/, /^\/runs\//, /^\/procedures\/[^/]+\/runs$/];

let last: PageSent;

/** From now on everything that pages send and ask goes through here. */
export function connect(first: PageSent): void {
    note(first);
    versionFrom(() => last.version);
    axios.defaults.adapter = (config) =>
        (config.method ?? 'get').toLowerCase() === 'get' ? read(config) : write(config);
    const again = () => void flush();
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    setInterval(again, 15_000);
    void refresh().then(again);
    setTimeout(() => void renew().catch(() => undefined), 3000);
}

/** Remembers what was shown last, and whose it is. */
function note(page: PageSent): void {
    last = page;
    const user = page.props['user'] as { id: number } | null | undefined;
    if (user) setPerson(user.id);
    else if (page.component === 'SignIn' && !outbox.now().signedOut && outbox.now().entries.length === 0)
        setPerson(null);
}

function shown(response: AxiosResponse): PageSent | null {
    if (!response.headers['x-inertia']) return null;
    return (typeof response.data === 'string' ? JSON.parse(response.data) : response.data) as PageSent;
}

/** An answer that looks as if the server had given it. */
function respond(config: InternalAxiosRequestConfig, page: PageSent): AxiosResponse {
    last = { ...page, version: last.version };
    const data = JSON.stringify(last);
    return { data, status: 200, statusText: 'OK', headers: { 'x-inertia': 'true' }, config };
}

function overTheNet(config: InternalAxiosRequestConfig): Promise<AxiosResponse> {
    // A file may take its time.
    if (!(config.data instanceof FormData)) config.timeout ||= SILENCE;
    return send(config);
}

async function read(config: InternalAxiosRequestConfig): Promise<AxiosResponse> {
    const url = config.url ?? '';
    if ((await waiting()).length > 0) await flush();
    const job = (await belongs(url))?.job;
    // As long as something of it waits, the device knows more of the job than the server.
    if (job !== undefined && (await waiting(job)).length > 0) {
        const page = await pageOf(url).catch(() => null);
        if (page) return respond(config, page);
    }
    try {
        const response = await overTheNet(config);
        const page = shown(response);
        reached(false, outbox.now().signedOut && page?.component === 'SignIn');
        if (page) note(page);
        if (job !== undefined) updateWhenOld(job);
        return response;
    } catch (error) {
        if (isCancel(error) || (error instanceof AxiosError && error.response)) throw error;
        reached(true);
        const page = (await pageOf(url).catch(() => null)) ?? (await keptPage(url).catch(() => null));
        if (page) return respond(config, page);
        // What only looks whether something has changed leaves the page as it is.
        if (config.headers.has('Cache-Control')) throw error;
        return respond(config, nothingKept(url));
    }
}

/** Says that nothing of that address lies on the device, and what does. */
function nothingKept(url: string): PageSent {
    const { user } = last.props;
    const { pathname, search } = new URL(url, location.origin);
    const why = 'The server is out of reach.';
    return {
        component: 'Away',
        props: { job: null, why, user, notice: null, errors: {} },
        url: pathname + search,
        version: null,
    };
}

type Verdict = { is: 'taken' } | { is: 'answered'; why: string } | { is: 'refused'; why: string } | { is: 'later' };

/** What became of an entry, by what came back. */
function judge(response: AxiosResponse): Verdict {
    // What is sent by itself is answered in one word.
    if (response.status === 204) {
        reached(false);
        return { is: 'taken' };
    }
    const page = shown(response);
    if (!page) return { is: 'later' };
    reached(false);
    const errors = Object.values((page.props['errors'] ?? {}) as Record<string, string>);
    return errors[0] === undefined ? { is: 'taken' } : { is: 'answered', why: errors[0] };
}

/** What became of an entry to which no page came back. */
function judgeError(error: unknown): Verdict {
    const response = error instanceof AxiosError ? error.response : undefined;
    if (!response) {
        if (!isCancel(error)) reached(true);
        return { is: 'later' };
    }
    // The pages have changed since: it was taken, and the answer would have been a new page.
    if (response.status === 409) return { is: 'taken' };
    if (response.status === 419 || response.status === 401 || response.headers['x-ispira-person']) {
        reached(false, true);
        return { is: 'later' };
    }
    reached(false);
    if (response.status === 422) {
        const { errors } = JSON.parse(String(response.data)) as { errors: string[] };
        return { is: 'refused', why: errors.join(' ') };
    }
    return response.status >= 500 || response.status === 429
        ? { is: 'later' }
        : { is: 'refused', why: `The server does not take it (${response.status}).` };
}

async function settle(entry: Entry): Promise<void> {
    await taken(entry, entry.job !== null && (await kept(entry.job)) !== null);
}

async function write(config: InternalAxiosRequestConfig): Promise<AxiosResponse> {
    const url = config.url ?? '';
    const me = person();
    const path = new URL(url, location.origin).pathname;
    if (path === '/sign-out') return signOut(config);
    if (me === null || !ENTRIES.some((one) => one.test(path))) {
        const response = await overTheNet(config);
        const page = shown(response);
        if (page) note(page);
        if (path === '/sign-in' && page?.props['user']) {
            reached(false, false);
            await refresh();
            void flush();
        }
        return response;
    }
    const entry = await add({
        person: me,
        job: await jobOf(path, config.data),
        method: (config.method ?? 'post').toLowerCase(),
        url: path,
        body: config.data instanceof FormData ? [...config.data.entries()] : String(config.data ?? ''),
        at: new Date().toISOString(),
        words: readingWords(last.props, config.data),
        state: 'waiting',
        why: null,
    }).catch(() => null);
    // A browser that may keep nothing sends at once, as pages ever did.
    if (entry === null) return overTheNet(config);
    inHand.add(entry.seq);
    try {
        return await sendNow(config, entry);
    } finally {
        inHand.delete(entry.seq);
    }
}

/** What is being sent by the page itself, and not once more by the way. */
const inHand = new Set<number>();

async function sendNow(config: InternalAxiosRequestConfig, entry: Entry): Promise<AxiosResponse> {
    if ((await waiting())[0]?.seq !== entry.seq) {
        await flush(entry.seq);
        if ((await waiting())[0]?.seq !== entry.seq) return keep(config, entry);
    }
    config.headers.set('X-Ispira-Person', String(entry.person));
    try {
        const response = await overTheNet(config);
        const verdict = judge(response);
        if (verdict.is === 'later') return await keep(config, entry);
        await (verdict.is === 'taken' ? settle(entry) : remove(entry.seq));
        if (verdict.is === 'taken' && entry.job !== null) updateAfter(entry.job);
        const page = shown(response);
        if (page) note(page);
        return response;
    } catch (error) {
        const verdict = judgeError(error);
        if (verdict.is === 'taken') await settle(entry);
        // A step that was overtaken by another one of the same person: it is sent again by itself.
        if (verdict.is === 'taken' || isCancel(error)) throw error;
        if (verdict.is === 'refused') await refuse(entry, verdict.why);
        return keep(config, entry);
    }
}

/** Signs out on this device at once, whether the server hears of it or not: what waits stays for the next time. */
async function signOut(config: InternalAxiosRequestConfig): Promise<AxiosResponse> {
    setPerson(null);
    await refresh();
    return overTheNet(config);
}

/** Answers for the server: what was entered is kept, and the work goes on. */
async function keep(config: InternalAxiosRequestConfig, entry: Entry): Promise<AxiosResponse> {
    const notice = 'Kept on this device. It is sent by itself when the server is in reach.';
    try {
        const page = await pageAfter(entry, location.href);
        if (page) {
            // What the rules refuse here they would refuse there: it is answered at its field, and waits for nothing.
            if (Object.keys(page.props['errors'] as object).length > 0) await remove(entry.seq);
            return respond(config, page);
        }
    } catch (error) {
        if (!(error instanceof DeskFailed)) throw error;
    }
    return respond(config, { ...last, props: { ...last.props, notice, errors: {} } });
}

let flushing: Promise<void> | null = null;

/**
 * Sends what waits, in its order. Stops at the first that does not get through.
 *
 * @param before only what was entered before that
 */
export function flush(before = Infinity): Promise<void> {
    return (flushing ??= inTurn(() => sendAll(before)).finally(() => (flushing = null)));
}

/** One tab at a time. */
async function inTurn(work: () => Promise<void>): Promise<void> {
    if ('locks' in navigator) await navigator.locks.request('ispira-outbox', work);
    else await work();
}

async function sendAll(before: number): Promise<void> {
    const jobs = new Set<string>();
    for (const entry of await waiting()) {
        if (entry.seq >= before || inHand.has(entry.seq) || !(await sendOne(entry))) break;
        if (entry.job !== null) jobs.add(entry.job);
    }
    jobs.forEach(updateAfter);
    const here = (await belongs(location.href))?.job;
    if (here !== undefined && jobs.has(here)) onSent?.();
}

let onSent: (() => void) | null = null;

/** What is done when entries of the job that is shown have reached the server. */
export function whenSent(then: () => void): void {
    onSent = then;
}

/** @returns whether the next one may follow */
async function sendOne(entry: Entry): Promise<boolean> {
    let verdict: Verdict;
    try {
        const response = await axios.request<string>({
            method: entry.method,
            url: entry.url,
            data: typeof entry.body === 'string' ? entry.body : form(entry.body),
            responseType: 'text',
            timeout: SILENCE,
            adapter: send,
            headers: {
                ...(typeof entry.body === 'string' ? { 'Content-Type': 'application/json' } : {}),
                Accept: 'text/html, application/xhtml+xml',
                'X-Requested-With': 'XMLHttpRequest',
                'X-Inertia': 'true',
                'X-Inertia-Version': last.version ?? '',
                'X-Ispira-Person': String(entry.person),
                'X-Ispira-Waited': String(Math.max(0, Math.round((Date.now() - Date.parse(entry.at)) / 1000))),
            },
        });
        verdict = judge(response);
    } catch (error) {
        verdict = judgeError(error);
    }
    if (verdict.is === 'later') return false;
    if (verdict.is === 'taken') await settle(entry);
    else await refuse(entry, verdict.why);
    return true;
}

function form(fields: [string, string | File][]): FormData {
    const data = new FormData();
    fields.forEach(([name, value]) => data.append(name, value));
    return data;
}
