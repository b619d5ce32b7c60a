/// <reference lib="webworker" />
import core from '../../../var/device-core.json?url';
import { askDesk, startDesk, type Php } from './php';

type Base = new (glue: Promise<unknown>, options: object) => EventTarget & { binary: Promise<Php> };

// The glue of this PHP looks for a page around it.
const scope = self as unknown as Record<string, unknown>;
scope['document'] ??= {};
scope['window'] ??= self;

const said = { words: '' };

async function boot(): Promise<Php> {
    const [{ PhpBase }, files] = await Promise.all([
        import('php-wasm/PhpBase.mjs') as unknown as Promise<{ PhpBase: Base }>,
        fetch(core).then((response) => response.json() as Promise<Record<string, string>>),
    ]);
    const base = new PhpBase(import('php-wasm/php8.2-web.mjs'), { version: '8.2' });
    for (const kind of ['output', 'error'])
        base.addEventListener(kind, (event) => (said.words += String((event as CustomEvent<unknown>).detail)));
    const php = await base.binary;
    await startDesk(php, files, said);
    return php;
}

let php: Promise<Php> | null = null;
let last: Promise<unknown> = Promise.resolve();

self.addEventListener('message', (event: MessageEvent<{ id: number; question: string }>) => {
    const { id, question } = event.data;
    // One after another: all of them share one memory.
    last = last.then(async () => {
        try {
            php ??= boot();
            self.postMessage({ id, answer: await askDesk(await php, question, said) });
        } catch (error) {
            self.postMessage({ id, failed: error instanceof Error ? error.message : String(error) });
        }
    });
});
