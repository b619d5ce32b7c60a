import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enter, enterMap, followToVerdict, HiddenUnit, signIn, watchForErrors } from './bench';
import { proveAndClose, tickTheFirst, toTheSwap } from './repair';

const positions = ['key-off', 'off', '1', '2', '3', '4'];

test('a burnt thermal fuse, from the complaint to the closed job', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await page.goto('/sign-in');
    await expectAccessible(page);
    await enter(page, 'iska@halvmark.example', 'lake-ferry');
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'New job' }).click();
    await page.getByRole('combobox', { name: 'Unit' }).fill('Mail van, cab heater');
    await page.getByLabel('Where it belongs').fill('post office');
    await page.getByLabel('Complaint').fill('Only blows on the top setting');
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' });
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.getByRole('heading', { name: 'Stepped-resistor blower' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await expectAccessible(page);
    const scroll = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
    expect(scroll, 'the bench fits 1280 x 800 without scrolling').toBeLessThanOrEqual(0);

    const taken = await followToVerdict(page, unit);
    expect(taken.length).toBeGreaterThan(1);
    await page.getByRole('link', { name: 'To the verdict' }).click();
    await expect(page.getByRole('heading', { name: /^Resistor pack/ })).toBeVisible();
    await expect(page.getByText('thermal fuse of the pack open.', { exact: true })).toBeVisible();
    await expect(page.getByText('Looked for: nothing is left to check.')).toBeVisible();
    await expectAccessible(page);

    await toTheSwap(page);
    await tickTheFirst(page);
    await expectAccessible(page);
    await page.getByLabel('Part number').fill('TN-4410');
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByRole('alert')).toContainText('at least one position');
    await proveAndClose(page, positions);
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Complaint' }).click();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});

test('the first verification fails, the job reopens, and the cause is found', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: 'New job' }).click();
    await page.getByRole('combobox', { name: 'Unit' }).fill('Market stall, fan heater');
    await page.getByLabel('Complaint').fill('No air on the lower speeds');
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();

    // Bought on the pattern: the pack goes in without a test.
    await page.getByRole('link', { name: 'Verdict now' }).click();
    await expect(page.getByText('No verdict yet: these are the odds as they stand')).toBeVisible();
    await toTheSwap(page);
    await tickTheFirst(page);
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' });
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByRole('status').first()).toContainText('back on the bench');
    await expect(page.getByText('Before and after')).toBeVisible();
    const suspects = page.getByRole('region', { name: 'Suspects' });
    await expect(suspects.getByRole('listitem').first()).toContainText('Pack plug');
    await expect(suspects).toContainText('the first verdict was wrong');

    const taken = await followToVerdict(page, new HiddenUnit('plug-pack-open#0', {}, 3));
    expect(taken.length).toBeGreaterThan(0);
    await page.getByRole('link', { name: 'To the verdict' }).click();
    await expect(page.getByRole('heading', { name: /^Pack plug and pigtail/ })).toBeVisible();
    await expect(page.getByText('A verdict of this job did not hold.')).toBeVisible();
    await toTheSwap(page);
    await tickTheFirst(page);
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await proveAndClose(page, positions);
    expect(errors).toEqual([]);
});

test('what is refused on a long page is brought into sight and to the keyboard', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 700 });
    await signIn(page, 'iska@halvmark.example', '/jobs/new');
    const open = page.getByRole('button', { name: 'Open the job' });
    await open.click();
    await expect(page.getByRole('combobox', { name: 'Unit' })).toBeFocused();
    await expect(page.getByRole('combobox', { name: 'Unit' })).toBeInViewport();
    await page.getByRole('combobox', { name: 'Unit' }).fill('Bread van, heater');
    await page.getByLabel('Complaint').fill('Blows only at the top');
    await page.getByText('Stepped-resistor blower', { exact: true }).click();
    await open.click();
    const missing = page.getByText('Try every position and note what the fan does');
    await expect(missing).toBeInViewport();
    await expect(page.locator('[data-position] button').first()).toBeFocused();
});
