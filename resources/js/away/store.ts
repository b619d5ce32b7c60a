import { openDB, type DBSchema } from 'idb';

/** One thing that was entered on this device, until the server has taken it. */
export interface Entry {
    seq: number;
    person: number;
    /** Of a job, where it belongs to one. */
    job: string | null;
    method: string;
    url: string;
    /** Text of JSON, or the fields of a form with files. */
    body: string | [string, string | File][];
    at: string;
    /** What it is called where it was entered; null where it has no name of its own. */
    words: string | null;
    /** What was sent stays until the copy of its job knows of it. */
    state: 'waiting' | 'refused' | 'sent';
    why: string | null;
}

/** A job that was taken along. */
export interface Kept {
    job: string;
    person: number;
    number: string;
    unit: string;
    /** What the core reads: see the schema of a kept job. */
    json: string;
    /** What every page shows of the person. */
    user: unknown;
    /** Address of the core with which it was taken along: a newer one has to be fetched before it is needed. */
    engine: string;
    at: string;
}

/** A page as it was sent last, for when the server is out of reach. */
export interface KeptPage {
    url: string;
    person: number;
    page: string;
    at: string;
}

interface Schema extends DBSchema {
    outbox: { key: number; value: Entry; indexes: { person: number } };
    jobs: { key: string; value: Kept };
    pages: { key: string; value: KeptPage };
}

const database = () =>
    openDB<Schema>('ispira', 1, {
        upgrade(db) {
            db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }).createIndex('person', 'person');
            db.createObjectStore('jobs', { keyPath: 'job' });
            db.createObjectStore('pages', { keyPath: 'url' });
        },
    });

let opened: ReturnType<typeof database> | null = null;

/** What this device keeps: nothing of it is gone when a page is closed. */
export function store(): ReturnType<typeof database> {
    return (opened ??= database());
}
