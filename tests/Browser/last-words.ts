import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** What failed and why, in a few lines at the very end, where a cut log still shows it. */
export default class LastWords implements Reporter {
    private readonly failures: string[] = [];

    onTestEnd(test: TestCase, result: TestResult): void {
        if (result.status === 'passed' || result.status === 'skipped') return;
        const words = result.errors.map((error) => error.message ?? error.value ?? '').join('\n');
        // The colours of a terminal are no words.
        const plain = words.replace(/\x1b\[[0-9;]*m/g, '');
        const lines = plain.split('\n').filter((line) => line.trim() !== '');
        this.failures.push([test.title, ...lines.slice(0, 8)].map((line) => line.trim().slice(0, 300)).join('\n    '));
    }

    onEnd(result: FullResult): void {
        if (result.status === 'passed') return;
        process.stdout.write(`\nfailed:\n${this.failures.join('\n')}\n`);
    }

    printsToStdio(): boolean {
        return false;
    }
}
