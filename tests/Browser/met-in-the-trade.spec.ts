import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { begin, enterMap, followToVerdict, HiddenUnit, mapOf, signIn, takeTest, watchForErrors } from './bench';
import { proveAndClose, swap } from './repair';

const toVerdict = /^(To the verdict|Verdict now)$/;

/** A wiper motor that lies on the bench, without a unit and a complaint. */
async function looseWiper(page: Page): Promise<void> {
    await signIn(page, undefined, '/jobs/new');
    await page.getByRole('radio', { name: 'A loose part on the bench' }).click();
    await page.getByRole('radio', { name: 'Wiper with two speeds' }).click();
    await page.getByRole('radio', { name: 'Compound field, the switch grounds RUN and FIELD' }).click();
    await page.getByLabel('The part on the bench').selectOption({ label: 'Wiper motor' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
}

test('a loose wiper motor is proven good, without a unit or a complaint', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('none', { motor: 'compound' }, 6, 'wiper', 'motor');
    await looseWiper(page);
    await followToVerdict(page, unit);
    await page.getByRole('link', { name: toVerdict }).click();
    const good = page.getByRole('region', { name: 'Proven good' });
    await expect(good).toContainText('Wiper motor: proven good.');
    await expect(good).toContainText('Body strap or ground first');
    await expectAccessible(page);
    await good.getByRole('link', { name: 'Close it as proven good' }).click();
    await page.getByRole('radio', { name: 'Proven good, back in service' }).click();
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Proven good, and back in service.' })).toBeVisible();
    expect(errors).toEqual([]);
});

test('a loose wiper motor whose clip was off is clipped anew and then proven good', async ({ page }) => {
    const errors = watchForErrors(page);
    const wrong = new HiddenUnit('clip-off#0', { motor: 'compound' }, 6, 'wiper', 'motor');
    const right = new HiddenUnit('none', { motor: 'compound' }, 6, 'wiper', 'motor');
    await looseWiper(page);
    await followToVerdict(page, wrong);
    await page.getByRole('link', { name: toVerdict }).click();
    await expect(page.getByRole('heading', { name: /^Hook-up on the bench/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'It is clipped right now' }).click();
    await expect(page).toHaveURL(/bench$/);
    await followToVerdict(page, right);
    await page.getByRole('link', { name: toVerdict }).click();
    await expect(page.getByRole('region', { name: 'Proven good' })).toBeVisible();
    expect(errors).toEqual([]);
});

test('a noise is proved by its being gone, asked in the same words', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('wheel-loose#0', {}, 4, 'tapped-blower');
    await begin(page, 'Tapped blower motor', 'Furnace of the rope walk', 'Rumbles through the whole house');
    await enterMap(page, { off: 'right', heat: 'right', cool: 'right' });
    await page.getByRole('radio', { name: 'rumble or roar' }).click();
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await followToVerdict(page, unit);
    await page.getByRole('link', { name: toVerdict }).click();
    await swap(page, 'Wheel and motor mounting');
    await enterMap(page, { off: 'right', heat: 'right', cool: 'right' });
    await page.getByRole('button', { name: 'Record the proof' }).click();
    const noise = page.locator('[data-check="noise"]');
    await expect(noise).toContainText('complained of, never left out');
    await expect(noise).toContainText('three starts');
    await page.getByLabel('Why checks were left out, or a note').fill('No clamp, no thermometer');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('alert')).toContainText('What is heard while it runs');
    await expectAccessible(page);
    await noise.getByRole('combobox').selectOption({ label: 'nothing unusual' });
    await noise.getByRole('button', { name: 'Check' }).click();
    await expect(noise).toContainText('nothing unusual, right');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
    expect(errors).toEqual([]);
});

