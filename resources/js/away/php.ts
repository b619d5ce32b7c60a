/** What is used of PHP compiled to WebAssembly, wherever it runs. */
export interface Php {
    FS: {
        mkdirTree(path: string): void;
        writeFile(path: string, text: string): void;
        readFile(path: string, options: { encoding: 'utf8' }): string;
    };
    ccall(name: string, returns: string, takes: string[], given: string[]): Promise<number>;
}

/** What PHP writes beside its answers: why it ended. */
export interface Said {
    words: string;
}

/** Puts the core where PHP finds it, and starts its desk. */
export async function startDesk(php: Php, files: Record<string, string>, said: Said): Promise<void> {
    const made = new Set<string>();
    for (const [path, text] of Object.entries(files)) {
        const folder = `/ispira/${path.slice(0, path.lastIndexOf('/'))}`;
        if (!made.has(folder)) php.FS.mkdirTree(folder);
        made.add(folder);
        php.FS.writeFile(`/ispira/${path}`, text);
    }
    await run(php, '$desk = require "/ispira/core/Away/start.php";', said);
}

/** Asks the desk one thing; it remembers the job from one to the next. */
export async function askDesk(php: Php, question: string, said: Said): Promise<string> {
    php.FS.writeFile('/ispira/question.json', question);
    await run(
        php,
        'file_put_contents("/ispira/answer.json", json_encode($desk->answer(file_get_contents("/ispira/question.json")), ' +
            'JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR));',
        said,
    );
    return php.FS.readFile('/ispira/answer.json', { encoding: 'utf8' });
}

async function run(php: Php, code: string, said: Said): Promise<void> {
    said.words = '';
    const ended = await php.ccall('pib_run', 'number', ['string'], [`?><?php ${code}`]);
    if (ended !== 0) throw new Error(`PHP ended with ${ended}: ${said.words.trim().slice(-300)}`);
}
