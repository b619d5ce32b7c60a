import { router } from '@inertiajs/react';
import { useState } from 'react';
import { money, minutes } from '@/lib/format';
import type { TestChoice } from '@/lib/types';
import { TextField } from '@/ui/Field';

interface Props {
    jobId: string;
    tests: TestChoice[];
    currency: string;
    near: string[] | null;
    onChosen: () => void;
}

/** Every test that can be done now, best first; any of them may be taken. */
export default function TestList({ jobId, tests, currency, near, onChosen }: Props) {
    const [search, setSearch] = useState('');
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const shown = tests.filter((test) => (near === null || test.elements.some((place) => near.includes(place))) && words.every((word) => test.title.toLowerCase().includes(word)));
    const choose = (key: string) => {
        onChosen();
        router.get(`/jobs/${jobId}/bench`, { test: key }, { preserveState: true, preserveScroll: true });
    };
    return (
        <div>
            <TextField label="Find a test" value={search} onChange={(event) => setSearch(event.target.value)} />
            {shown.length === 0 && <p className="mt-3 text-soft">No test here. Close and choose another place, or clear the search.</p>}
            <ul className="mt-2">
                {shown.map((test) => (
                    <li key={test.key} className="border-t border-rule">
                        <button type="button" onClick={() => choose(test.key)} className="flex min-h-11 w-full items-center gap-3 py-1 text-left hover:bg-sheet">
                            <span className="flex-1">{test.title}</span>
                            <span className="text-[0.9rem] whitespace-nowrap text-soft">{minutes(test.minutes)}{test.saves > 1 ? `, saves ${money(test.saves, currency)}` : ''}</span>
                        </button>
                    </li>
                ))}
            </ul>
        </div>
    );
}
