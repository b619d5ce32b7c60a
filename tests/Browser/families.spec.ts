import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enterMap, followToVerdict, HiddenUnit, mapOf, signIn, watchForErrors } from './bench';
import { chooseRemedy, compareParts, proveAndClose, putBack, takeApart, workProcedure } from './repair';

interface Job {
    family: string;
    kind: string;
    fault: string;
    parameters: Record<string, string>;
    choose: string[];
    /** What is typed on the Circuit page, by its label. */
    plate?: Record<string, string>;
    verdict: RegExp;
    procedure: string;
}

const jobs: Job[] = [
    {
        family: 'stepped-blower',
        kind: 'Stepped-resistor blower',
        fault: 'resistor-2-open#0',
        parameters: {},
        choose: [],
        verdict: /^Resistor pack/,
        procedure: 'Swap a resistor pack',
    },
    {
        family: 'electronic-blower',
        kind: 'Electronic blower',
        fault: 'stage-shorted#0',
        parameters: { steps: '4' },
        choose: ['4'],
        verdict: /^Speed module/,
        procedure: 'Change wheel or motor',
    },
    {
        family: 'radiator-fan',
        kind: 'Radiator fans',
        fault: 'fan-open-a#0',
        parameters: { arrangement: 'pair' },
        choose: ['Two fans, in series on low'],
        verdict: /^Main fan motor/,
        procedure: 'Swap a radiator fan',
    },
    {
        family: 'wiper',
        kind: 'Wiper with two speeds',
        fault: 'strap-open#0',
        parameters: { motor: 'compound' },
        choose: ['Compound field, the switch grounds RUN and FIELD'],
        verdict: /^Body strap/,
        procedure: 'Align the arms of a wiper',
    },
    {
        family: 'wiper-interval',
        kind: 'Interval wiper with a module',
        fault: 'setting-open#0',
        parameters: { settings: '3' },
        choose: ['3'],
        verdict: /^Stalk switch/,
        procedure: 'Disconnect the battery',
    },
    {
        family: 'control-output',
        kind: '24 V control output',
        fault: 'output-resistive#1',
        parameters: {},
        choose: [],
        verdict: /^Control board/,
        procedure: 'Prove a 24 V output',
    },
    {
        family: 'air-door',
        kind: 'Air doors',
        fault: 'track-worn#1',
        parameters: {},
        choose: [],
        verdict: /^Actuator/,
        procedure: 'Check a door actuator',
    },
    {
        family: 'tapped-blower',
        kind: 'Tapped blower motor',
        fault: 'capacitor-open#0',
        parameters: {},
        choose: [],
        verdict: /^Run capacitor/,
        procedure: 'Move the taps of a blower',
    },
    {
        family: 'ecm-blower',
        kind: 'Blower with mains electronics (ECM)',
        fault: 'wire-cool-open#0',
        parameters: {},
        choose: [],
        verdict: /^Low-voltage wires/,
        procedure: 'Swap a control board',
    },
    {
        family: 'five-wire-fan',
        kind: 'Five-wire DC fan',
        fault: 'driver-shorted#0',
        parameters: {},
        choose: [],
        verdict: /^Fan motor/,
        procedure: 'Bench run of a five-wire fan',
    },
    {
        family: 'flue-fan',
        kind: 'Flue fan',
        fault: 'fast-open#0',
        parameters: { speeds: '2', pressure: '160' },
        choose: ['Two'],
        plate: { 'Draught at full speed': '160' },
        verdict: /^Flue fan/,
        procedure: 'Clean a flue fan and put it back into service',
    },
    {
        family: 'air-door',
        kind: 'Air doors',
        fault: 'check-stuck#0',
        parameters: { kind: 'vacuum' },
        choose: ['Vacuum'],
        verdict: /^Check valve/,
        procedure: 'Check a door actuator',
    },
];

