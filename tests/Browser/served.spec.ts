import { expect, test } from '@playwright/test';

const BUILT = /\/build\/assets\/[^/]+\.(js|css|woff2?)$/;

test('what was built is fetched once and kept, and pages never are', async ({ page }) => {
    const answers = new Map<string, { kind: string; keep: string }>();
    page.on('response', (response) => {
        const headers = response.headers();
        answers.set(new URL(response.url()).pathname, {
            kind: headers['content-type'] ?? '',
            keep: headers['cache-control'] ?? '',
        });
    });
    await page.goto('/sign-in');
    await expect(page.getByLabel('Password')).toBeVisible();
    const built = [...answers].filter(([path]) => BUILT.test(path));
    expect(built.length).toBeGreaterThan(5);
    for (const [path, { kind, keep }] of built) {
        expect(keep, path).toBe('public, max-age=31536000, immutable');
        if (path.endsWith('.js')) expect(kind).toContain('text/javascript');
        if (path.endsWith('.css')) expect(kind).toContain('text/css');
        if (path.endsWith('.woff2')) expect(kind).toBe('font/woff2');
    }
    expect(answers.get('/sign-in')?.keep).not.toContain('public');

    await page.goto('/sign-in?again');
    await expect(page.getByLabel('Password')).toBeVisible();
    const fetched = await page.evaluate(() =>
        (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
            .filter((one) => one.name.includes('/build/assets/') && one.transferSize > 0)
            .map((one) => one.name),
    );
    expect(fetched, 'nothing that was built comes over the line again').toEqual([]);
});

test('nothing beside what was built is reached along its path', async ({ request }) => {
    for (const path of ['nothing.js', '..%2f..%2f..%2f.env', '..%2fmanifest.json', '%2e%2e/%2e%2e/index.php']) {
        const answer = await request.get(`/build/assets/${path}`, { maxRedirects: 0 });
        expect(answer.headers()['cache-control'] ?? '', path).not.toContain('immutable');
        expect(await answer.text(), path).not.toContain('APP_KEY');
    }
});
