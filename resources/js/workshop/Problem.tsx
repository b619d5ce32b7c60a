import { Head, Link, usePage } from '@inertiajs/react';
import type { Shared } from '@/lib/page';

const words: Record<number, [string, string]> = {
    403: ['That is not for this account.', 'Ask the lead of your workshop.'],
    404: ['There is nothing here.', 'The job may belong to another workshop, or the address is not complete.'],
    405: ['That page cannot be opened like this.', 'Go back to the jobs and try from there.'],
    413: [
        'That is too much at once.',
        'A form or a table may have 2 MB, a photo 12 MB, a job file 30 MB, a capture 500 MB.',
    ],
    429: ['Too many tries.', 'Wait a minute, then try again.'],
    500: [
        'Something went wrong here, not with you.',
        'What was recorded before is safe. Try again; if it stays, tell whoever runs this.',
    ],
    503: [
        'Ispira cannot do this just now.',
        'It is being worked on, or the place where files are kept does not answer. Try again in a few minutes.',
    ],
};

export default function Problem() {
    const { status, request } = usePage<Shared & { status: number; request: string | null }>().props;
    const [title, what] = words[status] ?? words[500] ?? ['', ''];
    return (
        <main className="mx-auto max-w-[640px] px-6 py-24">
            <Head title={title} />
            <p className="figure text-soft">{status}</p>
            <h1 className="text-[2rem] leading-tight font-semibold">{title}</h1>
            <p className="mt-2 text-lg">{what}</p>
            {status >= 500 && request && (
                <p className="mt-2 text-soft">
                    Its number in the log is <span className="figure">{request}</span>.
                </p>
            )}
            <p className="mt-6">
                <Link
                    href="/"
                    className="inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                >
                    To the jobs
                </Link>
            </p>
        </main>
    );
}
