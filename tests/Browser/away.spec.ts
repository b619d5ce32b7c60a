import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, HiddenUnit, signIn, takeTest } from './bench';
import { measureWhatIsNeverLeftOut, tickTheFirst, toTheSwap } from './repair';

test.use({ serviceWorkers: 'allow' });

const positions = ['key-off', 'off', '1', '2', '3', '4'];

async function openJob(page: Page, unit: string): Promise<string> {
    await page.goto('/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Only blows on the top setting');
    await enterMap(page, { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    return new URL(page.url()).pathname;
}

async function takeAlong(page: Page): Promise<void> {
    await page.getByRole('button', { name: 'Take this job along' }).click();
    await expect(page.getByText('it goes on with no signal')).toBeVisible();
}

const outbox = (page: Page) => page.getByRole('group', { name: 'Outbox' });

/** What stands in the ladder: parts with their odds. */
async function odds(page: Page): Promise<string[]> {
    return page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').allInnerTexts();
}

/** Ends a job in another person's browser. */
async function closeAsNotRepaired(page: Page, bench: string): Promise<void> {
    const statuses = await page.evaluate(
        async (job) => {
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const post = async (what: string, data: object) =>
                (
                    await fetch(`${job}/${what}`, {
                        method: 'POST',
                        headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                        body: JSON.stringify(data),
                    })
                ).status;
            const id = '01K0000000000000000000C10S';
            return [
                await post('to-proof', {}),
                await post('close', { id, outcome: 'not-repaired', reason: 'The owner took it away.' }),
            ];
        },
        bench.replace('/bench', ''),
    );
    expect(statuses).toEqual([200, 200]);
}

/** Takes tests as they are proposed until so many are taken, or a verdict stands. */
async function takeTests(page: Page, unit: HiddenUnit, most: number): Promise<number> {
    for (let taken = 0; taken < most; taken += 1) {
        await expect(page.getByRole('region', { name: 'Suspects' })).toBeVisible();
        const cause = page.getByRole('region', { name: 'Next test' }).getByRole('listitem').getByRole('link').first();
        if (!(await page.locator('[data-test]').isVisible())) {
            if (!(await cause.isVisible())) return taken;
            await cause.click();
            await expect(page.locator('[data-test]')).toBeVisible();
        }
        await takeTest(page, unit);
    }
    return most;
}

test('a whole job with no signal: six readings, a reload, verdict, swap, proof; then on again', async ({
    page,
    context,
}) => {
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page);
    const bench = await openJob(page, 'Marsh school, cab heater');
    await takeAlong(page);
    await expectAccessible(page);
    await context.setOffline(true);

    const before = await takeTests(page, unit, 3);
    await expect(outbox(page)).toContainText(`No connection, kept here: ${before} waiting`);
    await expectAccessible(page);
    const there = await odds(page);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Suspects' })).toBeVisible();
    expect(await odds(page), 'the same odds after a reload').toEqual(there);
    await expect(outbox(page)).toContainText(`kept here: ${before} waiting`);
    await takeTests(page, unit, 20);
    // The tables lead to readings that nothing proposes any more.
    const taken = Number(await page.locator('[data-readings]').getAttribute('data-readings')) - positions.length;
    for (let more = taken; more < 6; more += 1) {
        await page.getByRole('button', { name: /Other tests/ }).click();
        await page.getByRole('dialog').getByRole('listitem').getByRole('button').nth(more).click();
        await expect(page.getByRole('dialog')).toBeHidden();
        await takeTest(page, unit);
    }
    await page.goto(bench.replace('bench', 'verdict'));
    await expect(page.getByRole('heading', { name: /^Resistor pack/ })).toBeVisible();
    await toTheSwap(page);
    await tickTheFirst(page);
    await page.getByLabel('Part number').fill('TN-4410');
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
    await enterMap(page, Object.fromEntries(positions.map((position) => [position, 'right'])));
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByText('Every position was tried again, and each of them is right.')).toBeVisible();
    await measureWhatIsNeverLeftOut(page);
    await page.getByLabel(/^(Why checks were left out, or a note|Note)$/).fill('The rest was not in reach.');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
    // Of two clocks: the minute may just have turned.
    const said = async () => (await page.getByRole('main').innerText()).replace(/\d\d:\d\d/g, 'then');
    const shown = await said();

    await context.setOffline(false);
    await expect(outbox(page)).toBeEmpty();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
    expect(await said(), 'what the device showed is what the server has').toBe(shown);
    await page.goto('/');
    await page.getByLabel('Words you remember').fill('Marsh school');
    await page.getByRole('button', { name: 'Find' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Marsh school' })).toHaveCount(1);
});

test('what a second person closed meanwhile is refused in words, and kept', async ({ page, context, browser }) => {
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page);
    const bench = await openJob(page, 'Pier office, cab heater');
    await takeAlong(page);
    await context.setOffline(true);
    await takeTests(page, unit, 2);
    await expect(outbox(page)).toContainText('kept here: 2 waiting');

    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'runa@halvmark.example');
    await closeAsNotRepaired(other, bench);

    await context.setOffline(false);
    await expect(outbox(page)).toContainText('2 refused');
    await outbox(page).getByRole('button').click();
    const refused = page.getByRole('region', { name: 'Refused' });
    await expect(refused.getByText('This job is no longer on the bench: the reading was not recorded.')).toHaveCount(2);
    await expectAccessible(page);
    await refused.getByRole('button', { name: 'Let it go' }).first().click();
    await expect(refused.getByRole('button', { name: 'Let it go' })).toHaveCount(1);
    await refused.getByRole('link', { name: 'See the job' }).click();
    await expect(page.getByRole('heading', { name: /not repaired/i })).toBeVisible();
    await expect(outbox(page), 'a refusal stays until somebody lets it go').toContainText('1 refused');
    await other.context().close();
});

