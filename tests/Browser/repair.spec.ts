import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, signIn, watchForErrors } from './bench';
import { chooseRemedy, compareParts, proveAndClose, tickTheFirst, toTheSwap } from './repair';

const onlyHigh = { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' };
const positions = Object.keys(onlyHigh);

async function openBlower(page: Page, unit: string): Promise<void> {
    await page.getByRole('link', { name: 'New job' }).click();
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Only blows on the top setting');
    await page.getByRole('radio', { name: 'Stepped-resistor blower' }).click();
    await enterMap(page, onlyHigh);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByRole('link', { name: 'Verdict', exact: true }).click();
}

test('a pack that is too deep is refused, one wire at a time, switches pictured, the new part measured', async ({
    page,
}) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await openBlower(page, 'Harbour crane, cab blower');
    await chooseRemedy(page, 'The pattern is plain and the pack is cheap.');
    await expectAccessible(page);
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'What can be done' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Fit check' }).click();
    await compareParts(page, 'Resistor pack (coils)', 'Depth of the body', '41', '48');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Record the comparison' }).click();
    await expect(page.getByRole('alert')).toContainText('Deeper by 7 mm');
    await page.getByLabel('Candidate from the catalogue').selectOption('OV-0087');
    await expect(page.getByLabel('Depth of the body, candidate')).toHaveValue('41');
    await page.getByRole('button', { name: 'Record the comparison' }).click();
    await expect(page.getByRole('region', { name: 'Comparisons on record' })).toContainText('OV-0087');

    const nav = page.getByRole('navigation', { name: 'Repair' });
    await nav.getByRole('link', { name: 'Strip-down' }).click();
    const found = page.getByRole('region', { name: 'As found' });
    await found.getByRole('button', { name: 'Note it' }).click();
    await expect(found.getByRole('alert')).toContainText('Fill this in');
    await found.getByLabel('What').fill('Screw of the box');
    await found.getByLabel('Count').fill('1');
    await found
        .getByLabel('Photo')
        .setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/jobs.png') });
    await expect(found.getByRole('img')).toBeVisible();
    await found.getByRole('button', { name: 'Note it' }).click();
    await expect(found.getByRole('listitem')).toContainText('Screw of the box: missing, 1');
    await page.getByLabel('What comes off').fill('Access hole');
    await page.getByLabel(/^This cannot be undone/).check();
    await page.getByRole('button', { name: 'It is off' }).click();
    await expect(page.getByRole('alert')).toContainText('Say what lies behind');
    await page.getByLabel('What lies behind').fill('the evaporator');
    await page.getByLabel('The other way').fill('the dash comes out');
    await page.getByLabel('Its minutes').fill('240');
    await page.getByRole('button', { name: 'It is off' }).click();
    await expect(page.getByRole('alert')).toContainText('Behind it: the evaporator');
    await expectAccessible(page);
    await page.getByLabel('It is to be done all the same').check();
    await page.getByRole('button', { name: 'It is off' }).click();
    await expect(page.getByText('The other way: the dash comes out, 240 min.')).toBeVisible();

    await nav.getByRole('link', { name: 'Wires' }).click();
    await page.getByRole('radio', { name: /^One at a time/ }).click();
    await expect(page.getByText('Each wire is checked before the next comes off.')).toBeVisible();
    const wire = async (does: string, colour: string, from: string, to: string) => {
        await page.getByLabel('What it does').fill(does);
        await page.getByLabel('Colour').fill(colour);
        await page.getByLabel('From', { exact: true }).fill(from);
        await page.getByLabel('To', { exact: true }).fill(to);
        await page.getByRole('button', { name: 'Add the wire' }).click();
    };
    await wire('Common', 'blue', '5', 'C');
    await expect(page.getByRole('row', { name: /^Common/ })).toBeVisible();
    await wire('Speed 1', 'yellow', '1', '1');
    await expect(page.getByRole('row', { name: /^Speed 1/ })).toBeVisible();
    await wire('Speed 2', 'yellow', '2', '1');
    await expect(page.getByRole('alert')).toContainText('Two speed taps fed at once');
    await page.getByLabel('To', { exact: true }).fill('2');
    await page.getByRole('button', { name: 'Add the wire' }).click();
    await expect(page.getByText('Two wires are yellow: Speed 1 and Speed 2')).toBeVisible();
    await page
        .getByRole('row', { name: /^Common/ })
        .getByRole('button', { name: 'Moved' })
        .click();
    await page
        .getByRole('row', { name: /^Speed 1/ })
        .getByRole('button', { name: 'Moved' })
        .click();
    await expect(page.getByRole('alert')).toContainText('One at a time: check "Common"');
    for (const name of [/^Common/, /^Speed 1/, /^Speed 2/]) {
        const row = page.getByRole('row', { name });
        if (await row.getByRole('button', { name: 'Moved' }).isVisible())
            await row.getByRole('button', { name: 'Moved' }).click();
        await row.getByRole('button', { name: /right$/ }).click();
        await expect(row).toContainText('moved and checked');
    }
    await page.getByLabel('Which switches').fill('S1');
    await page.getByRole('button', { name: 'Old setting, switch 2' }).click();
    await page.getByRole('button', { name: 'Keep this setting' }).click();
    await page.getByRole('button', { name: 'Set like this' }).click();
    await page.getByLabel('Why it differs').fill('');
    await expect(page.getByRole('alert')).toContainText('The new setting differs');
    await page.getByRole('button', { name: 'S1, new, switch 2' }).click();
    await page.getByRole('button', { name: 'Set like this' }).click();
    await expect(page.getByText('Set alike.')).toBeVisible();
    await page.getByLabel('Plug', { exact: true }).fill('Pack plug');
    await page.getByLabel('latch heard and pulled').check();
    await page.getByRole('button', { name: 'Note the plug' }).click();
    await expect(page.getByRole('alert')).toContainText('secondary lock');
    await page.getByLabel('secondary lock in').check();
    await page.getByRole('button', { name: 'Note the plug' }).click();
    await expect(page.getByText('latched, secondary lock in')).toBeVisible();
    await expectAccessible(page);

    await nav.getByRole('link', { name: 'Swap' }).click();
    const measured = page.getByRole('region', { name: 'New part measured' });
    await measured.getByLabel('Test').selectOption({ label: 'Ohms through the thermal fuse of the pack' });
    await measured.getByRole('textbox').fill('OL');
    await measured.getByRole('button', { name: 'Note the new part' }).click();
    await expect(measured.getByRole('alert')).toContainText('Do not fit it');
    await measured.getByLabel(/^It shows/).fill('0.06');
    await measured.getByRole('button', { name: 'Note the new part' }).click();
    await expect(measured.getByRole('listitem')).toContainText('right');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await proveAndClose(page, positions, 'Repaired. Every position is right.', async () => {
        const check = page
            .getByRole('region', { name: 'Checks' })
            .getByRole('listitem')
            .filter({ hasText: 'Motor current on 4' });
        await check.getByRole('textbox').fill('15,8');
        await check.getByRole('button', { name: 'Check' }).click();
        await expect(check).toContainText('15.8 A, right');
        await expectAccessible(page);
        await page.getByRole('link', { name: 'Repair', exact: true }).click();
        await nav.getByRole('link', { name: 'Strip-down' }).click();
        await page.getByRole('button', { name: 'It is back' }).click();
        await page.getByRole('link', { name: 'Proof', exact: true }).click();
    });
    expect(errors).toEqual([]);
});

