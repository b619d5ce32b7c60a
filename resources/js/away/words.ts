import type { Entry } from './store';

const acts: [RegExp, string][] = [
    [/^\/jobs$/, 'New job'],
    [/\/maps$/, 'Speed map'],
    [/\/readings$/, 'Reading'],
    [/\/strike$/, 'Reading struck out'],
    [/\/keep$/, 'Reading kept as right'],
    [/\/undo$/, 'Taken back'],
    [/\/hook-up$/, 'Hooked up anew'],
    [/\/practice-acts$/, 'Exercise'],
    [/\/tools$/, 'Tool at hand or not'],
    [/\/circuit/, 'Circuit'],
    [/\/photos$/, 'Photo'],
    [/\/remedy$/, 'Chosen way'],
    [/\/fit$/, 'Fit check'],
    [/\/measured$/, 'New part measured'],
    [/\/replacements$/, 'Part replaced'],
    [/\/to-proof$/, 'To the proof'],
    [/\/proof$/, 'Speed map after it'],
    [/\/checks$/, 'Check of the repair'],
    [/\/close$/, 'Job closed'],
    [/\/entries$/, 'Note'],
    [/\/plans\//, 'Plan'],
    [/\/worked\//, 'Worked out'],
    [/\/runs/, 'Step of a procedure'],
];

/** What was entered, in words for a list. */
export function entryWords(entry: Entry): string {
    const act = acts.find(([one]) => one.test(entry.url))?.[1] ?? 'Entry';
    return [act, ...(entry.words === null ? shown(entry) : [entry.words])].join(': ');
}

function shown(entry: Entry): string[] {
    if (typeof entry.body !== 'string' || entry.body === '') return [];
    const fields = JSON.parse(entry.body) as Record<string, unknown>;
    const text = (field: string) => (typeof fields[field] === 'string' ? fields[field] : '');
    const value = fields['overRange'] === true ? 'over range' : text('value') || text('choice');
    return [text('test'), value, text('complaint'), text('reason'), text('partNumber'), text('outcome')].filter(
        (one) => one !== '',
    );
}

interface Card {
    key: string;
    title: string;
    unit: string;
    choices: { value: string; label: string }[];
}

/** A reading in the words of the test for which it was taken. */
export function readingWords(props: Record<string, unknown>, body: unknown): string | null {
    const card = (props['diagnosis'] as { card?: Card | null } | undefined)?.card;
    if (!card || typeof body !== 'string' || body === '') return null;
    const { test, value, choice, overRange } = JSON.parse(body) as Record<string, unknown>;
    if (test !== card.key) return null;
    const answer = card.choices.find((one) => one.value === choice)?.label;
    const typed = typeof value === 'string' && /^[-\d.,\s]+$/.test(value) ? `${value} ${card.unit}` : value;
    return `${card.title}: ${overRange === true ? 'over range' : (answer ?? String(typed))}`;
}