test('a blower whose air comes out in the wrong place goes on as a job of its doors', async ({ page }) => {
    const errors = watchForErrors(page);
    const parameters = { kind: 'vacuum' };
    const doors = new HiddenUnit('check-stuck#0', parameters, 3, 'air-door');
    await begin(page, 'Stepped-resistor blower', 'Quay bus', 'Blows, but only at the windscreen');
    await page.getByRole('radio', { name: '4', exact: true }).click();
    const right = { 'key-off': 'right', off: 'right', '1': 'right', '2': 'right', '3': 'right', '4': 'right' };
    await enterMap(page, right);
    await page.getByRole('radio', { name: 'at the windscreen, whatever is chosen' }).click();
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByRole('link', { name: 'Go on there: Air doors' }).click();
    await expect(page.getByRole('heading', { name: 'It is another circuit' })).toBeVisible();
    await page.getByRole('radio', { name: 'Vacuum' }).click();
    await expect(page.locator('[data-position]').first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'Set aside' })).toContainText('Listen to position 4');
    const found = mapOf(doors);
    await enterMap(page, found);
    await page.getByLabel('Why, or a note').fill('The fan is right, the doors do not follow');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Change the circuit' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await followToVerdict(page, doors);
    await page.getByRole('link', { name: toVerdict }).click();
    await expect(page.getByRole('heading', { name: /^Check valve/ })).toBeVisible();
    await page.getByRole('link', { name: 'Circuit' }).click();
    await expect(page.getByRole('region', { name: 'Circuit changed' })).toContainText('from Stepped-resistor blower');
    await swap(page, 'Check valve');
    await proveAndClose(page, Object.keys(found));
    expect(errors).toEqual([]);
});

test('the order of the pins of an unknown pack is found, and its resistor condemns it', async ({ page }) => {
    const errors = watchForErrors(page);
    await begin(page, 'Stepped-resistor blower', 'Ice house van', 'Weak on the two lowest', ['4']);
    const found = { 'key-off': 'right', off: 'right', '1': 'slow', '2': 'slow', '3': 'right', '4': 'right' };
    await enterMap(page, found);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    const job = new URL(page.url()).pathname.replace('/bench', '');
    await page.goto(`${job}/bench?test=pack-ohms-2`);
    await page.getByRole('link', { name: 'Resistors from pin to pin' }).click();
    await expect(page.getByText(/^Filled in is what J-/)).toBeVisible();
    await page.getByRole('radio', { name: 'Not known: find it' }).click();
    const readings = page.getByLabel('Readings: two pins and Ω on each line');
    await page.getByLabel('Pins, in the order of the row where it is known').fill('A B C D');
    await readings.fill('B D 1.4\nA C 0.5');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText(/^Read .* next: it decides most\.$/)).toBeVisible();
    await readings.fill('B D 1.4\nA C 0.5\nA D 6\nB C 7.9\nA B 7.4');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText(/^Only this order fits: (B D A C|C A D B)/)).toBeVisible();
    await expectAccessible(page);
    const value = page.getByLabel('Value');
    const worked = (await value.locator('option').allInnerTexts()).findIndex(
        (one) => /\bA\b/.test(one) && /\bD\b/.test(one),
    );
    await value.selectOption({ index: worked });
    await page.getByRole('button', { name: /^Record in J-/ }).click();
    await expect(page).toHaveURL(/bench$/);
    await expect(page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
        'Resistor pack',
    );
    await swap(page, 'Resistor pack');
    await proveAndClose(page, Object.keys(found));
    expect(errors).toEqual([]);
});

test('a five-wire motor is cleared on the bench, and the board is condemned', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('command-dead#0', {}, 3, 'five-wire-fan');
    const found = mapOf(unit);
    await begin(page, 'Five-wire DC fan', 'Split unit of the harbour office', 'Stands, error after a minute');
    await enterMap(page, found);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    const bench = page.url().replace(/\?.*/, '');
    for (const alone of ['speed@bench', 'bench-hertz']) {
        await page.goto(`${bench}?test=${encodeURIComponent(alone)}`);
        await takeTest(page, unit);
    }
    const first = page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first();
    await expect(first).not.toContainText('Fan motor');
    await page.goto(bench);
    await followToVerdict(page, unit);
    await page.getByRole('link', { name: toVerdict }).click();
    await expect(page.getByRole('heading', { name: /^Board of the unit/ })).toBeVisible();
    await swap(page, 'Board of the unit');
    await proveAndClose(page, Object.keys(found));
    expect(errors).toEqual([]);
});

