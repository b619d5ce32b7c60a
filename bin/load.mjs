// Loads an installation with readings while others kill its parts, and keeps account of what was acknowledged.
//
// node bin/load.mjs ADDRESS CLIENTS FILE
//
// Each client has a job of its own and records one reading after the other. A reading that gets no answer is sent again
// with the same number until it is answered: as the application's own pages do. It ends when it is told to on its
// standard input, and writes what was acknowledged, and the longest time in which nobody was answered.
import { writeFileSync } from 'node:fs';
import { ulid } from 'ulid';

const [address, clients, file] = [process.argv[2], Number(process.argv[3] ?? 6), process.argv[4]];
const readingsPerJob = 25;
const account = { acknowledged: [], refused: [], repeated: 0, longestGap: 0, answers: 0, failures: {} };
let lastAnswer = Date.now();
let ending = false;
process.stdin.on('data', () => (ending = true));
process.stdin.on('end', () => (ending = true));

class Client {
    cookies = new Map();

    async ask(path, method = 'GET', body = null, headers = {}) {
        const response = await fetch(address + path, {
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
        account.longestGap = Math.max(account.longestGap, Date.now() - lastAnswer);
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
        await this.surely(`/jobs/${id}/circuit`, 'PUT', { values: { positions: '4' } });
        return id;
    }

    async run() {
        while (!ending) {
            const job = await this.newJob();
            for (let count = 0; count < readingsPerJob && !ending; count += 1) {
                const id = ulid().toLowerCase();
                const answer = await this.surely(
                    `/jobs/${job}/readings`,
                    'POST',
                    { id, test: 'battery-volts@4', value: (12 + Math.random()).toFixed(2) },
                    { 'X-Ispira-Person': this.person, 'X-Ispira-Waited': '0' },
                );
                if (answer.status === 204) account.acknowledged.push(id);
                else account.refused.push(`${String(answer.status)} ${answer.location} ${answer.text.slice(0, 200)}`);
                if (count % 5 === 4) await this.surely(`/jobs/${job}/bench`);
            }
        }
    }
}

const all = Array.from({ length: clients }, () => new Client());
for (const client of all) await client.signIn('iska@halvmark.example', 'lake-ferry');
lastAnswer = Date.now();
process.stdout.write('loading\n');
await Promise.all(all.map((client) => client.run()));
writeFileSync(file, JSON.stringify(account));
process.stdout.write(
    `${String(account.acknowledged.length)} acknowledged, ${String(account.repeated)} sent again, ` +
        `${String(account.refused.length)} refused, longest time without an answer ${String(account.longestGap)} ms\n`,
);
process.exit(0);
