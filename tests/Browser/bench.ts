import { execFileSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';

/** A simulated unit with a hidden fault, answered by the application's own core. */
export class HiddenUnit {
    private every: Record<string, number | string | null> | null = null;

    constructor(
        private readonly fault: string,
        private readonly parameters: Record<string, unknown> = {},
        private readonly seed = 1,
        private readonly family = 'stepped-blower',
        private readonly part = '',
    ) {}

    /** What one test shows, or every position of the speed map. */
    answer(test?: string): Record<string, number | string | null> {
        if (!test) return this.ask();
        this.every ??= this.ask('--every');
        const shown = this.every[test];
        if (shown === undefined) throw new Error(`The circuit has no test "${test}".`);
        return { [test]: shown };
    }

    private ask(...what: string[]): Record<string, number | string | null> {
        const args = [
            'artisan',
            'ispira:answer',
            ...what,
            `--fault=${this.fault}`,
            `--family=${this.family}`,
            `--part=${this.part}`,
            `--parameters=${JSON.stringify(this.parameters)}`,
            `--seed=${this.seed}`,
        ];
        return JSON.parse(execFileSync('php', args, { encoding: 'utf8' })) as Record<string, number | string | null>;
    }
}

/** Signs in by the form. */
export async function enter(page: Page, email: string, password: string): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
}

/** Signs in as the form does, without drawing it, and opens a page. */
export async function signIn(page: Page, who = 'iska@halvmark.example', to = '/'): Promise<void> {
    // As a page: what asks for anything else gets no session.
    const Accept = 'text/html';
    await page.request.get('/sign-in', { headers: { Accept } });
    const cookies = await page.context().cookies();
    const token = cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '';
    const answer = await page.request.post('/sign-in', {
        form: { email: who, password: 'lake-ferry' },
        headers: { Accept, 'X-XSRF-TOKEN': decodeURIComponent(token) },
        maxRedirects: 0,
    });
    expect(answer.status(), `${who} signs in`).toBe(302);
    await page.goto(to);
    await expect(page).not.toHaveURL(/sign-in/);
}

/** A line that breaks is no fault of a page: what it does then has tests of its own. It is told beside the test. */
const BROKEN_LINE = /net::ERR_(NETWORK_CHANGED|CONNECTION_RESET|CONNECTION_CLOSED|EMPTY_RESPONSE|SOCKET_NOT_CONNECTED)/;

/** What a page complains of while a test goes on, with the address. */
export function watchForErrors(page: Page): string[] {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
        if (message.type() !== 'error') return;
        const said = `${message.text()} (${message.location().url})`;
        if (BROKEN_LINE.test(said)) console.warn(said);
        else errors.push(said);
    });
    return errors;
}

export async function enterMap(page: Page, states: Record<string, string>): Promise<void> {
    for (const [position, state] of Object.entries(states)) {
        await page.locator(`[data-position="${position}"] [data-answer="${state}"]`).click();
    }
}

/** The speed map of a unit, by position. */
export function mapOf(unit: HiddenUnit): Record<string, string> {
    return Object.fromEntries(
        Object.entries(unit.answer()).map(([test, state]) => [test.replace('speed@', ''), String(state)]),
    );
}

/** Takes the test that stands on the bench with the hidden unit's answer; returns the key of the test. */
export async function takeTest(page: Page, unit: HiddenUnit): Promise<string> {
    const card = page.locator('[data-test]');
    const key = (await card.getAttribute('data-test')) ?? '';
    const value = unit.answer(key)[key];
    const dock = page.getByRole('region', { name: 'Reading', exact: true });
    if (typeof value === 'number') {
        await dock.getByRole('textbox').first().fill(value.toFixed(3));
    } else if (value === null) {
        await dock.getByRole('button', { name: /over range/ }).click();
    } else {
        await dock.locator(`[data-choice="${value}"]`).click();
    }
    const bench = page.locator('[data-readings]');
    const before = (await bench.getAttribute('data-readings')) ?? '';
    await dock.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(bench).not.toHaveAttribute('data-readings', before);
    return key;
}

/**
 * Follows proposals, and then the checks for the cause, until the verdict is final. Returns the tests that were taken.
 */
export async function followToVerdict(page: Page, unit: HiddenUnit): Promise<string[]> {
    const taken: string[] = [];
    for (let step = 0; step < 25; step += 1) {
        await expect(page.getByRole('region', { name: 'Suspects' })).toBeVisible();
        const cause = page.getByRole('region', { name: 'Next test' }).getByRole('listitem').getByRole('link').first();
        if (await page.locator('[data-test]').isVisible()) {
            taken.push(await takeTest(page, unit));
        } else if (await cause.isVisible()) {
            await cause.click();
            await expect(page.locator('[data-test]')).toBeVisible();
            taken.push(await takeTest(page, unit));
        } else {
            return taken;
        }
    }
    return taken;
}

/** Opens the form of a new job and fills in what every job needs. */
export async function begin(
    page: Page,
    kind: string,
    unit: string,
    complaint: string,
    choose: string[] = [],
): Promise<void> {
    await signIn(page, undefined, '/jobs/new');
    await page.getByRole('combobox', { name: 'Unit' }).fill(unit);
    await page.getByLabel('Complaint').fill(complaint);
    await page.getByRole('radio', { name: kind, exact: true }).click();
    for (const choice of choose) await page.getByRole('radio', { name: choice, exact: true }).click();
}
