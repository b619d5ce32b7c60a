import { expect, type Page } from '@playwright/test';
import axe, { type AxeResults } from 'axe-core';

/** Colours, backgrounds and letters that were found readable, in all that this worker has seen. */
const readable = new Set<string>();

interface Checked {
    violations: string[];
    /** What was found readable on this page and not before. */
    found: string[];
}

/**
 * Nothing on the page that axe objects to, by WCAG 2.1 level AA.
 *
 * Contrast takes most of the time, and hangs on nothing but letters and what lies behind them: what was found readable is
 * not measured again where it looks the same, unless it lies above something else.
 */
export async function expectAccessible(page: Page): Promise<void> {
    // Between two pages there is a moment without a title.
    await expect(page).toHaveTitle(/\S/);
    if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
    const checked = await page.evaluate(check, [...readable]);
    expect(checked.violations).toEqual([]);
    checked.found.forEach((look) => readable.add(look));
}

/** Runs in the page. */
async function check(before: string[]): Promise<Checked> {
    const known = new Set(before);
    const runner = (window as unknown as { axe: typeof axe }).axe;
    const wrong = (result: AxeResults): string[] =>
        result.violations.map(
            (violation) => `${violation.id}: ${violation.nodes.map((node) => node.html).join(' | ')}`,
        );
    const hasLetters = (element: Element): boolean =>
        element.matches('input, select, textarea') ||
        [...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim() !== '');
    /** What decides whether letters can be read: their colour and size, and all that lies behind and over them. */
    const lookOf = (element: Element): string => {
        const own = getComputedStyle(element);
        const parts = [element.localName, own.color, own.fontSize, own.fontWeight, own.textShadow];
        for (let behind: Element | null = element; behind; behind = behind.parentElement) {
            const style = getComputedStyle(behind);
            parts.push(style.backgroundColor, style.backgroundImage, style.opacity, style.filter, style.position);
        }
        return parts.join(' ');
    };
    // Only what is wrong is told: the rest took longer to write down than to find.
    const violations = wrong(
        await runner.run(document, {
            resultTypes: ['violations'],
            selectors: false,
            runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'],
            rules: { 'color-contrast': { enabled: false } },
        }),
    );
    // Gathered only now: the page may have drawn itself anew meanwhile, and what is gone has no look.
    const looks = new Map<Element, string>();
    for (const element of document.body.querySelectorAll('*')) {
        if (!hasLetters(element)) continue;
        const look = lookOf(element);
        if (!known.has(look) || /absolute|fixed|sticky/.test(look)) looks.set(element, look);
    }
    const include = [...looks.keys()] as HTMLElement[];
    const found = new Set<string>();
    if (include.length > 0) {
        const contrast = await runner.run(
            { include },
            { runOnly: ['color-contrast'], resultTypes: ['violations', 'passes'], selectors: false, elementRef: true },
        );
        violations.push(...wrong(contrast));
        // What was passed over, hidden or disabled as it is, was not found readable.
        for (const { element } of contrast.passes.flatMap((pass) => pass.nodes)) {
            const look = element && looks.get(element);
            if (look) found.add(look);
        }
    }
    return { violations, found: [...found] };
}
