import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { signIn } from './bench';

/** Families of the demo: once all are found nothing more is asked. */
const FAMILIES = 11;

let known: { family: string; paths: string[] }[] | null = null;

/** The first job of each family that stands on the bench, with some tests of different set-ups. */
async function benches(page: Page, most: number): Promise<{ family: string; paths: string[] }[]> {
    known ??= await findBenches(page);
    return known.map(({ family, paths: [first = '', ...tests] }) => ({
        family,
        paths: [first, ...tests.filter((_, n) => n % Math.ceil(tests.length / most) === 0).slice(0, most)],
    }));
}

async function findBenches(page: Page): Promise<{ family: string; paths: string[] }[]> {
    const links = await page
        .getByRole('region', { name: /on the bench/i })
        .getByRole('link')
        .evaluateAll((all) => all.map((one) => (one as HTMLAnchorElement).pathname));
    const found = new Map<string, string[]>();
    for (const path of links) {
        const props = await propsOf(page, `${path}/bench`);
        const family = props.family;
        if (found.has(family)) continue;
        const setUps = new Map<string, string>();
        for (const one of props.tests) setUps.set(one.key.replace(/^[^@]*/, '') || one.key, one.key);
        const tests = [...setUps.values()].map((key) => `${path}/bench?test=${encodeURIComponent(key)}`);
        found.set(family, [`${path}/bench`, ...tests]);
        if (found.size === FAMILIES) break;
    }
    return [...found].map(([family, paths]) => ({ family, paths }));
}

interface Sent {
    family: string;
    tests: { key: string }[];
}

async function propsOf(page: Page, path: string): Promise<Sent> {
    const html = await (await page.request.get(path)).text();
    const text = /data-page="([^"]*)"/.exec(html)?.[1] ?? '';
    const sent = JSON.parse(text.replaceAll('&quot;', '"').replaceAll('&#039;', "'").replaceAll('&amp;', '&')) as {
        props: { diagnosis: { tests: { key: string }[] }; sheet: { elements: { id: string; label: string }[] } };
    };
    // What the parts of a sheet are called tells the families apart.
    const family = sent.props.sheet.elements.map((one) => one.id).join(' ');
    return { family, tests: sent.props.diagnosis.tests };
}

/** What is wrong with the texts of the sheet that is seen. */
async function faults(page: Page, smallest: number): Promise<string[]> {
    return page.locator('[data-sheet] svg[role=img]').evaluate((drawn, least) => {
        const svg = drawn as SVGSVGElement;
        const wrong: string[] = [];
        const scale = svg.getScreenCTM()?.a ?? 1;
        const frame = svg.getBoundingClientRect();
        const texts = [...svg.querySelectorAll<SVGTextElement>('text[data-label]')].map((text) => {
            const box = text.getBoundingClientRect();
            const high = Number(text.getAttribute('font-size')) * scale;
            if (high < least) wrong.push(`"${text.textContent}" is ${high.toFixed(1)} px high`);
            // The box of a text holds room above and below its letters.
            const middle = (box.top + box.bottom) / 2;
            return {
                text: text.textContent,
                left: box.left,
                right: box.right,
                top: middle - 0.4 * high,
                bottom: middle + 0.36 * high,
            };
        });
        const leads = [...svg.querySelectorAll('[data-lead] circle')].map((one) => one.getBoundingClientRect());
        texts.forEach((one, n) => {
            if (
                one.left < frame.left - 0.5 ||
                one.right > frame.right + 0.5 ||
                one.top < frame.top - 0.5 ||
                one.bottom > frame.bottom + 0.5
            )
                wrong.push(`"${one.text}" is cut`);
            for (const other of [...texts.slice(n + 1), ...leads])
                if (
                    Math.min(one.right, other.right) - Math.max(one.left, other.left) > 0.5 &&
                    Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top) > 0.5
                )
                    wrong.push(`"${one.text}" lies on ${'text' in other ? `"${other.text}"` : 'a lead'}`);
        });
        for (const path of svg.querySelectorAll<SVGPathElement>('path[stroke]:not([stroke=transparent])')) {
            const matrix = path.getScreenCTM();
            const length = path.getTotalLength();
            if (!matrix || path.closest('[data-lead]')) continue;
            // Only where a text lies within the bounds of a path need its points be looked at.
            const bounds = path.getBoundingClientRect();
            const near = texts.filter(
                (one) =>
                    one.left < bounds.right &&
                    one.right > bounds.left &&
                    one.top < bounds.bottom &&
                    one.bottom > bounds.top,
            );
            for (let at = 0; near.length > 0 && at <= length; at += 2) {
                const point = path.getPointAtLength(at).matrixTransform(matrix);
                const hit = near.find(
                    (one) =>
                        point.x > one.left + 1 &&
                        point.x < one.right - 1 &&
                        point.y > one.top + 1 &&
                        point.y < one.bottom - 1,
                );
                if (hit) {
                    wrong.push(`"${hit.text}" lies on a line`);
                    break;
                }
            }
        }
        return [...new Set(wrong)];
    }, smallest);
}

