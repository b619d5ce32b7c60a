import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn, watchForErrors } from './bench';

async function openJob(page: Page, words: string): Promise<void> {
    await page.getByRole('link', { name: /^On the bench/ }).click();
    await page.waitForURL(/view=bench/);
    await page.getByLabel('Words you remember').fill(words);
    await page.getByRole('button', { name: 'Find' }).click();
    await page.waitForURL(/[?]q=/);
    await page.getByRole('listitem').getByRole('link').first().click();
    await expect(page.getByRole('region', { name: 'Reading', exact: true })).toBeVisible();
}

async function chooseTest(page: Page, title: string): Promise<void> {
    await page.getByRole('button', { name: /Other tests/ }).click();
    await page.getByLabel('Find a test').fill(title);
    await page.getByRole('dialog').getByRole('listitem').getByRole('button').first().click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(title);
}

test('a bad number is refused at the field and kept there', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ferry Sprat');
    await chooseTest(page, 'Battery volts with the blower');
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    const field = dock.getByRole('textbox').first();
    await field.fill('twelve');
    await dock.getByRole('button', { name: 'Record' }).click();
    await expect(dock.getByRole('alert')).toContainText('is not a value in V');
    await expect(field).toHaveValue('twelve');
    await field.fill('1e9');
    await field.press('Enter');
    await expect(dock.getByRole('alert')).toContainText('Here it lies between');
});

test('an impossible reading is a misfit until it is struck out', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ferry Loach');
    await chooseTest(page, 'Battery volts with the blower');
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByRole('textbox').first().fill('2,58');
    await dock.getByRole('textbox').first().press('Enter');
    await expect(page.getByRole('alert').first()).toContainText('fits no known fault');
    await expect(page.getByRole('alert').first()).toContainText('instead of 2.6 V');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Strike it out in the readings' }).click();
    await page.getByRole('button', { name: /^Strike out: Battery volts/ }).click();
    await page.getByRole('button', { name: 'wrong range or unit' }).click();
    await expect(page.getByText('struck out: wrong range or unit').first()).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByText('fits no known fault')).toBeHidden();
});

test('a lost connection loses no reading and doubles none', async ({ page, context }) => {
    await signIn(page);
    await openJob(page, 'School bus 2');
    await chooseTest(page, 'Battery volts with the blower');
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByRole('textbox').first().fill('12.7');
    await context.setOffline(true);
    await dock.getByRole('button', { name: 'Record' }).click();
    await expect(page.getByRole('group', { name: 'Outbox' })).toContainText('No connection, kept here: 1 waiting');
    await expect(page.getByText('Kept on this device.')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByRole('group', { name: 'Outbox' })).toBeEmpty();
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByRole('dialog').getByText('12.7 V')).toHaveCount(1);
});

test('what others did is never fetched over a step of one’s own', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ferry Sprat');
    await chooseTest(page, 'Battery volts with the blower');
    const reloads: string[] = [];
    page.on('request', (request) => {
        if (request.method() === 'GET' && request.headers()['x-inertia']) reloads.push(request.url());
    });
    // The question is on its way when the reading goes out, and is answered after the server took the reading.
    let ask = () => {};
    const taken = new Promise<void>((done) => (ask = done));
    let tell = () => {};
    const answered = new Promise<void>((done) => (tell = done));
    await page.route('**/pulse', async (route) => {
        await taken;
        await route.fulfill({ response: await route.fetch() });
        tell();
    });
    await page.waitForRequest('**/pulse');
    await page.route('**/readings', async (route) => {
        const response = await route.fetch();
        ask();
        await answered;
        await route.fulfill({ response });
    });
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    await dock.getByRole('textbox').first().fill('12.6');
    await page.keyboard.press('Enter');
    await expect(dock.getByRole('status')).toContainText('Recorded 12.6 V');
    expect(reloads).toEqual([]);
    // The next question may be on its way.
    await page.unrouteAll({ behavior: 'ignoreErrors' });
});

