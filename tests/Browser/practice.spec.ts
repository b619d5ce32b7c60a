import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn } from './bench';

test('a new user practises by keys on a unit that is made up, and is told what was hidden', async ({ page }) => {
    await signIn(page);
    // The unit is made of the id of the request: with this one it is the same in every run.
    await page.route('**/practice', (route) =>
        route.request().method() === 'POST'
            ? route.continue({
                  postData: JSON.stringify({ ...route.request().postDataJSON(), id: '01jy0000000000000000000007' }),
              })
            : route.continue(),
    );
    await page.getByRole('link', { name: 'Practise' }).click();
    await page.getByRole('combobox', { name: 'Circuit' }).selectOption('stepped-blower');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Make a unit: Read the map' }).click();
    const note = page.getByRole('note', { name: 'Practice' });
    await expect(note).toContainText('A make-believe unit');
    await expectAccessible(page);
    const readings = page.locator('[data-readings]');
    const verdict = page.getByRole('link', { name: 'To the verdict' });
    for (let n = 0; n < 12 && !(await verdict.isVisible()); ++n) {
        const before = Number(await readings.getAttribute('data-readings'));
        await page.keyboard.press('a');
        await page.keyboard.press('Enter');
        await expect(readings).toHaveAttribute('data-readings', String(before + 1));
    }
    await expect(verdict).toBeVisible();
    await note.getByRole('button', { name: 'Show what is hidden in it' }).click();
    await expect(note).toContainText('Hidden in it:');
});