for (const width of [1280, 390]) {
    test(`texts of every family's drawing are clear at ${width}`, async ({ page }) => {
        await signIn(page);
        const all = await benches(page, width === 390 ? 1 : 3);
        expect(all.length).toBe(FAMILIES);
        await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
        const wrong: string[] = [];
        for (const { paths } of all)
            for (const path of paths) {
                await page.goto(path);
                await expect(page.locator('[data-readings]')).toBeVisible();
                const sheet = page.locator('[data-sheet] svg[role=img]');
                // On a phone a test without leads has no drawing of its own: it lies one press away.
                if ((await sheet.count()) === 0) continue;
                await expect(sheet).toBeVisible();
                await page.evaluate(() => document.fonts.ready);
                wrong.push(...(await faults(page, 12)).map((one) => `${path}: ${one}`));
                if (width === 390) await page.getByRole('button', { name: 'Suspects', exact: true }).click();
                const odds = await page
                    .getByRole(width === 390 ? 'dialog' : 'region', { name: 'Suspects' })
                    .innerText();
                for (const text of await sheet.locator('text[data-label]').allInnerTexts()) {
                    const share = /[<>]?\d+%$/.exec(text)?.[0];
                    if (share) expect(odds, `${path}: ${text}`).toContain(share);
                }
                await page.keyboard.press('Escape');
                await page.getByRole('button', { name: /^show / }).click();
                wrong.push(...(await faults(page, 12)).map((one) => `${path} with volts: ${one}`));
            }
        expect(wrong).toEqual([]);
    });
}

test('the whole sheet opens on a phone where the first lead goes, and is made larger', async ({ page }) => {
    await signIn(page);
    const all = await benches(page, 1);
    await page.setViewportSize({ width: 390, height: 844 });
    let opened = 0;
    for (const { paths } of all) {
        await page.goto(paths[0] ?? '');
        await expect(page.locator('[data-readings]')).toBeVisible();
        const button = page.getByRole('button', { name: /^(Enlarge|The drawing)$/ });
        if ((await button.count()) === 0) continue;
        await button.click();
        const dialog = page.getByRole('dialog', { name: 'Circuit' });
        await expect(dialog).toBeVisible();
        const lead = dialog.locator('[data-lead] circle').first();
        if ((await lead.count()) > 0) await expect(lead).toBeInViewport();
        // A plug may be drawn under it.
        const drawing = dialog.locator('svg[role=img]').first();
        const before = await drawing.boundingBox();
        await dialog.getByRole('button', { name: 'Larger' }).click();
        await expect
            .poll(async () => (await drawing.boundingBox())?.width ?? 0)
            .toBeGreaterThan((before?.width ?? 0) * 1.2);
        if (opened === 0) await expectAccessible(page);
        opened += 1;
        await page.keyboard.press('Escape');
        await expect(dialog).toBeHidden();
    }
    expect(opened).toBeGreaterThanOrEqual(9);
});
