import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn } from './bench';

test('who does not know his circuit finds it by what is seen, and a reload keeps it', async ({ page }) => {
    await signIn(page, undefined, '/jobs/new');
    await page.getByRole('button', { name: 'Not sure? Find it by what is seen' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('heading', { name: 'Where is it?' })).toBeVisible();
    await expectAccessible(page);
    await dialog.getByRole('button', { name: /In a building/ }).click();
    await dialog.getByRole('button', { name: 'One question back' }).click();
    await dialog.getByRole('button', { name: /In a vehicle/ }).click();
    await dialog.getByRole('button', { name: /blows air into the cab/ }).click();
    await dialog.getByRole('button', { name: /A pack of bare coils/ }).click();
    await expect(dialog).toBeHidden();
    const kind = page.getByRole('radio', { name: 'Stepped-resistor blower', exact: true });
    await expect(kind).toBeChecked();
    await page.getByRole('radio', { name: '7', exact: true }).click();
    await expect(page.locator('[data-position="7"]')).toBeVisible();
    await page.reload();
    await expect(kind).toBeChecked();
    await expect(page.getByRole('radio', { name: '7', exact: true })).toBeChecked();
    await expect(page.locator('[data-position="7"]')).toBeVisible();
    await page.getByRole('button', { name: 'Not sure? Find it by what is seen' }).click();
    await dialog.getByRole('button', { name: /In a building/ }).click();
    await dialog.getByRole('button', { name: /five wires/ }).click();
    await expect(page.getByRole('radio', { name: 'Five-wire DC fan', exact: true })).toBeChecked();
});
