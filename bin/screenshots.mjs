// Takes the pictures of docs/screenshots from a freshly started demo: node bin/screenshots.mjs [address]
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:8000';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'] });

const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = async (name) => {
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `${folder}${name}.png` });
};

await page.goto(`${address}/sign-in`);
await shoot('sign-in');
await page.getByLabel('E-mail address').fill('iska@halvmark.example');
await page.getByLabel('Password').fill('lake-ferry');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Jobs' }).waitFor();
await shoot('jobs');

const jobs = {};
for (const link of await page.locator('main li a').all()) {
    const number = (await link.innerText()).split('\n')[0];
    jobs[number] = await link.getAttribute('href');
}
const open = async (number, stage) => {
    await page.goto(`${address}${jobs[number]}/${stage}`);
};

await page.goto(`${address}/jobs/new`);
await shoot('new-job');
await open('J-0009', 'bench');
await shoot('bench');
await open('J-0008', 'bench');
await shoot('bench-reopened');
await open('J-0011', 'complaint');
await shoot('complaint');
await open('J-0015', 'circuit');
await shoot('circuit');
await open('J-0012', 'verdict');
await shoot('verdict');
await open('J-0006', 'proof');
await shoot('proof');
await open('J-0003', 'proof');
await shoot('closed');
await page.evaluate(() => localStorage.setItem('ispira-theme', 'dash'));
await open('J-0010', 'bench');
await shoot('bench-dash');
await page.evaluate(() => localStorage.setItem('ispira-theme', 'day'));
await page.setViewportSize({ width: 390, height: 844 });
await open('J-0010', 'bench');
await shoot('bench-phone');
await browser.close();
