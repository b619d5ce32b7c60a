import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { PhpNode } from 'php-wasm/PhpNode.mjs';
import { askDesk, startDesk, type Php } from '../../resources/js/away/php';

/** Part by which two numbers may differ: far below the last digit that is shown anywhere. */
const LAST_DIGIT = 1e-9;

interface Asked {
    family: string;
    asked: { question: string; answer: unknown }[];
}

/** Where two answers differ, as paths. */
function differences(one: unknown, other: unknown, path = ''): string[] {
    if (typeof one === 'number' && typeof other === 'number')
        return Math.abs(one - other) <= LAST_DIGIT * Math.max(1, Math.abs(one)) ? [] : [`${path}: ${one} is ${other}`];
    if (one === null || other === null || typeof one !== 'object' || typeof other !== 'object')
        return one === other ? [] : [`${path}: ${String(one)} is ${String(other)}`];
    const a = one as Record<string, unknown>;
    const b = other as Record<string, unknown>;
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
        differences(a[key], b[key], `${path}/${key}`),
    );
}

test('the device answers for every family as the server does, to the last digit shown', async () => {
    const compiled = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=128M'];
    const lines = execFileSync('php', [...compiled, 'tests/Browser/away-questions.php'], {
        encoding: 'utf8',
        maxBuffer: 64e6,
    });
    const families = lines
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Asked);
    expect(families).toHaveLength(11);
    const said = { words: '' };
    const node = new PhpNode({ version: '8.2' });
    for (const kind of ['output', 'error'])
        node.addEventListener(kind, (event) => (said.words += String((event as CustomEvent<unknown>).detail)));
    const php = (await node.binary) as unknown as Php;
    const core = execFileSync('php', ['bin/device-core.php'], { encoding: 'utf8', maxBuffer: 64e6 });
    await startDesk(php, JSON.parse(core) as Record<string, string>, said);
    for (const { family, asked } of families) {
        for (const { question, answer } of asked) {
            const away: unknown = JSON.parse(await askDesk(php, question, said));
            expect(differences(answer, away), family).toEqual([]);
        }
    }
});
