import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, signIn, watchForErrors } from './bench';

test('an intermittent fault with a remembered map, exported, imported again and read by the command', async ({
    page,
}) => {
    const errors = watchForErrors(page);
    await signIn(page, undefined, '/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill('Harbour sweeper, cab heater');
    await page.getByLabel('Model').fill('Sweep 3');
    await page.getByLabel('Complaint').fill('Cuts in and out over bumps');
    await page.getByRole('radio', { name: 'Comes and goes' }).click();
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'cuts-out', 2: 'cuts-out', 3: 'right', 4: 'right' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('radio', { name: /^Ground side/ }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Suspects' })).toContainText('now and then');

    await page.getByRole('link', { name: 'Complaint' }).click();
    await page.getByRole('button', { name: 'Add what is remembered' }).click();
    await expect(page.getByText('Say when the fan behaved like this')).toBeVisible();
    await page.getByLabel('When').fill('two weeks ago');
    await enterMap(page, { 1: 'cuts-out', 2: 'right', 3: 'right' });
    await page.getByRole('button', { name: 'Add what is remembered' }).click();
    await expect(page.getByText('1 cuts in and out, 2 right, 3 right')).toBeVisible();
    await expectAccessible(page);

    await page.getByRole('link', { name: 'Bench' }).click();
    await page.getByRole('button', { name: /Other tests/ }).click();
    await page.getByLabel('Find a test').fill('move the pack plug');
    await page.getByRole('dialog').getByRole('listitem').getByRole('button').first().click();
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByRole('button', { name: /speed or reading changes/ }).click();
    await dock.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
        'Pack plug',
    );
    await page.getByRole('button', { name: /^Why/ }).click();
    await expect(page.getByRole('dialog')).toContainText('Move the pack plug while position 3 runs');
    await expectAccessible(page);
    await page.keyboard.press('Escape');

    await page.getByRole('button', { name: /Other tests/ }).click();
    await page.getByLabel('Find a test').fill('Volts at the blower plug, position 3');
    await page.getByRole('dialog').getByRole('listitem').getByRole('button').first().click();
    await expect(page.getByRole('region', { name: 'Next test' })).toContainText('Volts at the blower plug, position 3');
    await dock.getByRole('textbox').first().fill('0.3');
    await page.keyboard.press('b');
    await expect(dock.getByRole('button', { name: /misbehaves now/ })).toHaveAttribute('aria-pressed', 'true');
    await expectAccessible(page);
    await dock.getByRole('button', { name: 'Record', exact: true }).click();
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByRole('dialog')).toContainText('while it misbehaved');
    await page.keyboard.press('Escape');

    await page.getByRole('link', { name: 'Complaint' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export the job file' }).click();
    const file = await (await download).path();
    const exported = JSON.parse(await readFile(file, 'utf8')) as {
        job: { intermittent: boolean };
        maps: unknown[];
        readings: { misbehaved: boolean | null }[];
    };
    expect(exported.job.intermittent).toBe(true);
    expect(exported.maps).toHaveLength(2);
    expect(exported.readings).toHaveLength(11);
    expect(exported.readings.filter((reading) => reading.misbehaved === true)).toHaveLength(1);

    await page.goto('/');
    await page.getByLabel('Job file').setInputFiles(file);
    await expect(page.getByRole('status').first()).toContainText('Imported as');
    await expect(page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
        'Pack plug',
    );
    expect(errors).toEqual([]);
});

test('the circuit of a model is known to its next job', async ({ page }) => {
    await signIn(page, undefined, '/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill('Ferry Sprat, wheelhouse blower');
    const history = page.getByRole('region', { name: 'History of the unit' });
    await expect(history).toContainText('Quayline W5');
    await expect(history).toContainText('Weak at full speed');
    await expect(page.getByRole('group', { name: 'position 5', exact: true })).toBeVisible();
    await page.getByLabel('Complaint').fill('Again');
    await enterMap(page, { 1: 'dead' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.getByRole('radio', { name: /^Ground side/ })).toHaveAttribute('data-state', 'on');
    await expect(page.getByRole('radio', { name: 'A high relay' })).toHaveAttribute('data-state', 'on');
    await page.getByLabel(/^Rated motor current/).fill('a lot');
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByText('is not a value in A')).toBeVisible();
    await page.getByLabel(/^Rated motor current/).fill('16,5');
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
});