for (const job of jobs) {
    test(`a whole job: ${job.kind.toLowerCase()}, ${job.fault}`, async ({ page }) => {
        const errors = watchForErrors(page);
        const unit = new HiddenUnit(job.fault, job.parameters, 3, job.family);
        const found = mapOf(unit);
        await signIn(page, undefined, '/jobs/new');
        await page.getByRole('combobox', { name: 'Unit' }).fill(`Test unit, ${job.kind}`);
        await page.getByLabel('Complaint').fill('It does not do what it should');
        await page.getByRole('radio', { name: job.kind }).click();
        for (const choice of job.choose) await page.getByRole('radio', { name: choice, exact: true }).click();
        await expect(page.locator('[data-position]')).toHaveCount(Object.keys(found).length);
        await enterMap(page, found);
        await page.getByRole('button', { name: 'Open the job' }).click();
        await expect(page.getByRole('heading', { name: job.kind })).toBeVisible();
        for (const [label, value] of Object.entries(job.plate ?? {})) {
            await page.getByLabel(new RegExp(`^${label}`)).fill(value);
        }
        await page.getByRole('button', { name: 'To the bench' }).click();
        await expect(page.getByRole('region', { name: 'Next test' })).toBeVisible();
        await expectAccessible(page);
        await followToVerdict(page, unit);
        await page.getByRole('link', { name: /^(To the verdict|Verdict now)$/ }).click();
        await expect(page.getByRole('heading', { name: job.verdict })).toBeVisible();
        await chooseRemedy(page, 'Proved by the readings.');
        // Parts and screws are the same pages for every family: some of them go the whole way.
        const thorough = ['stepped-blower', 'ecm-blower', 'wiper'].includes(job.family);
        if (thorough) {
            await compareParts(page, 'Something else', 'Depth of the body', '40', '40');
            await page.getByRole('button', { name: 'Record the comparison' }).click();
            await expect(page.getByRole('region', { name: 'Comparisons on record' })).toContainText('HV-900');
            await takeApart(page, 'Cover in front of it');
        }
        await workProcedure(page, job.procedure);
        await page.getByRole('button', { name: 'Done, now prove it' }).click();
        await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
        const notBackYet = async () => {
            await page.getByLabel(/^(Why checks were left out, or a note|Note)$/).fill('x');
            await page.getByRole('button', { name: 'Close the job' }).click();
            await expect(page.getByRole('alert')).toContainText(
                'Not back together yet: Cover in front of it, 2 left over',
            );
            await putBack(page);
        };
        await proveAndClose(
            page,
            Object.keys(found),
            'Repaired. Every position is right.',
            thorough ? notBackYet : undefined,
        );
        expect(errors).toEqual([]);
    });
}

test('a question changes nothing, tools not at hand stand apart, and a trap is told', async ({ page }) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: /Fast steps weak/ }).click();
    await page.getByRole('button', { name: /^Why/ }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Suppose it is this' }).nth(1).click();
    await expect(page.getByText(/What if.*supposing it is/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Reading', exact: true })).toHaveCount(0);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Back to the facts' }).click();
    await expect(page.getByText(/supposing it is/)).toHaveCount(0);
    await page.getByRole('button', { name: /^Other tests/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('checkbox', { name: 'Load lamp, 4 to 5 A' }).click();
    await expect(dialog.getByRole('region', { name: 'Tests that need other tools' })).toContainText(
        'Load lamp across feed and ground',
    );
    await expectAccessible(page);
    await dialog.getByRole('checkbox', { name: 'Load lamp, 4 to 5 A' }).click();
    await expect(dialog.getByRole('region', { name: 'Tests that need other tools' })).toHaveCount(0);
    await dialog.getByRole('button', { name: /Volts at the module plug with nothing connected/ }).click();
    await expect(dialog).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Next test' })).toContainText('with nothing connected');
    await page.getByRole('region', { name: 'Reading', exact: true }).getByRole('textbox').first().fill('12.9');
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Reading', exact: true }).getByRole('textbox').first()).toHaveValue(
        '',
    );
    await expect(page.getByRole('note', { name: 'What the readings do not say' })).toContainText(
        'Take it again with a load',
    );
    expect(errors).toEqual([]);
});