test('a check that is not right sends the job back, with its reading', async ({ page }) => {
    await signIn(page);
    await openBlower(page, 'Net loft, fan heater');
    await toTheSwap(page);
    await tickTheFirst(page);
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await enterMap(page, Object.fromEntries(positions.map((position) => [position, 'right'])));
    await page.getByRole('button', { name: 'Record the proof' }).click();
    const check = page
        .getByRole('region', { name: 'Checks' })
        .getByRole('listitem')
        .filter({ hasText: 'Motor current on 4' });
    await check.getByRole('textbox').fill('75');
    await check.getByRole('button', { name: 'Check' }).click();
    await expect(page.getByRole('status').first()).toContainText('Measure it once more');
    await expect(check).toContainText('75.0 A, not right: measure it once more');
    await expectAccessible(page);
    await check.getByRole('textbox').fill('74');
    await check.getByRole('button', { name: 'Check' }).click();
    await expect(page.getByRole('status').first()).toContainText('back on the bench with this reading');
    await page.getByRole('link', { name: 'Verdict', exact: true }).click();
    await expect(page.getByText('A verdict of this job did not hold.')).toBeVisible();
});

test('a loose part, an adjustment to undo, a request from afar, and what is due', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    const begin = async (kind: string, complaint: string) => {
        await page.getByRole('link', { name: 'ispira' }).click();
        await page.getByRole('link', { name: 'New job' }).click();
        await page.getByRole('radio', { name: kind }).click();
        await page.getByRole('combobox', { name: 'Unit' }).fill(`Shelf, ${kind}`);
        await page.getByLabel('Complaint').fill(complaint);
        await page.getByRole('radio', { name: 'Stepped-resistor blower' }).click();
    };
    await begin('A loose part on the bench', 'Is this motor still good?');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.getByRole('alert')).toContainText('Choose the part');
    await page.getByLabel('The part on the bench').selectOption({ label: 'Blower motor' });
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.locator('[data-test="speed@direct"]')).toBeVisible();
    await page.locator('[data-choice="right"]').click();
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await page.getByRole('link', { name: 'Close', exact: true }).click();
    await expectAccessible(page);
    await page.getByRole('radio', { name: 'Proven good, back in service' }).click();
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Proven good, and back in service.' })).toBeVisible();

    await begin('A planned adjustment', 'Too loud for the play');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByLabel('What', { exact: true }).fill('Fan tap');
    await page.getByLabel('From', { exact: true }).fill('high');
    await page.getByLabel('To', { exact: true }).fill('medium');
    const undo = new Date(Date.now() + 12 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Undo on').fill(undo);
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByRole('region', { name: 'Adjustment' })).toContainText('from high to medium');
    await page.getByText('Something lent out with it').click();
    await page.getByLabel('What is lent').fill('Small fan heater');
    await page.getByLabel('To whom').fill('the school');
    await page.getByLabel('Back on').fill(undo);
    await page.getByRole('button', { name: 'Lend it' }).click();
    await proveAndClose(page, positions, 'Adjusted. Every position is right.');
    await expectAccessible(page);

    await begin('A remote request', 'Find me a pack');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByRole('link', { name: 'Close', exact: true }).click();
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('alert')).toContainText('Say what was advised');
    await page.getByLabel('What was advised').fill('The pack with five pins.');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Advised.' })).toBeVisible();

    await page.getByRole('link', { name: 'ispira' }).click();
    await page.getByRole('link', { name: 'Due', exact: true }).click();
    await expect(page.getByRole('link', { name: /undo: Too loud for the play/ })).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Calendar file' }).click();
    expect(readFileSync(await (await download).path(), 'utf8')).toContain('Undo: Shelf');
    const lent = page
        .getByRole('region', { name: 'Lent parts' })
        .getByRole('listitem')
        .filter({ hasText: 'Small fan heater' });
    await lent.getByRole('button', { name: 'It is back' }).click();
    await expect(lent).toHaveCount(0);
    expect(errors).toEqual([]);
});

