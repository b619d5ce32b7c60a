import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn, watchForErrors } from './bench';

const LEAD = 'runa@halvmark.example';

const records = async (page: Page, name: string) => {
    await page.getByRole('navigation', { name: 'Records' }).getByRole('link', { name }).click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    await expectAccessible(page);
};

test('a year of jobs says what fails, and another workshop adds to it', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page, LEAD);
    await page.getByRole('link', { name: 'Records' }).click();
    await expect(page.getByRole('heading', { name: 'What our jobs say' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Circuit').selectOption({ label: await optionWith(page, 'Circuit', 'Stepped-resistor') });
    const fuse = page.getByRole('region', { name: 'Odds' }).getByRole('listitem').filter({ hasText: 'Main fuse' });
    await expect(fuse).toContainText('shipped');
    await page.getByLabel('Model').selectOption({ label: await optionWith(page, 'Model', 'Tarn 12') });
    await expect(page).toHaveURL(/model=Tarn/);
    await expect(fuse).toBeVisible();

    const given = {
        format: 'ispira-experience',
        version: 1,
        name: 'Upper lake workshop',
        madeOn: '2026-10-01',
        counts: [{ family: 'stepped-blower', model: null, remedy: 'selector', fault: null, jobs: 40 }],
    };
    await page.getByLabel('Each of its jobs counts for').selectOption('0.5');
    await page.getByLabel('Experience file').setInputFiles({
        name: 'upper-lake.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(given)),
    });
    await expect(page.getByRole('status')).toContainText('Taken in: Upper lake workshop, 40 jobs');
    const taken = page.getByRole('region', { name: 'From workshop to workshop' });
    await expect(taken).toContainText('each counting for 0.5');
    await taken.getByRole('button', { name: 'Remove the experience of Upper lake workshop' }).click();
    await expect(page.getByRole('status')).toContainText('it counts no more');
    expect(errors).toEqual([]);
});

test('a verdict that did not hold becomes a lesson on its model', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: 'Records' }).click();
    await records(page, 'Lessons');
    await page
        .getByRole('link', { name: /once more$/ })
        .last()
        .click();
    await expect(page.getByRole('heading', { name: 'Which test would have told' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('To note next time').fill('Prove the feed before a motor is bought.');
    await page.getByRole('button', { name: 'Keep it as a lesson' }).click();
    await expect(page.getByRole('status')).toContainText('Kept as a lesson');
    await page.getByRole('link', { name: 'All verdicts that did not hold' }).click();
    await expect(page.getByText('Prove the feed before a motor is bought.')).toBeVisible();
    await page.goto(`/models?name=${encodeURIComponent('Tarn 12 cabin heater')}`);
    await expect(page.getByRole('region', { name: 'Lessons' })).toContainText('Prove the feed');
    expect(errors).toEqual([]);
});

test('a lead looks at results, at the jobs behind a number, and pins what a part costs', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page, LEAD);
    await page.getByRole('link', { name: 'Records' }).click();
    await records(page, 'Results');
    await page.getByRole('radio', { name: 'Person' }).click();
    await expect(page.getByRole('rowheader', { name: 'Dav Ollin' })).toBeVisible();
    await page.getByRole('link', { name: /^Dav Ollin: \d+ jobs$/ }).click();
    await expect(page.getByRole('heading', { name: 'Dav Ollin' })).toBeVisible();
    await expect(page.getByRole('link', { name: /Dav Ollin/ }).first()).toBeVisible();
    await expectAccessible(page);

    await records(page, 'What things take');
    await page.getByLabel('Circuit').selectOption({ label: 'Stepped-resistor blower' });
    await expect(page).toHaveURL(/family=stepped-blower/);
    await page.getByRole('radio', { name: 'Prices' }).click();
    const price = page.getByRole('region', { name: 'Prices' });
    await page.getByRole('checkbox', { name: /nobody has noted/ }).check();
    await price.getByRole('button', { name: 'Pin: Blower motor' }).click();
    await price.getByLabel('Blower motor: stays at').fill('19,80');
    await price.getByRole('button', { name: 'Pin it' }).click();
    await expect(page.getByRole('status')).toContainText('Pinned');
    const motor = price.getByRole('listitem').filter({ hasText: /^Blower motor/ });
    await expect(motor).toContainText('pinned');
    await motor.getByRole('button', { name: 'Pin: Blower motor' }).click();
    await price.getByRole('button', { name: 'Release it' }).click();
    await expect(page.getByRole('status')).toContainText('Released');
    expect(errors).toEqual([]);
});

/** The whole label of the option that begins like this: its number of jobs is not known here. */
async function optionWith(page: Page, label: string, begins: string): Promise<string> {
    const options = page.getByLabel(label).locator('option', { hasText: begins });
    return (await options.first().textContent()) ?? '';
}
