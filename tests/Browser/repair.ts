import { execFileSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';
import { enterMap } from './bench';

/** Lets so many seconds go by for a run of a procedure, as the server's clock sees it. */
export function timePasses(run: string, seconds: number): void {
    execFileSync('php', ['tests/Browser/time-passes.php', run, String(seconds)]);
}

/** From the verdict straight to the page where the swap is noted. */
export async function toTheSwap(page: Page): Promise<void> {
    await page.getByRole('link', { name: 'To the repair' }).click();
    await expect(page.getByRole('heading', { name: 'What can be done' })).toBeVisible();
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Swap' }).click();
    await expect(page.getByRole('heading', { name: 'What was replaced or repaired' })).toBeVisible();
}

/** Ticks the part that stands in front: the likeliest one, where nothing was chosen yet. */
export async function tickTheFirst(page: Page): Promise<void> {
    const parts = page.getByRole('group', { name: 'Parts' });
    await expect(parts.locator('input:checked')).toHaveCount(0);
    await parts.getByRole('checkbox').first().click();
}

/** Chooses the first way that is offered, with a reason. */
export async function chooseRemedy(page: Page, reason: string): Promise<void> {
    await page.getByRole('link', { name: 'To the repair' }).click();
    await expect(page.getByRole('heading', { name: 'What can be done' })).toBeVisible();
    await page.getByRole('button', { name: 'Choose this way' }).click();
    await expect(page.getByRole('alert')).toContainText('why this way');
    await page.getByLabel('Why this way').fill(reason);
    await page.getByRole('button', { name: 'Choose this way' }).click();
    await expect(page.getByRole('heading', { name: 'Old part against its candidate' })).toBeVisible();
}

/** Compares one length of the old part with the candidate's, and puts it on record. */
export async function compareParts(
    page: Page,
    kind: string,
    attribute: string,
    old: string,
    next: string,
): Promise<void> {
    await page.getByLabel('Kind of part').selectOption({ label: kind });
    await page.getByLabel('Candidate', { exact: true }).fill('HV-900');
    await page.getByLabel(`${attribute}, old part`).fill(old);
    await page.getByLabel(`${attribute}, candidate`).fill(next);
    await page.getByRole('button', { name: 'Compare' }).click();
    await expect(
        page
            .getByRole('row', { name: new RegExp(`^${attribute}`) })
            .getByText(old === next ? 'same' : 'wrong', { exact: true }),
    ).toBeVisible();
}

/** One step off with two screws; returns what puts it back. */
export async function takeApart(page: Page, what: string): Promise<void> {
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Strip-down' }).click();
    await page.getByLabel('What comes off').fill(what);
    await page.getByLabel('Fastener, head and size').fill('hex 8 mm');
    await page.getByLabel('How many').fill('2');
    await page.getByRole('button', { name: 'It is off' }).click();
    await expect(page.getByRole('region', { name: 'Taken off' }).getByText(what)).toBeVisible();
}

export async function putBack(page: Page): Promise<void> {
    await page.getByRole('link', { name: 'Repair', exact: true }).click();
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Strip-down' }).click();
    await page.getByRole('button', { name: 'It is back' }).click();
    await expect(page.getByText('Nothing is left over.')).toBeVisible();
    await page.getByRole('link', { name: 'Proof', exact: true }).click();
}

/** Works a procedure of the job from its cautions to its end; its waits go by on the server's clock. */
export async function workProcedure(page: Page, title: string): Promise<void> {
    await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'Swap' }).click();
    const procedures = page.getByRole('region', { name: 'Procedures' });
    await expect(procedures).toBeVisible();
    const swap = page.url();
    await procedures.getByRole('link', { name: title, exact: true }).first().click();
    await page.getByRole('button', { name: 'Begin' }).click();
    for (let step = 1; step < 20; step += 1) {
        const up = page.getByRole('region', { name: `Step ${step}`, exact: true });
        await expect(up.or(page.getByText(/^Done. All/))).toBeVisible();
        if (!(await up.isVisible())) break;
        const wait = up.getByRole('timer');
        if ((await wait.isVisible()) && (await wait.innerText()) !== 'time is up') {
            await page.getByRole('button', { name: 'Done, next' }).click();
            await expect(page.getByRole('alert')).toContainText('Not yet');
            timePasses(new URL(page.url()).pathname.split('/').pop() ?? '', 1200);
            await page.reload();
            await expect(wait).toHaveText('time is up');
        }
        for (const tick of await up.getByRole('checkbox').all()) await tick.check();
        await page.getByRole('button', { name: 'Done, next' }).click();
        await expect(up).toHaveCount(0);
    }
    await expect(page.getByText(/^Done. All/)).toBeVisible();
    await page.goto(swap);
    await expect(procedures.getByText(': done,')).toBeVisible();
}

/** Every position right, what was not measured said, and closed. */
/** Gives every check that no note replaces what the page itself calls right. */
export async function measureWhatIsNeverLeftOut(page: Page): Promise<void> {
    const due = page.locator('[data-check][data-always="true"]', { has: page.locator('form') });
    for (let left = await due.count(); left > 0; left -= 1) {
        const check = due.first();
        const right = await check.locator('.figure').first().innerText();
        const choice = check.getByRole('combobox');
        if (await choice.isVisible()) {
            await choice.selectOption({ label: right.replace(/ or .*/, '') });
        } else {
            const numbers = right.match(/[\d.]+/g) ?? [];
            await check.getByRole('textbox').fill(numbers[numbers.length - 1] ?? '');
        }
        await check.getByRole('button', { name: 'Check' }).click();
        await expect(due).toHaveCount(left - 1);
    }
}

export async function proveAndClose(
    page: Page,
    positions: string[],
    ending = 'Repaired. Every position is right.',
    before?: () => Promise<void>,
): Promise<void> {
    await enterMap(page, Object.fromEntries(positions.map((position) => [position, 'right'])));
    await page.getByRole('button', { name: 'Record the proof' }).click();
    await expect(page.getByText('Every position was tried again, and each of them is right.')).toBeVisible();
    await measureWhatIsNeverLeftOut(page);
    await before?.();
    await page.getByLabel(/^(Why checks were left out, or a note|Note)$/).fill('The rest was not in reach.');
    await page.getByRole('button', { name: 'Close the job' }).click();
    await expect(page.getByRole('heading', { name: ending })).toBeVisible();
}

/** Notes one part as replaced, whatever leads. */
export async function swap(page: Page, part: string): Promise<void> {
    const path = new URL(page.url()).pathname.replace(/\/[a-z]+$/, '');
    await page.goto(`${path}/swap`);
    const parts = page.getByRole('group', { name: 'Parts' });
    for (const name of await parts.locator('label:has(input:checked)').allInnerTexts())
        await parts.getByRole('checkbox', { name, exact: true }).click();
    await parts.getByRole('checkbox', { name: part, exact: true }).click();
    await page.getByRole('button', { name: 'Done, now prove it' }).click();
    await expect(page.getByRole('heading', { name: 'The same map again' })).toBeVisible();
}