test('the catalogue: a part is added, goes out as a table, and a bad table is refused in words', async ({ page }) => {
    await signIn(page, 'runa@halvmark.example');
    await page.getByRole('link', { name: 'Parts', exact: true }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'New part' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Keep the part' }).click();
    await expect(dialog.getByRole('alert')).toContainText('Give the part number');
    await dialog.getByLabel('Part number').fill('HV-901');
    await dialog.getByLabel('What it is').fill('Blower motor with wheel');
    await dialog.getByLabel('Purchase price').fill('118,50');
    await dialog.getByLabel('Circuit and part').selectOption('stepped-blower:motor');
    await dialog.getByRole('button', { name: 'Add', exact: true }).click();
    await dialog.getByLabel('Depth of the body, in mm').fill('96');
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Keep the part' }).click();
    await expect(page.getByRole('row', { name: /HV-901/ })).toContainText('no stock, no date');
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'As a table' }).click();
    expect(readFileSync(await (await download).path(), 'utf8')).toContain(
        'HV-901,"Blower motor with wheel",motor,aftermarket,stepped-blower:motor',
    );
    await page
        .getByLabel('Catalogue')
        .setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from('number,name,mood\nA,B,fine') });
    await expect(page.getByRole('alert')).toContainText('column "mood"');
});

test('a splice below its fuse is refused', async ({ page }) => {
    await signIn(page);
    await page.goto('/planners/wire-and-splice');
    await page
        .getByRole('radiogroup', { name: 'Splice or plug holds' })
        .getByRole('radio', { name: '0.75 mm²' })
        .click();
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByRole('alert')).toContainText(/splice|plug/i);
    await expect(page.getByRole('alert')).toContainText('20.0 A');
});

/** A server of its own beside the one of the tests, on the same database. */
async function serveOn(port: number): Promise<ChildProcess> {
    const server = spawn('php', ['-S', `127.0.0.1:${port}`, '../bin/serve.php'], {
        cwd: 'public',
        stdio: 'ignore',
        env: { ...process.env, APP_URL: `http://127.0.0.1:${port}` },
    });
    await expect
        .poll(async () =>
            fetch(`http://127.0.0.1:${port}/sign-in`).then(
                (answer) => answer.status,
                () => 0,
            ),
        )
        .toBe(200);
    return server;
}

test('the clock of a procedure survives the killing of the server in a wait', async ({ page }) => {
    let server = await serveOn(8017);
    try {
        await page.goto('http://127.0.0.1:8017/sign-in');
        await page.getByLabel('E-mail address').fill('iska@halvmark.example');
        await page.getByLabel('Password').fill('lake-ferry');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
        await page.goto('http://127.0.0.1:8017/procedures/battery-off');
        await page.getByRole('button', { name: 'Begin' }).click();
        for (const step of [1, 2]) {
            const up = page.getByRole('region', { name: `Step ${step}`, exact: true });
            await expect(up).toBeVisible();
            for (const tick of await up.getByRole('checkbox').all()) await tick.check();
            await page.getByRole('button', { name: 'Done, next' }).click();
        }
        await expect(page.getByRole('timer')).toHaveText(/^(2:00|1:5\d)$/);
        const run = page.url();
        const dead = new Promise((ended) => {
            server.once('exit', ended);
        });
        server.kill('SIGKILL');
        await dead;
        await expect(page.reload()).rejects.toThrow();
        server = await serveOn(8017);
        await page.goto(run);
        await expect(page.getByRole('region', { name: 'Step 3', exact: true })).toBeVisible();
        await expect(page.getByRole('timer')).toHaveText(/^1:\d\d$/);
        await page.getByRole('button', { name: 'Done, next' }).click();
        await expect(page.getByRole('alert')).toContainText(/Not yet: 1:\d\d to go/);
    } finally {
        server.kill('SIGKILL');
    }
});