test('the keyboard alone walks a whole job', async ({ page }) => {
    const errors = watchForErrors(page);
    const type = (text: string) => page.keyboard.type(text);
    const press = async (...keys: string[]) => {
        for (const key of keys) await page.keyboard.press(key);
    };
    const tabTo = async (name: RegExp) => {
        for (let n = 0; n < 80; n += 1) {
            await press('Tab');
            const label = await page.evaluate(() => {
                const element = document.activeElement as HTMLElement | null;
                const input = element as HTMLInputElement | null;
                return (
                    element?.getAttribute('aria-label') ?? input?.labels?.[0]?.textContent ?? element?.textContent ?? ''
                );
            });
            if (name.test(label)) return;
        }
        throw new Error(`The keyboard does not reach ${name.source}.`);
    };
    await page.goto('/sign-in');
    // Keys that arrive before the page stands are nobody's: wait until it does.
    await page.waitForLoadState('networkidle');
    await tabTo(/E-mail/);
    await type('iska@halvmark.example');
    await expect(page.getByLabel('E-mail address')).toHaveValue('iska@halvmark.example');
    await tabTo(/Password/);
    await type('lake-ferry');
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await tabTo(/^New job$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'New job' })).toBeVisible();
    await tabTo(/^Unit$/);
    await type('Library lift, cab fan');
    await tabTo(/^Complaint$/);
    await type('Second speed is missing');
    await tabTo(/^off, right/);
    for (const letter of 'rrrdrr') await press(letter);
    await tabTo(/^Open the job$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Stepped-resistor blower' })).toBeVisible();
    await tabTo(/^To the bench$/);
    await press('Enter');
    await expect(page.getByRole('region', { name: 'Reading', exact: true })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
        'Selector switch',
    );
    await press('t');
    await expect(page.getByRole('dialog')).toBeVisible();
    await tabTo(/^Find a test/);
    await type('selector contact 2');
    await tabTo(/^Ohms through selector contact 2/);
    await press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Ohms through selector contact 2');
    await page.getByRole('region', { name: 'Reading', exact: true }).getByRole('textbox').first().focus();
    await press('o', 'Enter');
    await expect(
        page
            .getByRole('status')
            .filter({ hasText: 'Recorded over range' })
            .or(page.getByRole('link', { name: 'To the verdict' }))
            .first(),
    ).toBeVisible();
    await tabTo(/^Verdict$/);
    await press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Selector switch');
    await tabTo(/^To the repair$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'What can be done' })).toBeVisible();
    await tabTo(/^Why this way$/);
    await type('the contact is open');
    await tabTo(/^Choose this way$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Old part against its candidate' })).toBeVisible();
    await tabTo(/Swap$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'What was replaced or repaired' })).toBeVisible();
    await tabTo(/^Done, now prove it$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
    await tabTo(/^off, right/);
    for (const letter of 'rrrrrr') await press(letter);
    await tabTo(/^Record the proof$/);
    await press('Enter');
    await expect(page.getByText('Every position was tried again')).toBeVisible();
    await tabTo(/^Why checks were left out, or a note$/);
    await type('no clamp');
    await tabTo(/^Close the job$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
    expect(errors).toEqual([]);
});

test('the bench works in one column with the dock in reach, in both themes', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    await openJob(page, 'Clinic car');
    await expectAccessible(page);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    const record = await page.getByRole('button', { name: 'Record', exact: true }).boundingBox();
    expect(record?.y).toBeGreaterThan(600);
    expect(record?.height).toBeGreaterThanOrEqual(44);
    const bench = page.url();
    await page.getByRole('link', { name: 'Jobs', exact: true }).click();
    await page.getByRole('button', { name: 'dark colours' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dash');
    await page.goto(bench);
    await expect(page.getByRole('button', { name: 'Record', exact: true })).toBeVisible();
    await expectAccessible(page);
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dash');
    for (const path of ['/', '/jobs/new']) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
            0,
        );
        await expectAccessible(page);
    }
});

test('what is not there is said in words', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/01h00000000000000000000000/bench');
    await expect(page.getByRole('heading', { name: 'There is nothing here.' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/');
    await page.getByLabel('Words you remember').fill('no such thing');
    await page.getByRole('button', { name: 'Find' }).click();
    await expect(page.getByText('No job has all of these words: "no such thing"')).toBeVisible();
    await page
        .getByLabel('Job file')
        .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from('{"format":') });
    await expect(page.getByRole('alert')).toContainText('not complete JSON');
});
