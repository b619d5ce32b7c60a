import { expect, test } from '@playwright/test';
import { expectAccessible, signIn, watchForErrors } from './bench';

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
    await expect(page.getByRole('timer')).toHaveText('time is up', { timeout: 15_000 });
    await expect(other.getByRole('timer')).toHaveText('time is up', { timeout: 15_000 });
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
