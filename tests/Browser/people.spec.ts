import { expect, test, type Browser, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { expectAccessible } from './accessible';
import { enter, enterMap, watchForErrors } from './bench';
import { proveAndClose, swap, tickTheFirst } from './repair';

const PASSWORD = 'seven grey net floats';
const MAP = { 'key-off': 'right', off: 'right', 1: 'dead', 2: 'dead', 3: 'dead', 4: 'right' };

/** Founds a workshop the way its people do, by the command, which asks for the password; its lead signs in. */
async function founded(page: Page, workshop: string): Promise<void> {
    const email = `lea@${workshop}.example`;
    execFileSync('php', ['artisan', 'ispira:workshop', `${workshop} workshop`, 'Lea Strand', email], {
        input: `${PASSWORD}\n`,
    });
    await enter(page, email, PASSWORD);
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
}

async function visitors(browser: Browser): Promise<[Page, Page, Page]> {
    const page = async () => (await browser.newContext()).newPage();
    return [await page(), await page(), await page()];
}

async function linkMade(page: Page): Promise<string> {
    const made = page.getByRole('region', { name: 'New link' });
    await expect(made).toBeVisible();
    return made.getByRole('textbox').inputValue();
}

async function invite(page: Page, name: string, email: string, role: string): Promise<string> {
    await page.goto('/people');
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
    await page.getByRole('textbox', { name: 'E-mail address' }).fill(email);
    await page.getByRole('combobox', { name: 'Role', exact: true }).selectOption(role);
    await page.getByRole('button', { name: 'Make a link' }).click();
    return linkMade(page);
}

async function takeLink(page: Page, address: string, password: string): Promise<void> {
    await page.goto(address);
    await expectAccessible(page);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: /Join|Set it/ }).click();
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
}

/** Takes a job in, and says where it stands. */
async function openJob(page: Page, unit: string): Promise<string> {
    await page.goto('/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill('Heater only blows on top');
    await page.getByRole('radio', { name: 'Stepped-resistor blower', exact: true }).click();
    await page.getByRole('radio', { name: '4', exact: true }).click();
    await enterMap(page, MAP);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.getByRole('heading', { name: 'Stepped-resistor blower' })).toBeVisible();
    return /^.*\/jobs\/[0-9a-zA-Z]{26}/.exec(page.url())?.[0] ?? '';
}

test('a workshop is founded, and three people do a part of one job each', async ({ browser }) => {
    const [lea, nils, mia] = await visitors(browser);
    const errors = watchForErrors(lea);
    await founded(lea, 'strand');
    const toNils = await invite(lea, 'Nils Berg', 'nils@strand.example', 'technician');
    await expectAccessible(lea);
    const toMia = await invite(lea, 'Mia Holm', 'mia@strand.example', 'trainee');
    await takeLink(nils, toNils, 'nine loose deck planks');
    await takeLink(mia, toMia, 'two odd copper pans');

    // The technician takes the job in under the wrong name, sets it right, and hands it over.
    const job = await openJob(nils, 'Harbour lorry');
    await nils.getByRole('button', { name: 'To the bench' }).click();
    await expect(nils.locator('[data-readings]')).toBeVisible();
    await nils.goto(`${job}/complaint`);
    await nils.getByText('Correct what stands here').click();
    await nils.getByRole('textbox', { name: 'Unit' }).fill('Harbour van 7');
    await nils.getByRole('button', { name: 'Correct it' }).click();
    await expect(nils.getByText('unit was “Harbour lorry”')).toBeVisible();
    await expectAccessible(nils);
    await nils.getByText('Hand it over', { exact: true }).first().click();
    await nils.getByLabel('Who goes on with it').selectOption({ label: 'Mia Holm, trainee' });
    await nils.getByLabel('How it stands').fill('The map is taken, nothing is measured yet.');
    await nils.getByRole('button', { name: 'Hand it over' }).click();
    await expect(nils.getByText('handed it to Mia Holm')).toBeVisible();

    // The trainee finds it among her own. Its part is ordered, expected, arrives, and is fitted.
    await mia.goto('/?view=mine');
    await mia.getByRole('link', { name: /Harbour van 7/ }).click();
    await expect(mia.locator('[data-readings]')).toBeVisible();
    await mia.goto(`${job}/order`);
    await mia.getByLabel('What is ordered').fill('Resistor pack');
    await mia.getByLabel('Part number').fill('OV-4411');
    await mia.getByRole('button', { name: 'Ordered', exact: true }).click();
    await expect(
        mia.getByRole('list', { name: 'Parts on order' }).getByText('Resistor pack', { exact: true }),
    ).toBeVisible();
    await expectAccessible(mia);
    await mia.goto('/?view=part');
    await expect(mia.getByRole('link', { name: /Harbour van 7/ })).toBeVisible();
    await mia.goto('/due');
    await expect(mia.getByRole('region', { name: 'Parts on order' }).getByText('Resistor pack')).toBeVisible();
    await expectAccessible(mia);
    await mia.goto(`${job}/order`);
    await mia.getByRole('button', { name: /It is here/ }).click();
    await expect(mia.getByText('taken in by Mia Holm')).toBeVisible();
    await swap(mia, 'Resistor pack');
    await proveAndClose(mia, Object.keys(MAP));

    // What she closed is countersigned by the technician.
    await mia.goto('/?view=countersign');
    await expect(mia.getByRole('link', { name: /Harbour van 7/ })).toContainText('to be countersigned');
    await nils.goto('/due');
    const open = nils.getByRole('region', { name: 'Still open' });
    await open.getByRole('button', { name: /Settle: Closed by a trainee/ }).click();
    await open.getByLabel('By whom').fill('Nils');
    await open.getByLabel('How').fill('Ran every step with her.');
    await open.getByRole('button', { name: 'Settled' }).click();
    await expect(open.getByText('Closed by a trainee')).toHaveCount(0);
    await nils.goto('/?view=countersign');
    await expect(nils.getByText('No job is in this list.')).toBeVisible();

    // Three half-words find the old job again, and the unit shows what was fitted.
    await lea.goto('/');
    await lea.getByLabel('Words you remember').fill('va harb ov-44');
    await lea.getByRole('button', { name: 'Find' }).click();
    await expect(lea).toHaveURL(/q=va/);
    await expect(lea.getByRole('region', { name: 'All' }).getByRole('link', { name: /Harbour van 7/ })).toBeVisible();
    await lea.getByRole('link', { name: /Harbour van 7/ }).click();
    await lea.goto(`${job}/complaint`);
    await lea.getByRole('link', { name: 'Harbour van 7' }).click();
    await expect(lea.getByRole('region', { name: 'Parts fitted' })).toContainText('by Mia Holm');
    await expectAccessible(lea);
    expect(errors).toEqual([]);
});

