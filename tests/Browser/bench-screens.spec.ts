import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { HiddenUnit, mapOf, signIn, watchForErrors } from './bench';

/** Types a number with the keys of the dock, and records. */
async function byThumb(page: Page, unit: HiddenUnit): Promise<void> {
    const bench = page.locator('[data-readings]');
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    const key = (await page.locator('[data-test]').getAttribute('data-test')) ?? '';
    const before = (await bench.getAttribute('data-readings')) ?? '';
    const value = unit.answer(key)[key];
    if (typeof value === 'number') {
        for (const digit of Math.abs(value).toFixed(2))
            await dock.getByRole('button', { name: digit === '.' ? 'point' : digit, exact: true }).tap();
        if (value < 0) {
            await dock.getByRole('button', { name: 'more' }).tap();
            await dock.getByRole('button', { name: '+/−' }).tap();
        }
    } else if (value === null) await dock.getByRole('button', { name: 'over range' }).tap();
    else await dock.locator(`[data-choice="${value}"]`).tap();
    const record = dock.getByRole('button', { name: 'Record', exact: true });
    const at = await record.boundingBox();
    expect((at?.y ?? 0) + (at?.height ?? 0), 'Record is on the screen').toBeLessThanOrEqual(844);
    await record.tap();
    await expect(bench).not.toHaveAttribute('data-readings', before);
}

async function toVerdictByThumb(page: Page, unit: HiddenUnit): Promise<void> {
    for (let step = 0; step < 25; step += 1) {
        await expect(page.locator('[data-readings]')).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
            0,
        );
        const cause = page.getByRole('main').getByRole('listitem').getByRole('link').first();
        if (await page.locator('[data-test]').isVisible()) await byThumb(page, unit);
        else if (await cause.isVisible()) {
            await cause.tap();
            await expect(page.locator('[data-test]')).toBeVisible();
            await byThumb(page, unit);
        } else return;
    }
}

/** Types into fields while the keyboard of the system takes half of the screen: each of them stays in sight. */
async function typeAboveTheKeyboard(page: Page, ...typed: [Locator, string][]): Promise<void> {
    await page.setViewportSize({ width: 390, height: 420 });
    for (const [field, text] of typed) {
        await field.tap();
        await expect(field).toBeFocused();
        await expect(field).toBeInViewport();
        await field.fill(text);
        await expect(field).toHaveValue(text);
    }
    await page.setViewportSize({ width: 390, height: 844 });
}

async function signInByThumb(page: Page): Promise<void> {
    await page.goto('/sign-in');
    await typeAboveTheKeyboard(
        page,
        [page.getByLabel('E-mail address'), 'iska@halvmark.example'],
        [page.getByLabel('Password'), 'lake-ferry'],
    );
    await page.getByRole('button', { name: 'Sign in' }).tap();
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
}

/** From the verdict to the closed job: the leading part swapped, every position right, what is due measured. */
async function toTheEndByThumb(page: Page, positions: string[]): Promise<void> {
    await page.getByRole('link', { name: 'To the repair' }).tap();
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Swap' }).tap();
    await page.getByRole('group', { name: 'Parts' }).getByRole('checkbox').first().tap();
    await typeAboveTheKeyboard(page, [page.getByLabel('Part number'), 'TN-4410']);
    await page.getByRole('button', { name: 'Done, now prove it' }).tap();
    await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
    for (const position of positions) await page.locator(`[data-position="${position}"] [data-answer="right"]`).tap();
    await page.getByRole('button', { name: 'Record the proof' }).tap();
    await expect(page.getByText('Every position was tried again, and each of them is right.')).toBeVisible();
    const due = page.locator('[data-check][data-always="true"]', { has: page.locator('form') });
    for (let left = await due.count(); left > 0; left -= 1) {
        const check = due.first();
        const right = await check.locator('.figure').first().innerText();
        const choice = check.getByRole('combobox');
        if (await choice.isVisible()) await choice.selectOption({ label: right.replace(/ or .*/, '') });
        else await typeAboveTheKeyboard(page, [check.getByRole('textbox'), /([\d.]+)[^\d]*$/.exec(right)?.[1] ?? '']);
        await check.getByRole('button', { name: 'Check' }).tap();
        await expect(due).toHaveCount(left - 1);
    }
    const note = page.getByLabel(/^(Why checks were left out, or a note|Note)$/);
    await typeAboveTheKeyboard(page, [note, 'The rest was not in reach.']);
    await page.getByRole('button', { name: 'Close the job' }).tap();
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
}

test.describe('with one thumb on 390x844', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

    for (const [kind, family, choose, fault, verdict] of [
        ['Stepped-resistor blower', 'stepped-blower', ['7'], 'resistor-2-open#0', /^Resistor pack/],
        ['Wiper with two speeds', 'wiper', [], 'common-brush#0', /^Wiper motor/],
    ] as const) {
        test(`a whole job: ${kind}`, async ({ page }) => {
            const errors = watchForErrors(page);
            const parameters = family === 'stepped-blower' ? { positions: '7' } : {};
            const unit = new HiddenUnit(fault, parameters, 2, family);
            const map = mapOf(unit);
            await signInByThumb(page);
            await page.getByRole('link', { name: 'New job' }).tap();
            await expect(page.getByRole('heading', { name: 'New job' })).toBeVisible();
            await typeAboveTheKeyboard(
                page,
                [page.getByLabel('Complaint', { exact: true }), 'Some speeds are missing'],
                [page.getByRole('combobox', { name: 'Unit' }), `Thumb ${family}`],
            );
            await page.getByRole('radio', { name: kind, exact: true }).tap();
            for (const choice of choose) await page.getByRole('radio', { name: choice, exact: true }).tap();
            for (const [position, state] of Object.entries(map))
                await page.locator(`[data-position="${position}"] [data-answer="${state}"]`).tap();
            await page.getByRole('button', { name: 'Open the job' }).tap();
            await page.getByRole('button', { name: 'To the bench' }).tap();
            await expect(page.locator('[data-readings]')).toBeVisible();
            await expectAccessible(page);
            await toVerdictByThumb(page, unit);
            await page.getByRole('link', { name: 'To the verdict' }).tap();
            await expect(page.getByRole('heading', { name: verdict })).toBeVisible();
            await toTheEndByThumb(page, Object.keys(map));
            expect(errors).toEqual([]);
        });
    }
});

