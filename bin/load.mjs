// Loads an installation with readings while others kill its parts, and keeps account of what was acknowledged.
//
// node bin/load.mjs ADDRESS CLIENTS FILE
//
// Each client has a job of its own and records one reading after the other. A reading that gets no answer is sent again
// with the same number until it is answered: as the application's own pages do. It ends when it is told to on its
// standard input, and writes what was acknowledged, and the longest time in which nobody was answered.
import { writeFileSync } from 'node:fs';
import { account, beginToCount, Client } from './client.mjs';

const [address, count, file] = [process.argv[2], Number(process.argv[3] ?? 6), process.argv[4]];
const readingsPerJob = 25;
const [acknowledged, refused] = [[], []];
let ending = false;
process.stdin.on('data', () => (ending = true));
process.stdin.on('end', () => (ending = true));

/** One reading after the other, each sent until it is answered. */
async function record(client) {
    while (!ending) {
        const job = await client.newJob();
        for (let number = 0; number < readingsPerJob && !ending; number += 1) {
            const answer = await client.reading(job, client.surely);
            if (answer.status === 204) acknowledged.push(answer.id);
            else refused.push(`${String(answer.status)} ${answer.location} ${answer.text.slice(0, 200)}`);
            if (number % 5 === 4) await client.surely(`/jobs/${job}/bench`);
        }
    }
}

const clients = Array.from({ length: count }, () => new Client(address));
for (const client of clients) await client.signIn('iska@halvmark.example', 'lake-ferry');
beginToCount();
process.stdout.write('loading\n');
await Promise.all(clients.map(record));
for (const line of account.unexpected) process.stdout.write(`unexpected: ${line}\n`);
writeFileSync(file, JSON.stringify({ ...account, acknowledged, refused }));
process.stdout.write(
    `${String(acknowledged.length)} acknowledged, ${String(account.repeated)} sent again, ` +
        `${String(refused.length)} refused, longest time without an answer ${String(account.longestGap)} ms` +
        (account.gaps.length > 0 ? `; over 2 s: ${account.gaps.join(', ')}` : '') +
        '\n',
);
process.exit(0);
