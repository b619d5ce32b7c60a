/// <reference lib="webworker" />
import core from '../../../var/device-core.json?url';

interface Php {
    FS: {
        mkdirTree(path: string): void;
        writeFile(path: string, text: string): void;
        readFile(path: string, options: { encoding: 'utf8' }): string;
    };
    ccall(name: string, returns: string, takes: string[], given: string[]): Promise<number>;
}

// The glue of this PHP looks for a page around it.
const scope = self as unknown as Record<string, unknown>;
scope['document'] ??= {};
scope['window'] ??= self;

/** What PHP has written beside its answers: why it ended. */
let said = '';

async function boot(): Promise<Php> {
    const [{ PhpBase }, files] = await Promise.all([
        import('php-wasm/PhpBase.mjs') as unknown as Promise<{
            PhpBase: new (glue: Promise<unknown>, options: object) => EventTarget & { binary: Promise<Php> };
        }>,
        fetch(core).then((response) => response.json() as Promise<Record<string, string>>),
    ]);
    const base = new PhpBase(import('php-wasm/php8.2-web.mjs'), { version: '8.2' });
    for (const kind of ['output', 'error'])
        base.addEventListener(kind, (event) => (said += String((event as CustomEvent<unknown>).detail)));
    const php = await base.binary;
    const made = new Set<string>();
    for (const [path, text] of Object.entries(files)) {
        const folder = `/ispira/${path.slice(0, path.lastIndexOf('/'))}`;
        if (!made.has(folder)) php.FS.mkdirTree(folder);
        made.add(folder);
        php.FS.writeFile(`/ispira/${path}`, text);
    }
    await run(php, '$desk = require "/ispira/core/Away/start.php";');
    return php;
}

async function run(php: Php, code: string): Promise<void> {
    said = '';
    const ended = await php.ccall('pib_run', 'number', ['string'], [`?><?php ${code}`]);
    if (ended !== 0) throw new Error(`PHP ended with ${ended}: ${said.trim().slice(-300)}`);
}

async function answer(php: Php, question: string): Promise<string> {
    php.FS.writeFile('/ispira/question.json', question);
    await run(
        php,
        'file_put_contents("/ispira/answer.json", json_encode($desk->answer(file_get_contents("/ispira/question.json")), ' +
            'JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR));',
    );
    return php.FS.readFile('/ispira/answer.json', { encoding: 'utf8' });
}

let php: Promise<Php> | null = null;
let last: Promise<unknown> = Promise.resolve();

self.addEventListener('message', (event: MessageEvent<{ id: number; question: string }>) => {
    const { id, question } = event.data;
    // One after another: all of them share one memory.
    last = last.then(async () => {
        try {
            php ??= boot();
            self.postMessage({ id, answer: await answer(await php, question) });
        } catch (error) {
            self.postMessage({ id, failed: error instanceof Error ? error.message : String(error) });
        }
    });
});