test('a session that ended loses nothing, and a shared device shows it to its person alone', async ({
    page,
    context,
}) => {
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page);
    const bench = await openJob(page, 'Boat shed, cab heater');
    await takeAlong(page);
    await context.setOffline(true);
    await takeTests(page, unit, 2);
    await context.clearCookies();
    await context.setOffline(false);
    await expect(outbox(page)).toContainText('sign in to send');
    await expect(outbox(page)).toContainText('kept here: 2 waiting');

    // Somebody else signs in on the same device: nothing of it is shown, nothing is sent in another name.
    await signIn(page, 'dav@halvmark.example');
    await expect(outbox(page)).toBeEmpty();
    await page.goto(bench);
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(positions.length);
    await page.keyboard.press('Escape');
    await page.goto('/');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();

    await signIn(page);
    await expect(outbox(page)).toBeEmpty();
    await page.goto(bench);
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(positions.length + 2);
});

test('an error of the server is never taken for success', async ({ page }) => {
    const unit = new HiddenUnit('common-open#0', {}, 4);
    await signIn(page);
    await openJob(page, 'Fish smoker, fan heater');
    await page.route('**/readings', (route) => route.fulfill({ status: 500, body: 'down' }));
    const key = (await page.locator('[data-test]').getAttribute('data-test')) ?? '';
    const value = unit.answer(key)[key];
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    if (typeof value === 'number') await dock.getByRole('textbox').first().fill(value.toFixed(3));
    else if (value === null) await dock.getByRole('button', { name: /over range/ }).click();
    else await dock.locator(`[data-choice="${value}"]`).click();
    await dock.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(outbox(page)).toContainText('kept here: 1 waiting');
    await expect(page.getByText('Kept on this device.')).toBeVisible();
    await page.unroute('**/readings');
    await outbox(page).getByRole('button').click();
    await page.getByRole('button', { name: 'Try now' }).click();
    await expect(page.getByText('Nothing waits: the server has everything.')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(outbox(page)).toBeEmpty();
    await page.getByRole('button', { name: /^Readings/ }).click();
    await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(positions.length + 1);
});

test('a procedure goes on with no signal: its wait is counted here, and the server asks its own clock', async ({
    page,
    context,
}) => {
    await signIn(page);
    await page.goto('/practice');
    await page.getByRole('combobox', { name: 'Circuit' }).selectOption('wiper');
    await page.getByRole('button', { name: 'Make a unit: Read the map' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    const job = new URL(page.url()).pathname.replace('/bench', '');
    await takeAlong(page);
    await context.setOffline(true);
    await page.goto(`/procedures/wiper-park?job=${job.slice(6)}`);
    await page.getByRole('button', { name: /^Begin/ }).click();
    const next = page.getByRole('button', { name: 'Done, next' });
    for (const step of [1, 2]) {
        await expect(page.getByRole('region', { name: `Step ${step}` })).toBeVisible();
        await next.click();
    }
    await expect(page.getByRole('region', { name: 'Step 3' })).toBeVisible();
    await expect(page.getByText('this device counts the whole wait')).toBeVisible();
    await page.getByLabel('Seen: It stops at rest').check();
    await next.click();
    await expect(page.getByRole('alert')).toContainText('Not yet: 0:');
    // A reload cannot know how long it was away: the wait begins anew.
    await page.reload();
    await expect(page.getByRole('timer')).toHaveText(/^0:(10|09|08|07)/);
    await expect(page.getByRole('timer')).toHaveText('time is up');
    await page.getByLabel('Seen: It stops at rest').check();
    await next.click();
    await expect(page.getByRole('region', { name: 'Step 4' })).toBeVisible();
    await expect(outbox(page)).toContainText('kept here: 4 waiting');
    const run = new URL(page.url()).pathname;
    await context.setOffline(false);
    await expect(outbox(page)).toBeEmpty();
    // The server took all of it: its own page stands at the same step.
    await page.goto(run);
    await expect(page.getByRole('region', { name: 'Step 4' })).toBeVisible();
    await expect(page.getByText('As it was on')).toBeHidden();
});

test('an exercise goes on with no signal, and is scored on the device', async ({ page, context }) => {
    await signIn(page);
    await page.goto('/practice');
    await page.getByRole('combobox', { name: 'Circuit' }).selectOption('radiator-fan');
    await page.getByRole('button', { name: 'Make a unit: Own way' }).click();
    await expect(page.getByRole('heading', { name: 'What do you measure?' })).toBeVisible();
    await takeAlong(page);
    await context.setOffline(true);
    await page.getByLabel('Find a test').fill('battery');
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().click();
    await page.getByRole('button', { name: /Read the meter/ }).click();
    await expect(page.getByText('It stands in the dock: write it down.')).toBeVisible();
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(page.getByRole('region', { name: 'Exercise', exact: true })).toContainText('Written down');
    await page.getByLabel('What is wrong').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'Name it, and see what came of it' }).click();
    const result = page.getByRole('region', { name: 'Result' });
    await expect(result).toBeVisible();
    const said = await result.innerText();
    await context.setOffline(false);
    await expect(outbox(page)).toBeEmpty();
    await page.reload();
    expect(await result.innerText(), 'what the device showed is what the server has').toBe(said);
});
