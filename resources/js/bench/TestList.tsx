import { router } from '@inertiajs/react';
import { useState } from 'react';
import { money, minutes } from '@/lib/format';
import type { DiagnosisShown, TestChoiceShown, Tool } from '@/generated/props';
import { TextField } from '@/ui/Field';

interface Props {
    jobId: string;
    tests: TestChoiceShown[];
    beyond: DiagnosisShown['beyond'];
    tools: Tool[];
    currency: string;
    near: string[] | null;
    onChosen: () => void;
}

/** Every test that can be done now, best first; any of them may be taken. */
export default function TestList({ jobId, tests, beyond, tools, currency, near, onChosen }: Props) {
    const [search, setSearch] = useState('');
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const shown = tests.filter(
        (test) =>
            (near === null || test.elements.some((place) => near.includes(place))) &&
            words.every((word) => test.title.toLowerCase().includes(word)),
    );
    const choose = (key: string) => {
        onChosen();
        router.get(`/jobs/${jobId}/bench`, { test: key }, { preserveState: true, preserveScroll: true });
    };
    return (
        <div>
            <TextField label="Find a test" value={search} onChange={(event) => setSearch(event.target.value)} />
            {near === null && (
                <fieldset className="mt-3">
                    <legend className="mb-1 font-medium">Tools at hand</legend>
                    <div className="flex flex-wrap gap-x-5">
                        {tools.map((tool) => (
                            <label key={tool.key} className="flex min-h-11 items-center gap-2">
                                <input
                                    type="checkbox"
                                    checked={tool.atHand}
                                    className="h-5 w-5"
                                    onChange={(event) =>
                                        router.post(
                                            `/jobs/${jobId}/tools`,
                                            { tool: tool.key, atHand: event.target.checked },
                                            { preserveState: true, preserveScroll: true },
                                        )
                                    }
                                />
                                {tool.label}
                            </label>
                        ))}
                    </div>
                </fieldset>
            )}
            {shown.length === 0 && (
                <p className="mt-3 text-soft">No test here. Close and choose another place, or clear the search.</p>
            )}
            <ul className="mt-2">
                {shown.map((test) => (
                    <li key={test.key} className="border-t border-rule">
                        <button
                            type="button"
                            onClick={() => choose(test.key)}
                            className="flex min-h-11 w-full items-center gap-3 py-1 text-left hover:bg-sheet"
                        >
                            <span className="flex-1">{test.title}</span>
                            <span className="text-[0.9rem] whitespace-nowrap text-soft">
                                {minutes(test.minutes)}
                                {test.saves > 1 ? `, saves ${money(test.saves, currency)}` : ''}
                            </span>
                        </button>
                    </li>
                ))}
            </ul>
            {near === null && beyond.length > 0 && (
                <section aria-label="Tests that need other tools" className="mt-4">
                    <h3 className="font-medium">With other tools</h3>
                    <ul>
                        {beyond.map((test) => (
                            <li key={test.key} className="border-t border-rule">
                                <button
                                    type="button"
                                    onClick={() => choose(test.key)}
                                    className="flex min-h-11 w-full items-center gap-3 py-1 text-left hover:bg-sheet"
                                >
                                    <span className="flex-1">{test.title}</span>
                                    <span className="text-[0.9rem] text-soft">{test.tools.join(', ')}</span>
                                </button>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </div>
    );
}
