// Takes the pictures of docs/screenshots from a freshly started demo: node bin/screenshots.mjs [address]
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:8000';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'] });

const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = async (name, fullPage = false) => {
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `${folder}${name}.png`, fullPage });
};

const enter = async (who) => {
    await page.goto(`${address}/sign-in`);
    await page.getByLabel('E-mail address').fill(who);
    await page.getByLabel('Password').fill('lake-ferry');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('heading', { name: 'Jobs' }).waitFor();
};
await enter('iska@halvmark.example');
await shoot('jobs');

// Jobs by what is complained of.
const jobs = new Map();
for (const link of await page.locator('main li a').all()) {
    jobs.set(await link.innerText(), await link.getAttribute('href'));
}
const open = async (complaint, stage) => {
    const found = [...jobs].find(([text]) => text.split('\n').some((line) => line.trim() === complaint));
    if (!found) throw new Error(`No job "${complaint}" in the demo.`);
    await page.goto(`${address}${found[1]}/${stage}`);
};

for (const [name, complaint, stage] of [
    ['bench', 'Weak at full speed, pins were brown once', 'bench'],
    ['captures', 'Fast steps weak', 'captures'],
    ['circuit', 'No air at all on high', 'circuit'],
    ['verdict', 'Too fast on 1', 'verdict'],
    ['proof', 'Third speed missing', 'proof'],
    ['remedy', 'Nothing on 1 and 2', 'remedy'],
    ['fit', 'Nothing on 1 and 2', 'fit'],
    ['strip', 'Nothing on 1 and 2', 'strip'],
]) {
    await open(complaint, stage);
    await shoot(name, stage === 'strip');
}
await page.goto(`${address}/due`);
await shoot('due', true);
await page.evaluate(() => localStorage.setItem('ispira-theme', 'dash'));
await open('Only blows on the top setting again', 'bench');
await shoot('bench-dash');
await page.evaluate(() => localStorage.setItem('ispira-theme', 'day'));
await page.setViewportSize({ width: 390, height: 844 });
await open('Weak at full speed, pins were brown once', 'bench');
await shoot('bench-phone');
await page.setViewportSize({ width: 1280, height: 800 });
await page.context().clearCookies();
await enter('runa@halvmark.example');
await page.goto(`${address}/people`);
await shoot('people', true);
for (const [name, path] of [['experience', '/experience'], ['results', '/results?by=person']]) {
    await page.goto(`${address}${path}`);
    await shoot(name, true);
}
await page.goto(`${address}/lessons`);
await page.getByRole('link', { name: /once more$/ }).first().click();
await page.getByRole('heading', { name: 'Which test would have told' }).waitFor();
await shoot('replay', true);
await browser.close();
