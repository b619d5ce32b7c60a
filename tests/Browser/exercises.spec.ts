import { spawn } from 'node:child_process';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn, watchForErrors } from './bench';

const exercise = (page: Page) => page.getByRole('region', { name: 'Exercise', exact: true });
const goingAtIt = (page: Page) => page.getByRole('region', { name: 'How you go at it' });
const readings = (page: Page) => page.locator('[data-readings]');

/** Units are made of the ids of requests: these are the same in every run. */
async function sameUnits(page: Page, id: string): Promise<void> {
    await page.route('**/practice', (route) =>
        route.request().method() === 'POST'
            ? route.continue({ postData: JSON.stringify({ ...route.request().postDataJSON(), id }) })
            : route.continue(),
    );
}

async function make(page: Page, family: string, rung: string): Promise<void> {
    await page.goto('/practice');
    await page.getByLabel('Circuit').selectOption(family);
    await page.getByRole('button', { name: `Make a unit: ${rung}` }).click();
    await expect(page.getByRole('note', { name: 'Practice' })).toBeVisible();
}

/** Reads the test that is shown, safely, and writes it down. */
async function readAndWrite(page: Page): Promise<void> {
    const before = Number(await readings(page).getAttribute('data-readings'));
    await expect(goingAtIt(page)).toBeVisible();
    const dead = page.getByText('Switched off and secured: prove it before a hand goes in');
    if (await dead.isVisible()) {
        await goingAtIt(page).getByRole('radio', { name: 'Switched off, secured, proved dead' }).click();
        const charge = goingAtIt(page).getByRole('checkbox', { name: 'Capacitors discharged' });
        if (await charge.isVisible()) await charge.check();
    }
    await page.keyboard.press('m');
    await expect(goingAtIt(page).getByRole('status')).toHaveText('It stands in the dock: write it down.');
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(readings(page)).toHaveAttribute('data-readings', String(before + 1));
}

async function nameIt(page: Page, which: string | { index: number }): Promise<void> {
    await page.getByLabel('What is wrong').selectOption(which);
    await page.getByRole('button', { name: 'Name it, and see what came of it' }).click();
    await expect(page.getByRole('region', { name: 'Result' })).toBeVisible();
}

const families = [
    ['stepped-blower', '01jz0000000000000000000001'],
    ['electronic-blower', '01jz0000000000000000000002'],
    ['radiator-fan', '01jz0000000000000000000003'],
    ['wiper', '01jz0000000000000000000004'],
    ['wiper-interval', '01jz0000000000000000000005'],
    ['air-door', '01jz0000000000000000000006'],
    ['control-output', '01jz0000000000000000000007'],
    ['tapped-blower', '01jz0000000000000000000008'],
    ['ecm-blower', '01jz0000000000000000000009'],
    ['five-wire-fan', '01jz000000000000000000000a'],
    ['flue-fan', '01jz000000000000000000000b'],
] as const;

for (const [family, id] of families) {
    test(`in one's own way to a score: ${family}`, async ({ page }) => {
        const errors = watchForErrors(page);
        await signIn(page);
        await sameUnits(page, id);
        await make(page, family, 'Own way');
        await expect(page.getByRole('heading', { name: 'Suspects, by what would cure it' })).toBeHidden();
        if (family === 'stepped-blower') await expectAccessible(page);
        // Once as a hint has it; in the first of them once more, what stands first in the list.
        const twice = family === 'stepped-blower';
        await page.getByRole('button', { name: /^A hint, for/ }).click();
        await page.getByRole('note', { name: 'Hint' }).getByRole('link').click();
        await readAndWrite(page);
        if (twice) {
            await page.getByRole('main').getByRole('listitem').getByRole('button').first().click();
            await readAndWrite(page);
            await expectAccessible(page);
        }
        await nameIt(page, { index: 1 });
        const steps = page.getByRole('region', { name: 'Step by step' }).getByRole('listitem');
        await expect(steps).toHaveCount(twice ? 2 : 1);
        await expect(page.getByRole('region', { name: 'Result' })).toContainText('of 100');
        await expect(page.getByRole('region', { name: 'Beside the best' }).getByRole('row')).toHaveCount(4);
        if (twice) {
            await steps.nth(1).getByRole('button').click();
            await expect(page.getByRole('region', { name: 'Drawing' })).toContainText('Step 2');
            await expectAccessible(page);
        }
        expect(errors).toEqual([]);
    });
}

test('a wrong pin reads what it would, and the end tells of it', async ({ page }) => {
    await signIn(page);
    await sameUnits(page, '01jz000000000000000000000c');
    await make(page, 'stepped-blower', 'Own way');
    const read = async () => {
        await goingAtIt(page)
            .getByRole('button', { name: /Read the meter/ })
            .click();
        await expect(goingAtIt(page).getByRole('status')).toHaveText('It stands in the dock: write it down.');
    };
    await page.getByLabel('Find a test').fill('battery');
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().click();
    await read();
    const number = page.getByRole('region', { name: 'Reading' }).getByRole('textbox').first();
    await expect(number).toHaveValue(/^1\d\./);
    // Both leads the other way round.
    const places = goingAtIt(page).getByLabel('Red lead at');
    await places.selectOption('battery minus');
    await goingAtIt(page).getByLabel('Black lead at').selectOption('battery plus');
    await read();
    await expect(number).toHaveValue(/^-1\d\./);
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(exercise(page)).toContainText('Written down');
    await nameIt(page, { index: 1 });
    await expect(page.getByRole('region', { name: 'Step by step' })).toContainText(
        'Red and black were the wrong way round.',
    );
});

