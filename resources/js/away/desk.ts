/** Keeps PHP running beside the page, and asks it one thing after another. */

/** The core and its PHP could not answer; what was entered is kept all the same. */
export class DeskFailed extends Error {}

interface Reply {
    id: number;
    answer?: string;
    failed?: string;
}

let worker: Worker | null = null;
let count = 0;
const open = new Map<number, { done: (answer: string) => void; failed: (error: Error) => void }>();

function begin(): Worker {
    const begun = new Worker(new URL('./desk.worker.ts', import.meta.url), { type: 'module', name: 'desk' });
    begun.addEventListener('message', (event: MessageEvent<Reply>) => {
        const asked = open.get(event.data.id);
        open.delete(event.data.id);
        if (event.data.answer !== undefined) asked?.done(event.data.answer);
        else {
            end();
            asked?.failed(new DeskFailed(event.data.failed ?? 'It ended.'));
        }
    });
    begun.addEventListener('error', (event) => {
        end();
        open.forEach((asked) => asked.failed(new DeskFailed(event.message || 'It could not be started.')));
        open.clear();
    });
    return begun;
}

// What has failed once may have left its memory in any state: the next question starts it anew.
function end(): void {
    worker?.terminate();
    worker = null;
}

/** @returns the answer of the core, as it was written */
export function ask(question: string): Promise<string> {
    worker ??= begin();
    const id = (count += 1);
    return new Promise((done, failed) => {
        open.set(id, { done, failed });
        worker?.postMessage({ id, question });
    });
}
