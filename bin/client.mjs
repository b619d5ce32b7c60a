// Somebody who is signed in and asks for pages, as the studies of load and faults use it.
import { ulid } from 'ulid';

/** What happened to the requests of all clients together. */
export const account = { repeated: 0, longestGap: 0, answers: 0, failures: {}, gaps: [], unexpected: [] };
/** Milliseconds without an answer that are worth a line. */
const LONG = 2000;
let lastAnswer = Date.now();

/** From now on it counts how long nobody was answered. */
export function beginToCount() {
    lastAnswer = Date.now();
    account.longestGap = 0;
}

export class Client {
    cookies = new Map();

    constructor(address) {
        this.address = address;
    }

    async ask(path, method = 'GET', body = null, headers = {}) {
        const response = await fetch(this.address + path, {
            method,
            redirect: 'manual',
            signal: AbortSignal.timeout(20_000),
            headers: {
                Accept: 'text/html, application/xhtml+xml',
                Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                ...(body === null ? {} : { 'Content-Type': 'application/json' }),
                ...(this.cookies.has('XSRF-TOKEN')
                    ? { 'X-XSRF-TOKEN': decodeURIComponent(this.cookies.get('XSRF-TOKEN')) }
                    : {}),
                ...headers,
            },
            body: body === null ? undefined : JSON.stringify(body),
        });
        for (const cookie of response.headers.getSetCookie()) {
            const [pair] = cookie.split(';');
            this.cookies.set(pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1));
        }
        const text = await response.text();
        if (response.status >= 500 || response.status === 429) {
            throw new Error(`answer ${String(response.status)}`);
        }
        const gap = Date.now() - lastAnswer;
        account.longestGap = Math.max(account.longestGap, gap);
        if (gap > LONG) account.gaps.push(`${new Date().toISOString().slice(11, 19)} ${String(gap)} ms`);
        lastAnswer = Date.now();
        account.answers += 1;
        return { status: response.status, location: response.headers.get('location') ?? '', text };
    }

    /** Sends until there is an answer: the number in it makes the second one the same as the first. */
    async surely(path, method, body, headers) {
        for (;;) {
            try {
                return await this.ask(path, method, body, headers);
            } catch (error) {
                const why = String(error.cause?.code ?? error.message);
                account.failures[why] = (account.failures[why] ?? 0) + 1;
                account.repeated += 1;
                await new Promise((done) => setTimeout(done, 100));
            }
        }
    }

    async signIn(email, password) {
        for (;;) {
            await this.surely('/sign-in');
            const answer = await this.surely('/sign-in', 'POST', { email, password });
            if (answer.status === 302 && !answer.location.endsWith('/sign-in')) break;
            await new Promise((done) => setTimeout(done, 500));
        }
        const page = await this.surely('/account');
        this.person = /&quot;user&quot;:\{&quot;id&quot;:(\d+)/.exec(page.text)?.[1];
        if (this.person === undefined) throw new Error('Nobody is signed in: is the demo there?');
    }

    /** A reading with a number of its own, sent once or until it is answered, as `send` does. */
    async reading(job, send) {
        const id = ulid().toLowerCase();
        const answer = await send.call(
            this,
            `/jobs/${job}/readings`,
            'POST',
            { id, test: 'battery-volts@4', value: (12 + Math.random()).toFixed(2) },
            { 'X-Ispira-Person': this.person, 'X-Ispira-Waited': '0' },
        );
        return { id, ...answer };
    }

    /** A job on the bench, for readings to be recorded in. */
    async newJob() {
        const id = ulid().toLowerCase();
        const states = { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' };
        await this.surely('/jobs', 'POST', {
            id,
            mapId: ulid(),
            unitName: `Load ${id}`,
            complaint: 'Only the top speed blows',
            family: 'stepped-blower',
            parameters: { positions: '4' },
            states,
        });
        const kept = await this.surely(`/jobs/${id}/circuit`, 'PUT', { values: { positions: '4' } });
        if (!kept.location.endsWith('/bench')) {
            account.unexpected.push(`circuit: ${String(kept.status)} ${kept.location} ${kept.text.slice(0, 200)}`);
            return this.newJob();
        }
        return id;
    }
}
