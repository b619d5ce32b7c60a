import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn, watchForErrors } from './bench';

test("a procedure waits on the server's clock through a reload and another window, and ends", async ({
    page,
    context,
}) => {
    const errors = watchForErrors(page);
    await signIn(page);
    await page.getByRole('link', { name: 'Procedures' }).click();
    await expectAccessible(page);
    await page.locator('a[href="/procedures/wiper-park"]').click();
    await expect(page.getByText('A wiper breaks fingers')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin' }).click();
    const next = page.getByRole('button', { name: 'Done, next' });
    for (const step of [1, 2]) {
        await expect(page.getByRole('region', { name: `Step ${step}` })).toBeVisible();
        await next.click();
    }
    await expect(page.getByRole('region', { name: 'Step 3' })).toBeVisible();
    await expect(page.getByRole('timer')).toHaveText(/^0:/);
    await page.getByLabel('Seen: It stops at rest').check();
    await next.click();
    await expect(page.getByRole('alert')).toContainText('Not yet: 0:');
    await expectAccessible(page);
    // Another window sees the same clock, and the wait ends in both.
    const other = await context.newPage();
    await other.goto(page.url());
    await page.reload();
    await expect(page.getByRole('timer')).toHaveText('time is up');
    await expect(other.getByRole('timer')).toHaveText('time is up');
    await next.click();
    await expect(page.getByRole('alert')).toContainText('back to the bench');
    await page.getByLabel('Seen: It stops at rest').check();
    await next.click();
    await expect(page.getByRole('region', { name: 'Step 4' })).toBeVisible();
    // The other window still shows step 3: its press does not do step 4.
    await other.getByLabel('Seen: It stops at rest').check();
    await other.getByRole('button', { name: 'Done, next' }).click();
    await expect(other.getByRole('alert')).toContainText('not up any more');
    await other.close();
    await next.click();
    await expect(page.getByRole('region', { name: 'Step 5' })).toBeVisible();
    await page.getByLabel(/Seen:/).check();
    await next.click();
    await expect(page.getByRole('region', { name: 'Step 6' })).toBeVisible();
    await next.click();
    await expect(page.getByText('Done. All 6 steps.')).toBeVisible();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});

test('a procedure is broken off: made safe first, with a reason', async ({ page }) => {
    await signIn(page);
    await page.goto('/procedures/stored-charge');
    await page.getByLabel('Capacitance, µF').fill('2350');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('alert')).toContainText('Give all three');
    await page.getByLabel('Its bleeder, Ω').fill('100k');
    await page.getByLabel('Charged to, V').fill('325');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('18:40')).toBeVisible();
    await page.getByRole('button', { name: 'Break it off and make it safe' }).click();
    await expect(page.getByText('Cover back on: nobody finds it open.').first()).toBeVisible();
    await page.getByRole('button', { name: 'Break it off', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Say why');
    await page.getByLabel('Why it is broken off').fill('rain');
    await page.getByRole('button', { name: 'Break it off', exact: true }).click();
    await expect(page.getByText('Broken off at step 1: rain')).toBeVisible();
    await expectAccessible(page);
});

test('a lead writes a procedure in fields, and reads beside them what others will read', async ({ page }) => {
    await signIn(page, 'runa@halvmark.example');
    await page.getByRole('link', { name: 'Procedures' }).click();
    await page.getByRole('link', { name: 'Write one' }).click();
    const form = page.getByRole('form', { name: 'Procedure' });
    await form.getByLabel('Title').fill('Dry out a wet blower');
    await form.getByLabel('When it is worked').fill('A blower that stood in water.');
    await form.getByRole('checkbox', { name: 'Stepped-resistor blower' }).check();
    const first = form.getByRole('group', { name: 'Step 1' });
    await first.getByLabel('What is done').fill('Leave it in moving air');
    await first.getByRole('button', { name: 'Add a wait' }).click();
    await first.getByLabel('Wait at least').fill('overnight');
    await form.getByRole('button', { name: 'Another step' }).click();
    const second = form.getByRole('group', { name: 'Step 2' });
    await second.getByLabel('What is done').fill('Turn the wheel by hand');
    await second.getByRole('button', { name: 'Up: step 2' }).click();
    await expect(first.getByLabel('What is done')).toHaveValue('Turn the wheel by hand');
    await form.getByRole('button', { name: 'Store it' }).click();
    await expect(second.getByRole('alert').first()).toContainText('Type a time as 4:30');
    await expect(form.getByText('3 fields are not right yet')).toBeVisible();
    await second.getByLabel('Wait at least').fill('8 h');
    await second.getByLabel('Why').fill('The winding dries.');
    await form.getByLabel('What makes it safe when it is broken off').fill('Leave it unplugged.');
    const read = page.getByRole('region', { name: 'As it will be read' });
    await expect(read.getByText('Wait 8 h at least. The winding dries.')).toBeVisible();
    await expectAccessible(page);
    await form.getByRole('button', { name: 'Store it' }).click();
    await expect(page.getByRole('heading', { name: 'Dry out a wet blower' })).toBeVisible();
    await expect(page.getByText('Wait 480:00 at least')).toBeVisible();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await expect(page.getByRole('link', { name: 'Write one' })).toBeVisible();
});
