import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';

const pageOf = (look: string, more = ''): string =>
    `<html lang="en"><head><title>A page</title></head><body style="${look}"><main><h1>Heading</h1>
    <p>In black.</p>${more}</main></body></html>`;

test('what cannot be read is told, also beside what was found readable before', async ({ page }) => {
    await page.setContent(pageOf(''));
    await expectAccessible(page);
    await page.setContent(pageOf('', '<p style="color: #777">In grey, 4.48 to 1.</p>'));
    await expect(expectAccessible(page)).rejects.toThrow(/color-contrast/);
    await page.setContent(pageOf('background: #333', '<img src="data:,">'));
    await expect(expectAccessible(page)).rejects.toThrow(/image-alt[\s\S]*color-contrast/);
    await page.setContent(pageOf(''));
    await expectAccessible(page);
});

test('what was passed over while it was hidden or disabled is measured when it is not', async ({ page }) => {
    const faint = (more: string): string =>
        pageOf('', `<button style="color: #999; background: #fff" ${more}>Go</button>`);
    for (const passedOver of ['hidden', 'disabled']) {
        await page.setContent(faint(passedOver));
        await expectAccessible(page);
        await page.setContent(faint(''));
        await expect(expectAccessible(page)).rejects.toThrow(/color-contrast/);
    }
});
