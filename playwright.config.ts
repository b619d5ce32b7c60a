import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'var/test/browser',
    workers: 2,
    fullyParallel: false,
    // A machine that stands still for a minute must not look like a fault: what never comes is told late, but is told.
    timeout: 1_200_000,
    expect: { timeout: 120_000 },
    reporter: [['list'], ['./tests/Browser/last-words.ts']],
    use: {
        baseURL: process.env.APP_URL ?? 'http://127.0.0.1:8010',
        viewport: { width: 1280, height: 800 },
        trace: 'off',
        // Only what is done with no signal needs one; it keeps everything else from the net as well.
        serviceWorkers: 'block',
        launchOptions: {
            executablePath: '/usr/bin/chromium-headless-shell',
            args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
        },
    },
});
