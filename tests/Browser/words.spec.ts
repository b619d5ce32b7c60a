import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn } from './bench';

interface Word {
    key: string;
    title: string;
    see: string[];
}

const { words } = JSON.parse(readFileSync('resources/js/words/words.en.json', 'utf8')) as { words: Word[] };

test('every word of the trade is reached from a page that uses it, or from such a word', async ({ page }) => {
    await signIn(page, 'runa@halvmark.example');
    await page.goto('/?view=bench');
    await expect(page.getByRole('region', { name: 'On the bench' }).getByRole('link').first()).toBeVisible();
    const jobs = await page
        .locator('main a[href^="/jobs/"]')
        .evaluateAll((links) =>
            links.map((link) => link.getAttribute('href') ?? '').filter((to) => /^\/jobs\/\w{26}$/.test(to)),
        );
    const planners = ['bench-supply', 'source-resistance', 'airflow', 'battery-drain'].map((key) => `/planners/${key}`);
    const reached = new Set<string>();
    for (const to of [
        ...planners,
        '/procedures/flue-fan-clean',
        '/procedures/capacitor-discharge',
        ...jobs.slice(0, 12).map((job) => `${job}/bench`),
    ]) {
        // Not every kind of job has every page.
        if ((await page.goto(to))?.status() !== 200) continue;
        await page.getByRole('button', { name: 'Words of the trade' }).click();
        await expect(page.getByRole('dialog', { name: 'Words of the trade' })).toBeVisible();
        const here = await page
            .locator('[data-word-link]')
            .evaluateAll((links) => links.map((link) => link.getAttribute('data-word-link') ?? ''));
        here.forEach((key) => reached.add(key));
    }
    // A word leads on to others.
    for (let before = -1; before !== reached.size;) {
        before = reached.size;
        words.filter((word) => reached.has(word.key)).forEach((word) => word.see.forEach((key) => reached.add(key)));
    }
    expect(words.map((word) => word.key).filter((key) => !reached.has(key))).toEqual([]);
    expect(words.length).toBeGreaterThanOrEqual(60);
});

test('a word is looked up, drawn, and leads on to others', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Words of the trade' }).click();
    const dialog = page.getByRole('dialog', { name: 'Words of the trade' });
    await dialog.getByLabel('Find a word').fill('run cap');
    const entry = dialog.locator('[data-word="run-capacitor"]');
    await expect(entry.getByRole('img', { name: 'Run capacitor, drawn' })).toBeVisible();
    await expectAccessible(page);
    await entry.getByRole('button', { name: 'Discharge' }).click();
    await expect(dialog.locator('[data-word="discharge"]')).toContainText('A screwdriver across it is no way.');
    await dialog.getByRole('button', { name: 'Back to the list' }).click();
    await dialog.getByLabel('Find a word').fill('nonsense');
    await expect(dialog.getByText('No word like that. Try a part of it.')).toBeVisible();
});