test('a lead resets a password, and who is disabled is out at once', async ({ browser }) => {
    const [lea, nils] = await visitors(browser);
    await founded(lea, 'skerry');
    await takeLink(nils, await invite(lea, 'Nils Berg', 'nils@skerry.example', 'technician'), 'nine loose deck planks');
    await lea.goto('/people');
    await lea.getByRole('button', { name: 'New password for Nils Berg' }).click();
    await takeLink(nils, await linkMade(lea), 'four tall ferry masts');
    await lea.getByRole('button', { name: 'Disable Nils Berg' }).click();
    await expect(lea.getByText('Nils Berg', { exact: true })).toHaveCount(0);
    await nils.goto('/due');
    await expect(nils.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await enter(nils, 'nils@skerry.example', 'four tall ferry masts');
    await expect(nils.getByRole('alert')).toContainText('This account is disabled');
    await lea.getByRole('link', { name: 'What was done' }).click();
    await expect(lea.getByText('Lea Strand disabled Nils Berg')).toBeVisible();
    await expectAccessible(lea);
    await lea.goto('/settings');
    await expectAccessible(lea);
    await lea.getByLabel('Contact').fill('+00 555 0100');
    await lea.getByRole('button', { name: 'Save' }).click();
    await expect(lea.getByRole('status')).toContainText('Saved');
    await lea.goto('/account');
    await expectAccessible(lea);
});

test('a job that was taken in as the wrong machine gets the right circuit', async ({ browser }) => {
    const [lea] = await visitors(browser);
    await founded(lea, 'islet');
    const job = await openJob(lea, 'Chapel heater');
    await lea.getByRole('button', { name: 'To the bench' }).click();
    await expect(lea.locator('[data-readings]')).toBeVisible();
    await lea.goto(`${job}/complaint`);
    await lea.getByText('Correct what stands here').click();
    await lea.getByRole('link', { name: 'The circuit is another one' }).click();
    await expect(lea.getByRole('heading', { name: 'It is another circuit' })).toBeVisible();
    await lea.getByLabel('Kind of circuit').selectOption({ label: 'Electronic blower' });
    await expect(lea).toHaveURL(/family=electronic-blower/);
    await lea.getByLabel('Why, or a note').fill('It has a module, no pack');
    await lea.getByRole('button', { name: 'Change the circuit' }).click();
    await expect(lea.locator('[data-readings]')).toBeVisible();
    await lea.goto('/?family=electronic-blower');
    await expect(lea.getByRole('link', { name: /Chapel heater/ })).toBeVisible();
});

test('four minutes show a newcomer the whole way, from the complaint to the proof', async ({ browser }) => {
    const [lea] = await visitors(browser);
    const errors = watchForErrors(lea);
    await founded(lea, 'sound');
    await lea.getByRole('region', { name: 'New here?' }).getByRole('button', { name: 'Begin' }).click();
    const tour = lea.getByRole('note', { name: 'The whole way' });
    await expect(tour).toContainText('1 of 5');
    await expectAccessible(lea);
    const readings = lea.locator('[data-readings]');
    const verdict = lea.getByRole('link', { name: 'To the verdict' });
    for (let n = 0; n < 8 && !(await verdict.isVisible()); ++n) {
        const before = Number(await readings.getAttribute('data-readings'));
        await lea.keyboard.press('a');
        await lea.keyboard.press('Enter');
        await expect(readings).toHaveAttribute('data-readings', String(before + 1));
    }
    await verdict.click();
    await expect(tour).toContainText('2 of 5');
    await lea.getByRole('link', { name: 'To the repair' }).click();
    await expect(tour).toContainText('3 of 5');
    await lea.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Swap' }).click();
    await expect(tour).toContainText('4 of 5');
    await tickTheFirst(lea);
    await lea.getByRole('button', { name: 'Done, now prove it' }).click();
    await expect(tour).toContainText('5 of 5');
    await proveAndClose(lea, ['key-off', 'off', '1', '2', '3', '4']);
    await lea.getByRole('link', { name: 'See what each step told, and what would have told more' }).click();
    await expect(lea.getByRole('region', { name: 'Result' })).toContainText('Passed');
    expect(errors).toEqual([]);
});
