import { useState } from 'react';
import { TextField } from '@/ui/Field';
import Panel from '@/ui/Panel';
import WordEntry from './WordEntry';
import { wordOf, words, wordsFor, wordsIn } from './words';

interface Props {
    /** What the page says. */
    said: string;
    onClose: () => void;
}

/** Words of the trade: those that the page uses first, and any of them when one is looked for. */
export default function WordsPanel({ said, onClose }: Props) {
    const here = wordsIn(said);
    const [search, setSearch] = useState('');
    const [chosen, setChosen] = useState<string | null>(null);
    const one = chosen === null ? undefined : wordOf.get(chosen);
    const shown = one ? [one] : search.trim() === '' ? here : wordsFor(search);
    return (
        <Panel
            open
            onOpenChange={onClose}
            title="Words of the trade"
            description={`What this page speaks of, or any of the ${words.length}.`}
        >
            <TextField
                label="Find a word"
                type="search"
                value={search}
                onChange={(event) => {
                    setChosen(null);
                    setSearch(event.target.value);
                }}
            />
            {one && (
                <button
                    type="button"
                    onClick={() => setChosen(null)}
                    className="min-h-11 text-lake underline underline-offset-4"
                >
                    Back to the list
                </button>
            )}
            {!one && search.trim() === '' && (
                <ul className="flex flex-wrap gap-x-4 py-2" aria-label="On this page">
                    {here.map((word) => (
                        <li key={word.key}>
                            <button
                                type="button"
                                data-word-link={word.key}
                                onClick={() => setChosen(word.key)}
                                className="min-h-11 text-lake underline underline-offset-4"
                            >
                                {word.title}
                            </button>
                        </li>
                    ))}
                    {here.length === 0 && <li>None on this page. Look for one above.</li>}
                </ul>
            )}
            {(one !== undefined || search.trim() !== '') &&
                shown.map((word) => <WordEntry key={word.key} word={word} onWord={setChosen} />)}
            {shown.length === 0 && search.trim() !== '' && <p>No word like that. Try a part of it.</p>}
        </Panel>
    );
}