async function openFirst(page: Page, words: string): Promise<string> {
    await page.getByRole('link', { name: /^On the bench/ }).click();
    await page.waitForURL(/view=bench/);
    await page.getByLabel('Words you remember').fill(words);
    await page.getByRole('button', { name: 'Find' }).click();
    await page.waitForURL(/q=/);
    await page.getByRole('listitem').getByRole('link').first().click();
    await expect(page.locator('[data-readings]')).toBeVisible();
    return page.url();
}

test('the whole of one test stands on 1280x800, for every bench of the list', async ({ page }) => {
    await signIn(page);
    const jobs = page.getByRole('region', { name: /on the bench/i }).getByRole('link');
    await expect(jobs.first()).toBeVisible();
    const paths = await jobs.evaluateAll((all) => all.map((one) => (one as HTMLAnchorElement).pathname));
    expect(paths.length).toBeGreaterThan(10);
    const below: string[] = [];
    for (const path of paths) {
        await page.goto(`${path}/bench`);
        await expect(page.locator('[data-readings]')).toBeVisible();
        const reading = page.getByRole('region', { name: 'Reading', exact: true });
        if ((await reading.count()) === 0) continue;
        const dock = await reading.boundingBox();
        const ends: number[] = [];
        for (const one of [page.getByRole('button', { name: /Other tests/ }), page.locator('[data-test] table')]) {
            const box = await one.boundingBox();
            ends.push((box?.y ?? 0) + (box?.height ?? 0));
        }
        const lacks = Math.max(...ends) - (dock?.y ?? 800);
        // What was found so far - that no fault explains it, or a verdict - comes before the next test.
        const before = await page
            .getByText(/No fault of the list|No test is worth|What the readings do not say/)
            .count();
        if (dock && before === 0 && lacks > 0) below.push(`${path}: ${Math.round(lacks)} px too low`);
    }
    expect(below).toEqual([]);
});

test('keys work on arrival, cautions fold once read, and the last reading is taken back', async ({ page }) => {
    await signIn(page);
    await openFirst(page, 'Clinic car, radiator');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    const bench = page.locator('[data-readings]');
    const before = (await bench.getAttribute('data-readings')) ?? '';
    const caution = page.getByText('The fan runs during this test.');
    await expect(caution).toBeVisible();
    await page.keyboard.type('12.4');
    await page.keyboard.press('Enter');
    await expect(bench).not.toHaveAttribute('data-readings', before);
    await expect(page.getByRole('status')).toContainText('Recorded 12.4 V');
    await page.keyboard.press('u');
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByText('struck out: taken back at once')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.reload();
    const folded = page.getByRole('button', { name: /The fan runs during this test/ });
    await expect(folded).toHaveAttribute('aria-expanded', 'false');
    await folded.click();
    await expect(page.getByText('Keep hands, sleeves and leads out', { exact: false }).first()).toBeVisible();
});

test('what cannot be done is kept with its reason, and something else is proposed', async ({ page }) => {
    await signIn(page);
    await openFirst(page, 'Clinic, air handler');
    const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
    await page.keyboard.press('x');
    await expect(page.getByRole('dialog', { name: 'Cannot be done here' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'No access' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(title);
    await expect(page.getByText(`In place of “${title}”: no access.`)).toBeVisible();
    await page.keyboard.press('x');
    await page.getByRole('button', { name: `Can be done now: ${title}` }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(title);
});

test('what another person reads appears by itself, with the name', async ({ page, browser }) => {
    await signIn(page);
    const url = await openFirst(page, 'School bus 2');
    const other = await (await browser.newContext()).newPage();
    await other.goto('/sign-in');
    await other
        .getByRole('button', { name: /technician|lead/ })
        .first()
        .waitFor();
    await other.getByLabel('E-mail address').fill('dav@halvmark.example');
    await other.getByLabel('Password').fill('lake-ferry');
    await other.getByRole('button', { name: 'Sign in' }).click();
    await expect(other.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await other.goto(url);
    const dock = other.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByRole('textbox').first().fill('11.9');
    await dock.getByRole('button', { name: 'Record' }).click();
    await expect(page.getByRole('status')).toContainText('recorded 11.9');
    await other.context().close();
});

test('the bench of a closed job is a record', async ({ page }) => {
    await signIn(page);
    const path = await page
        .getByRole('region', { name: /closed/i })
        .getByRole('link')
        .first()
        .evaluate((one) => (one as HTMLAnchorElement).pathname);
    await page.goto(`${path}/bench`);
    await expect(page.getByRole('heading', { name: /^A record: closed/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Reading', exact: true })).toBeHidden();
    await expect(page.getByText('Price of guessing')).toBeHidden();
    await expectAccessible(page);
});
