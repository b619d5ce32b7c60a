// Measures what it takes to go on with no signal: node bin/measure-away.mjs [address], against a freshly started demo.
import { chromium } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const address = process.argv[2] ?? 'http://127.0.0.1:8000';
const assets = new URL('../public/build/assets/', import.meta.url).pathname;
const kilobytes = (bytes) => `${Math.round(bytes / 1000)} kB`;
const since = (start) => `${((performance.now() - start) / 1000).toFixed(2)} s`;

const engine = readdirSync(assets).filter((name) => /^(desk|php8|PhpBase|device-core)|\.wasm$/.test(name));
let plain = 0;
let packed = 0;
for (const name of engine) {
    const bytes = readFileSync(assets + name);
    plain += bytes.length;
    packed += gzipSync(bytes, { level: 9 }).length;
    console.log(`${name}: ${kilobytes(bytes.length)}, ${kilobytes(gzipSync(bytes, { level: 9 }).length)} compressed`);
}
console.log(`engine in all: ${kilobytes(plain)}, ${kilobytes(packed)} compressed`);

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: address });
const page = await context.newPage();
await page.goto('/sign-in');
await page.getByLabel('E-mail address').fill('iska@halvmark.example');
await page.getByLabel('Password').fill('lake-ferry');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Jobs' }).waitFor();

/** A seven-speed blower, where nothing was measured yet: the largest ordinary circuit. */
async function open(unit) {
    await page.getByRole('link', { name: 'New job' }).click();
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Only the highest speed works');
    await page.getByRole('radio', { name: '7', exact: true }).click();
    for (const position of ['key-off', 'off', '7'])
        await page.locator(`[data-position="${position}"] [data-answer="right"]`).click();
    for (const position of ['1', '2', '3', '4', '5', '6'])
        await page.locator(`[data-position="${position}"] [data-answer="dead"]`).click();
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByRole('region', { name: 'Next test' }).waitFor();
}

async function takeAlong(said) {
    const start = performance.now();
    await page.getByRole('button', { name: 'Take this job along' }).click();
    await page.getByText('it goes on with no signal').waitFor({ timeout: 120_000 });
    console.log(`${said}: ${since(start)}`);
}

await open('Measured bus, cabin');
await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
await takeAlong('taken along for the first time (fetched, compiled, first diagnosis)');
await page.getByRole('button', { name: 'Leave it here' }).click();
await takeAlong('taken along again (engine running)');

await context.setOffline(true);
for (const time of ['first', 'second']) {
    const start = performance.now();
    await page.reload();
    await page.getByRole('region', { name: 'Suspects' }).waitFor({ timeout: 120_000 });
    console.log(`page opened with no signal, ${time} time (start of the engine, cold diagnosis): ${since(start)}`);
}
const dock = page.getByRole('region', { name: 'Reading', exact: true });
for (const value of ['0.02', '12.9', '0.03']) {
    if (!(await dock.getByRole('textbox').first().isVisible())) break;
    const readings = await page.locator('[data-readings]').getAttribute('data-readings');
    await dock.getByRole('textbox').first().fill(value);
    const start = performance.now();
    await dock.getByRole('button', { name: 'Record', exact: true }).click();
    await page.locator(`[data-readings]:not([data-readings="${readings}"])`).waitFor({ timeout: 60_000 });
    console.log(`a reading recorded, weighed and the next test proposed (warm): ${since(start)}`);
    const keep = page.getByRole('button', { name: 'It is right, keep it' });
    if (await keep.isVisible()) await keep.click();
}
const start = performance.now();
await page.getByRole('link', { name: /erdict/ }).first().click();
await page.getByRole('heading', { level: 1 }).waitFor();
await page.waitForURL('**/verdict');
console.log(`verdict: ${since(start)}`);
const kept = await page.evaluate(async () => (await navigator.storage.estimate()).usage ?? 0);
console.log(`kept on the device: ${kilobytes(kept)}`);
await browser.close();
