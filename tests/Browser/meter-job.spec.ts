import { spawn, type ChildProcess } from 'node:child_process';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, HiddenUnit, signIn, watchForErrors } from './bench';
import { proveAndClose, tickTheFirst, toTheSwap } from './repair';

/** A simulated meter clipped to a job, on a port of its own. */
async function startMeter(
    job: string,
    fault: string,
    port = 0,
    ...options: string[]
): Promise<{ meter: ChildProcess; port: string }> {
    const meter = spawn('php', [
        'artisan',
        'ispira:meter-sim',
        `--job=${job}`,
        '--workshop=Halvmark shared workshop',
        `--fault=${fault}`,
        `--port=${port}`,
        ...options,
    ]);
    const port_ = await new Promise<string>((found, failed) => {
        let said = '';
        meter.stdout.on('data', (part: Buffer) => {
            said += part.toString();
            const at = /127\.0\.0\.1:(\d+)/.exec(said);
            if (at?.[1]) found(at[1]);
        });
        meter.on('exit', () => failed(new Error(said)));
    });
    return { meter, port: port_ };
}

async function stop(meter: ChildProcess): Promise<void> {
    const gone = new Promise((done) => meter.once('exit', done));
    meter.kill('SIGKILL');
    await gone;
}

async function openJob(page: Page, unit: string): Promise<string> {
    await page.goto('/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Only blows on the top setting');
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    return (await page.getByText(/^J-\d+$/).innerText()).replace(/\D/g, '');
}

async function addMeter(page: Page, name: string, port: string): Promise<void> {
    const bench = page.url();
    await page.goto('/instruments');
    await expectAccessible(page);
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Address').fill('127.0.0.1');
    await page.getByLabel('Port').fill(port);
    await page.getByRole('button', { name: 'Add and try' }).click();
    await expect(page.getByText('It answers: ISPIRA SIMULATED BENCH METER')).toBeVisible();
    await page.goto(bench);
}

test('a whole job by the meter, with no number typed, and the meter dies in the middle', async ({ page }) => {
    const errors = watchForErrors(page);
    const eyes = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page, 'runa@halvmark.example');
    const number = await openJob(page, 'School bus 2, cabin blower');
    let { meter, port } = await startMeter(number, 'common-open#0');
    await addMeter(page, 'Reel meter', port);
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    const bench = page.locator('[data-readings]');
    let byMeter = 0;
    for (let step = 0; step < 25; step += 1) {
        await expect(page.getByRole('region', { name: 'Suspects' })).toBeVisible();
        const card = page.locator('[data-test]');
        const cause = page.getByRole('region', { name: 'Next test' }).getByRole('listitem').getByRole('link').first();
        if (!(await card.isVisible()) && (await cause.isVisible())) await cause.click();
        else if (!(await card.isVisible())) break;
        await expect(card).toBeVisible();
        const key = (await card.getAttribute('data-test')) ?? '';
        const before = (await bench.getAttribute('data-readings')) ?? '';
        const source = dock.getByLabel('read by');
        if (await source.isVisible()) {
            await source.selectOption({ label: 'Reel meter' });
            await expect(dock.locator('[data-live="held"], [data-live="wanders"]')).toBeVisible();
            if (byMeter === 0) {
                // Killed mid-reading: it says so, nothing is lost, and it goes on with the meter back.
                await stop(meter);
                await expect(dock.getByRole('alert')).toContainText('cannot be reached');
                await expectAccessible(page);
                await expect(dock.getByRole('button', { name: 'Record', exact: true })).toBeDisabled();
                await expect(bench).toHaveAttribute('data-readings', before);
                ({ meter, port } = await startMeter(number, 'common-open#0', Number(port)));
                await expect(dock.locator('[data-live="held"], [data-live="wanders"]')).toBeVisible();
                await expectAccessible(page);
            }
            byMeter += 1;
        } else {
            await dock.locator(`[data-choice="${eyes.answer(key)[key]}"]`).click();
        }
        await dock.getByRole('button', { name: 'Record', exact: true }).click();
        await expect(bench).not.toHaveAttribute('data-readings', before);
        const doubt = page.getByRole('button', { name: 'It is right, keep it' });
        if (await doubt.isVisible()) await doubt.click();
    }
    expect(byMeter, 'at least one number came from the meter').toBeGreaterThan(0);
    await page.getByRole('link', { name: 'To the verdict' }).click();
    await expect(page.getByRole('heading', { name: /^Resistor pack/ })).toBeVisible();
    await toTheSwap(page);
    await tickTheFirst(page);
    await page.getByLabel('Part number').fill('TN-4410');
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await proveAndClose(page, ['key-off', 'off', '1', '2', '3', '4']);
    await stop(meter);
    await page.goto('/instruments');
    await page.getByRole('button', { name: /^Take off the list.*Reel meter/ }).click();
    await expect(page.getByText('Readings that came from it stay.')).toBeVisible();
    expect(errors).toEqual([]);
});

test('a wrong function is said in words, and a typed doubt is asked once', async ({ page }) => {
    await signIn(page, 'runa@halvmark.example');
    const number = await openJob(page, 'Harbour crane, cab heater');
    const { meter, port } = await startMeter(number, 'none', 0, '--stuck=VOLT:AC');
    await addMeter(page, 'Stuck meter', port);
    await page.goto(`${page.url().split('?')[0]}?test=battery-volts@4`);
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByLabel('read by').selectOption({ label: 'Stuck meter' });
    await expect(dock.getByRole('alert')).toContainText(
        'stands on AC volts and this test needs DC volts: turn its dial',
    );
    await dock.getByLabel('read by').selectOption({ label: 'hand, typed' });
    await dock.getByRole('textbox').first().fill('1.26');
    await page.keyboard.press('Enter');
    const doubt = page.getByRole('alert', { name: 'Doubt about the last reading' });
    await expect(doubt).toContainText('12.6 V would');
    await expectAccessible(page);
    await doubt.getByRole('button', { name: 'Take it again' }).click();
    await expect(page.locator('[data-test="battery-volts@4"]')).toBeVisible();
    await expect(doubt).toBeHidden();
    await dock.getByRole('textbox').first().fill('12,6 V');
    await page.keyboard.press('Enter');
    await expect(dock.getByRole('status')).toContainText('Recorded 12.6 V');
    await expect(doubt).toBeHidden();
    await stop(meter);
});
