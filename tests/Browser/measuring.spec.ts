import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, HiddenUnit, mapOf, signIn, watchForErrors } from './bench';

async function openJob(page: Page, unit: string, family: string | null, states: Record<string, string>): Promise<void> {
    await page.goto('/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Fast steps are weak');
    if (family !== null) await page.getByRole('radio', { name: family }).click();
    await enterMap(page, states);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
}

test('captures of each step are measured, laid beside each other and taken down', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('none', {}, 1, 'electronic-blower');
    const folder = mkdtempSync(join(tmpdir(), 'ispira-'));
    await signIn(page);
    await openJob(page, 'Tug Perch, cabin blower', 'Electronic blower', { ...mapOf(unit), 5: 'slow' });
    await page.getByRole('link', { name: 'Captures' }).click();
    await expect(page.getByText('No capture yet.')).toBeVisible();
    await expectAccessible(page);
    await page
        .getByLabel('File of the scope')
        .setInputFiles({ name: 'words.csv', mimeType: 'text/csv', buffer: Buffer.from('no\nnumbers\nhere\n') });
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('alert')).toContainText('No table of numbers');
    for (const step of ['1', '2', '3']) {
        const file = join(folder, `step-${step}.${step === '2' ? 'vcd' : 'csv'}`);
        execFileSync('php', ['artisan', 'ispira:scope-sim', `command@${step}`, file]);
        await page.getByLabel('File of the scope').setInputFiles(file);
        await page.getByLabel('Selector at').selectOption(step);
        await page.getByRole('button', { name: 'Import' }).click();
        await expect(page.getByRole('heading', { name: `Position ${step}` })).toBeVisible();
    }
    await expect(page.getByText('Duty rises from step to step')).toBeVisible();
    const trace = page.getByRole('img', { name: /^CH1 from 0 to/ }).first();
    await expect(trace.locator('path')).toHaveAttribute('d', /^M/);
    await page.getByRole('button', { name: 'Closer' }).first().click();
    await expect(page.getByRole('button', { name: 'Earlier' }).first()).toBeEnabled();
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Take .* % as: Duty cycle of the command on 3/ }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await page.keyboard.press('l');
    await expect(page.getByRole('dialog').getByText(/by capture step-3.csv/)).toBeVisible();
    rmSync(folder, { recursive: true });
    // A refused file is answered with an error of the server, which the browser notes.
    expect(errors.filter((error) => !error.includes('422'))).toEqual([]);
});

test('a table of volts is stepped through, and stands in the log with a photo', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page);
    await openJob(page, 'Snow plough, cab heater', null, mapOf(unit));
    const bench = page.url().split('?')[0] ?? '';
    await page.goto(`${bench}?test=motor-volts@1`);
    await page.getByRole('link', { name: 'Step through all positions' }).click();
    await expect(page.getByRole('link', { name: 'Leave the table' })).toBeVisible();
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    for (const step of ['1', '2', '3', '4']) {
        await expect(page.locator(`[data-test="motor-volts@${step}"]`)).toBeVisible();
        const value = unit.answer(`motor-volts@${step}`)[`motor-volts@${step}`];
        await dock.getByRole('textbox').first().fill(Number(value).toFixed(2));
        await page.keyboard.press('Enter');
    }
    await expect(page.locator('[data-test="motor-volts@key-off"]')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Leave the table' }).click();
    await expect(page.getByRole('link', { name: 'Leave the table' })).toHaveCount(0);
    await page.getByRole('link', { name: 'Log', exact: true }).click();
    await expect(page.getByText('4 readings')).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Set-up').selectOption({ label: 'All plugged in, selector at 3' });
    await expect(page.getByText('1 reading', { exact: false }).first()).toBeVisible();
    await page.getByRole('button', { name: /^Photo of: Volts at the blower plug, position 3/ }).click();
    const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 200, height: 100 } });
    await page
        .getByLabel('Photo of: Volts at the blower plug, position 3')
        .setInputFiles({ name: 'plug.png', mimeType: 'image/png', buffer: picture });
    await page.getByLabel('What the photo shows: Volts at the blower plug, position 3').fill('brown pin');
    await page.getByRole('listitem').getByRole('button', { name: 'Add photo' }).click();
    await expect(page.getByRole('img', { name: 'brown pin' })).toBeVisible();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});

test('a worksheet opened from the bench takes its value down; units follow the user', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await openJob(page, 'Sauna cart, heater', null, {
        'key-off': 'right',
        off: 'right',
        1: 'slow',
        2: 'right',
        3: 'right',
        4: 'right',
    });
    const bench = page.url().split('?')[0] ?? '';
    await page.goto(`${bench}?test=pack-ohms-1`);
    await page.getByRole('link', { name: 'Resistors from pin to pin' }).click();
    await expect(page.getByText('Power off, plug of the pack pulled')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Record in J-/ }), 'examples are no readings').toBeHidden();
    await page.getByLabel('Pins, in the order of the row where it is known').fill('1 2 3 4');
    await page.getByLabel('Readings: two pins and Ω on each line').fill('1 2 2,9\n2 3 0.8\n3 4 0.5\n1 4 4.2');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('All readings agree.')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Record in J-/ }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await page.keyboard.press('l');
    await expect(page.getByRole('dialog').getByText(/by Resistors from pin to pin/)).toBeVisible();
    await page.keyboard.press('Escape');

    await page.goto('/account');
    await page.getByRole('radio', { name: 'US' }).click();
    await expect(page.getByLabel('Pressure')).toHaveValue('in w.c.');
    await page.getByLabel('Pressure').selectOption('mbar');
    await expect(page.getByLabel('Pressure')).toHaveValue('mbar');
    await page.getByRole('radio', { name: 'Metric' }).click();
    await expect(page.getByLabel('Pressure')).toHaveValue('Pa');
    await page.goto('/instruments');
    await page.getByLabel('Leads together, Ω').fill('9');
    await page.getByRole('button', { name: 'Take off', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('more means a bad lead');
    await page.getByLabel('Leads together, Ω').fill('0.2');
    await page.getByRole('button', { name: 'Take off', exact: true }).click();
    await expect(page.getByText('0.2 Ω')).toBeVisible();
    await page.goto(`${bench}?test=pack-ohms-2`);
    await expect(page.getByText('leads 0.2 Ω taken off')).toBeVisible();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});