test('three phases are entered at once and condemn the motor behind a dead module', async ({ page }) => {
    const errors = watchForErrors(page);
    await begin(page, 'Blower with mains electronics (ECM)', 'Furnace of the fish hall', 'Dead on every call');
    await enterMap(page, { off: 'right', heat: 'dead', cool: 'dead' });
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await page.goto(`${page.url().replace(/\?.*/, '')}?test=phase-ab`);
    await page.getByRole('link', { name: 'Three phases against each other' }).click();
    await expect(page.getByText('Power off and locked', { exact: false }).first()).toBeVisible();
    await page.getByLabel('Between A and B, Ω').fill('2.4');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('Fill this in.').first()).toBeVisible();
    await page.getByLabel('Between B and C, Ω').fill('2.5');
    await page.getByLabel('Between C and A, Ω').fill('4.8');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText(/The phases differ by/)).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Keep it with/ }).click();
    await expect(page.getByRole('region', { name: 'Kept with the job' })).toBeVisible();
    await page.getByRole('button', { name: /^Record all 3 in/ }).click();
    await expect(page).toHaveURL(/bench$/);
    const first = page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first();
    await expect(first).toContainText('Blower motor, without module');
    await swap(page, 'Blower motor, without module');
    await enterMap(page, { off: 'right', heat: 'right', cool: 'right' });
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByRole('region', { name: 'Planned' })).toContainText('Three phases against each other');
    expect(errors).toEqual([]);
});

test('two faults that have nothing to do with each other are repaired on one visit', async ({ page }) => {
    const errors = watchForErrors(page);
    const parameters = { positions: '4' };
    const both = new HiddenUnit('motor-drag#4,tap-1-open#0', parameters, 2);
    const second = new HiddenUnit('tap-1-open#0', parameters, 2);
    const found = mapOf(both);
    await begin(page, 'Stepped-resistor blower', 'Pilot boat heater', 'Slow, and nothing on the lowest', ['4']);
    await enterMap(page, found);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    await followToVerdict(page, both);
    await swap(page, 'Blower motor');
    await enterMap(page, mapOf(second));
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByText('Not every position is right yet.')).toBeVisible();
    await followToVerdict(page, second);
    await page.getByRole('link', { name: toVerdict }).click();
    await expect(page.getByRole('heading', { name: /^Wire from selector to pack/ })).toBeVisible();
    await swap(page, 'Wire from selector to pack');
    await proveAndClose(page, Object.keys(found));
    const done = page.getByRole('region', { name: 'What was done' });
    await expect(done).toContainText('Blower motor');
    await expect(done).toContainText('Wire from selector to pack');
    expect(errors).toEqual([]);
});

test('water in the housing is followed to where it comes in, and a quote decides the way', async ({ page }) => {
    const errors = watchForErrors(page);
    const unit = new HiddenUnit('resistor-2-open#0', { positions: '4' }, 5);
    const found = mapOf(unit);
    await begin(page, 'Stepped-resistor blower', 'Ferry Heron, saloon blower', 'No second speed', ['4']);
    await enterMap(page, found);
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
    const job = new URL(page.url()).pathname.replace('/bench', '');
    await page.goto(`${job}/bench?test=look-water`);
    await page.locator('[data-choice="wet"]').click();
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(page).toHaveURL(/bench$/);
    await followToVerdict(page, unit);
    await page.goto(`${job}/remedy`);
    const way = page
        .getByRole('listitem')
        .filter({ has: page.getByRole('radio', { name: /^Resistor pack, original/ }) });
    await way.getByText('Own quote').click();
    await way.getByRole('button', { name: 'Count with it' }).click();
    await expect(way.getByRole('alert')).toContainText('Give a price');
    await way.getByLabel('Quoted price in EUR').fill('19');
    await way.getByLabel('From whom').fill('Harbour chandler');
    await way.getByRole('button', { name: 'Count with it' }).click();
    await expect(way).toContainText('As quoted for this job by Harbour chandler.');
    await expectAccessible(page);
    await swap(page, 'Resistor pack');
    await enterMap(page, Object.fromEntries(Object.keys(found).map((position) => [position, 'right'])));
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await page.getByLabel(/^(Why checks were left out, or a note|Note)$/).fill('No clamp');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('alert')).toContainText('Not looked into yet');
    const open = page.getByRole('region', { name: 'Still open' });
    await open.getByRole('button', { name: /^Settle: The way of the water/ }).click();
    await open.getByLabel('By whom').fill('Dav');
    await open.getByLabel('How').fill('Drain hose was kinked, cowl cleared');
    await open.getByRole('button', { name: 'Settled' }).click();
    await expect(open).toContainText('settled by Dav');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: 'Repaired. Every position is right.' })).toBeVisible();
    expect(errors).toEqual([]);
});