test('what would hurt somebody stops it, with the reason', async ({ page }) => {
    await signIn(page);
    await make(page, 'tapped-blower', 'Own way');
    await page.getByLabel('Find a test').fill('capacitance');
    await page.getByRole('main').getByRole('listitem').getByRole('button').first().click();
    await goingAtIt(page).getByRole('radio', { name: 'Switched off, secured, proved dead' }).click();
    await page.keyboard.press('m');
    await expect(page.getByRole('alert')).toContainText('Discharge through a resistor');
    await expect(page.getByRole('region', { name: 'Result' })).toContainText('Stopped');
    await make(page, 'radiator-fan', 'Own way');
    await page.getByText('What else you could do').click();
    await page
        .getByRole('button', { name: 'Bridge the fuse with a piece of wire, to see whether it runs then' })
        .click();
    await expect(page.getByRole('alert')).toContainText('A bridged fuse protects nothing');
});

test('what is believed is set down before the odds are seen', async ({ page }) => {
    await signIn(page);
    await sameUnits(page, '01jz000000000000000000000d');
    await make(page, 'stepped-blower', 'Guess first');
    const asks = page.getByRole('region', { name: 'What do you believe?' });
    await expectAccessible(page);
    await asks.getByRole('slider', { name: 'Resistor pack' }).fill('14');
    await asks.getByRole('slider', { name: 'Blower motor' }).fill('6');
    await expect(asks.getByText('70%')).toBeVisible();
    await asks.getByRole('button', { name: 'That is what I believe' }).click();
    await expect(page.getByRole('heading', { name: 'Suspects, by what would cure it' })).toBeVisible();
    await page.keyboard.press('a');
    await page.keyboard.press('Enter');
    await expect(asks).toBeVisible();
    await asks.getByRole('button', { name: 'That is what I believe' }).click();
    await page.getByRole('button', { name: 'Reasons' }).click();
    const reasons = page.getByRole('dialog', { name: 'Why this test' });
    for (const part of ['What it splits', 'What it may show', 'What it costs'])
        await expect(reasons.getByRole('region', { name: part })).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await nameIt(page, { index: 1 });
    await expect(page.getByRole('region', { name: 'Result' })).toContainText('What you believed was off by');
});

test('a lead sets an examination, a trainee does it, and sees the result first', async ({ page, browser }) => {
    await signIn(page, 'runa@halvmark.example');
    await page.goto('/practice/teach');
    await expectAccessible(page);
    await page.getByLabel('Title').fill('Before the first ferry');
    await page.getByRole('radio', { name: 'Examination, no hints' }).click();
    await page.getByLabel('Circuit').selectOption('wiper');
    await page.getByRole('button', { name: 'Put it in' }).click();
    await page.getByRole('button', { name: 'Set it for everybody' }).click();
    await expect(page.getByRole('region', { name: 'Sets' })).toContainText('Before the first ferry');
    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'dav@halvmark.example');
    await other.goto('/practice');
    await expectAccessible(other);
    await other.getByRole('button', { name: /^1\. Wiper/ }).click();
    await expect(exercise(other)).toContainText('Examination');
    await expect(other.getByRole('button', { name: /^A hint/ })).toBeHidden();
    await nameIt(other, { index: 1 });
    await page.reload();
    await expect(page.getByRole('region', { name: 'Results' })).toContainText('Before the first ferry');
    await page.getByRole('button', { name: 'Take away: Before the first ferry' }).click();
    await expect(page.getByRole('status')).toContainText('The set is gone');
    await other.close();
});

test('an exercise is read by the meter, with no number typed', async ({ page }) => {
    await signIn(page, 'runa@halvmark.example');
    await sameUnits(page, '01jz000000000000000000000e');
    await make(page, 'stepped-blower', 'Own way');
    const number = await page.getByText(/^P-\d+$/).innerText();
    const bench = page.url();
    const meter = spawn('php', [
        'artisan',
        'ispira:meter-sim',
        `--job=${number}`,
        '--workshop=Halvmark shared workshop',
        '--port=0',
    ]);
    try {
        const port = await new Promise<string>((found) => {
            let said = '';
            meter.stdout.on('data', (part: Buffer) => {
                said += part.toString();
                const at = /127\.0\.0\.1:(\d+)/.exec(said);
                if (at?.[1]) found(at[1]);
            });
        });
        await page.goto('/instruments');
        await page.getByLabel('Name').fill('Practice meter');
        await page.getByLabel('Address').fill('127.0.0.1');
        await page.getByLabel('Port').fill(port);
        await page.getByRole('button', { name: 'Add and try' }).click();
        await expect(page.getByText('It answers: ISPIRA SIMULATED BENCH METER')).toBeVisible();
        await page.goto(bench);
        await page.getByLabel('Find a test').fill('battery');
        await page.getByRole('main').getByRole('listitem').getByRole('button').first().click();
        await goingAtIt(page)
            .getByRole('button', { name: /Read the meter/ })
            .click();
        await expect(goingAtIt(page).getByRole('status')).toHaveText('It stands in the dock: write it down.');
        await page.getByRole('region', { name: 'Reading' }).getByLabel('read by (I)').selectOption('Practice meter');
        await expect(page.getByRole('region', { name: 'Reading' })).toContainText(/1\d\.\d/);
        await page.getByRole('button', { name: 'Record' }).click();
        await expect(exercise(page)).toContainText('Written down');
        await nameIt(page, { index: 1 });
        await expect(page.getByRole('region', { name: 'Step by step' }).getByRole('listitem')).toHaveCount(1);
    } finally {
        meter.kill('SIGKILL');
    }
});
