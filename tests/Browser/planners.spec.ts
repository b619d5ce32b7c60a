import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn, watchForErrors } from './bench';
import { proveAndClose, toTheSwap } from './repair';

test('taps are planned from a job, a refusal is told, and a field that cannot be read keeps the others', async ({
    page,
}) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: /Squeals, slow to start/ }).click();
    await page.getByRole('link', { name: 'Airflow and taps' }).click();
    await expect(page.getByRole('heading', { name: 'Airflow and taps' })).toBeVisible();
    await expect(page.getByText(/^Filled in is what J-\d+ knows/)).toBeVisible();
    await expect(page.getByLabel('Temperature rise on the plate, to, K')).toHaveValue('38');
    await page.getByRole('link', { name: 'Show an example' }).click();
    await expect(page.getByText(/^These are the values of an example/)).toBeVisible();
    await expect(page.getByText('Proposed: heat on medium-low, cool on high.')).toBeVisible();
    await expect(page.getByRole('figure', { name: 'Blower and system' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Temperature rise on the plate, to, K').fill('32');
    await page.getByLabel('Heat wanted on').fill('low');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByRole('alert')).toContainText('Refused: slowing heat to low');
    await page.getByLabel('Altitude, m').fill('high up');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('"high up" is not a value in m')).toBeVisible();
    await expect(page.getByLabel('Heat wanted on')).toHaveValue('low');
    await page.getByLabel('Altitude, m').fill('1500');
    await page.getByLabel('Heat wanted on').fill('');
    await page.getByLabel('Temperature rise on the plate, to, K').fill('40');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('0.835')).toBeVisible();
    await page.getByRole('radio', { name: 'in w.c., CFM, °F, BTU/h' }).click();
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('inside 40.0 °F to 70.0 °F').first()).toBeVisible();
    await page.getByRole('link', { name: 'Back to the job' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    expect(errors).toEqual([]);
});

test('a conversion that trips is refused and one with longer delays is not', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: 'Planners' }).click();
    await page.getByRole('link', { name: 'Conversion to a capacitor motor' }).click();
    await expect(page.getByRole('alert')).toContainText('the limit trips at the adverse corner');
    await page.getByLabel('Sequencer starts the fan after, at least, s').fill('0');
    await page.getByLabel('Sequencer starts the fan after, at most, s').fill('10');
    await page.getByLabel('It runs on for, at least, s').fill('150');
    await page.getByLabel('It runs on for, at most, s').fill('170');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText("none of the sequencer's delays trips")).toBeVisible();
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expectAccessible(page);
    expect(errors).toEqual([]);
});

test('a bench supply is checked, and a motor that ran on it is judged against the good one before', async ({
    page,
}) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.goto('/planners/bench-supply');
    await expect(page.getByText('All values hold.')).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Bleeder, in all, kΩ').fill('0');
    await page.getByLabel('Secondary for the logic supply, V').fill('12');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByRole('alert').first()).toContainText('No bleeder');
    await expect(page.getByRole('alert').nth(1)).toContainText('Headroom');
    await page.goto('/bench-runs');
    await expectAccessible(page);
    await page.getByLabel('Model of the motor').fill('SD-F8');
    await page.getByRole('button', { name: 'Keep this run' }).click();
    await expect(page.getByText('Give the command in volts at which it began to turn.')).toBeVisible();
    await page.getByLabel('Command at which it began to turn, V').fill('2,2');
    for (const [row, [volts, hertz]] of [
        ['3', '45'],
        ['4', '79'],
        ['5', '113'],
    ].entries()) {
        await page.getByLabel(`Command, V, row ${row + 1}`).fill(volts ?? '');
        await page.getByLabel(`Pulses a second, Hz, row ${row + 1}`).fill(hertz ?? '');
    }
    await page.getByRole('button', { name: 'Keep this run' }).click();
    await expect(page.getByText('As the good one before it.')).toBeVisible();
    await expect(page.getByLabel('Model of the motor')).toHaveValue('');
    expect(errors).toEqual([]);
});

test('bearings of a flue fan are bridged, and the job closes as temporary only', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: /Fan squeals and is slow/ }).click();
    await page.getByRole('link', { name: /^(To the verdict|Verdict now)$/ }).click();
    await toTheSwap(page);
    const bridge = async () => {
        const parts = page.getByRole('group', { name: 'Parts' });
        await expect(parts).toBeVisible();
        // What is chosen moves to the front, so each is asked for by name.
        for (const name of await parts.locator('label:has(input:checked)').allInnerTexts())
            await parts.getByRole('checkbox', { name, exact: true }).click();
        await parts.getByRole('checkbox', { name: 'Flue fan', exact: true }).click();
        await expect(parts.locator('input:checked')).toHaveCount(1);
        await page.getByRole('checkbox', { name: /^Temporary/ }).check();
    };
    await bridge();
    await expect(page.getByRole('alert')).toContainText('First:');
    await expect(page.getByRole('button', { name: 'Done, now prove it' })).toBeDisabled();
    const jobPath = new URL(page.url()).pathname.replace('/swap', '');
    for (const [name, answer] of [
        ['spin', 'gritty'],
        ['axial-play', 'none'],
        ['look-seal', 'tight'],
    ]) {
        await page.goto(`${jobPath}/bench?test=${name}`);
        const bench = page.locator('[data-readings]');
        const before = (await bench.getAttribute('data-readings')) ?? '';
        await page.locator(`[data-choice="${answer}"]`).click();
        await page.getByRole('button', { name: 'Record', exact: true }).click();
        await expect(bench).not.toHaveAttribute('data-readings', before);
    }
    await page.goto(`${jobPath}/swap`);
    await bridge();
    await expect(page.getByText('Tell the customer in writing')).toBeVisible();
    const due = new Date(Date.now() + 6 * 86400_000).toISOString().slice(0, 10);
    await page.getByLabel('The part is due on').fill(due);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await proveAndClose(page, ['off', 'full'], 'Temporary. Every position is right for now.');
    await page.getByRole('link', { name: 'All jobs' }).click();
    await expect(page.getByRole('link', { name: /Fan squeals and is slow/ })).toContainText('temporary, due');
    await page.getByRole('link', { name: 'Due', exact: true }).click();
    await expect(
        page
            .getByRole('region', { name: 'Temporary repairs and adjustments' })
            .getByRole('link', { name: /Fan squeals and is slow/ }),
    ).toBeVisible();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});
