// Answers a second, and how long they take, of an empty route, the recording of a reading and the bench.
//
// node bin/throughput.mjs ADDRESS [SECONDS]
import { Client } from './client.mjs';

const [address, seconds] = [process.argv[2], Number(process.argv[3] ?? 10)];

const asked = {
    'empty route': (client) => client.ask('/ping'),
    'record a reading': (client) => client.reading(client.job, client.ask),
    'open the bench': (client) => client.ask(`/jobs/${client.job}/bench`),
};

async function measured(clients, ask) {
    const times = [];
    const began = performance.now();
    const needsJob = ask !== asked['empty route'];
    await Promise.all(
        clients.map(async (client) => {
            let number = 0;
            while (performance.now() - began < seconds * 1000) {
                // A job of many readings is another matter: begin a new one before.
                if (needsJob && number++ % 15 === 0) client.job = await client.newJob();
                const before = performance.now();
                await ask(client);
                times.push(performance.now() - before);
            }
        }),
    );
    times.sort((a, b) => a - b);
    const at = (share) => (times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? 0).toFixed(0);
    const mean = times.reduce((sum, time) => sum + time, 0) / times.length;
    return { p50: at(0.5), p95: at(0.95), rate: ((clients.length * 1000) / mean).toFixed(1) };
}

const clients = Array.from({ length: 8 }, () => new Client(address));
for (const client of clients) await client.signIn('iska@halvmark.example', 'lake-ferry');
for (const ask of Object.values(asked)) await measured(clients.slice(0, 2), ask);
process.stdout.write('| clients | what | median, ms | 95 %, ms | a second |\n|---|---|---|---|---|\n');
for (const count of [1, 8]) {
    for (const [what, ask] of Object.entries(asked)) {
        const { p50, p95, rate } = await measured(clients.slice(0, count), ask);
        process.stdout.write(`| ${String(count)} | ${what} | ${p50} | ${p95} | ${rate} |\n`);
    }
}
