import text from './words.en.json';

/** One stroke or sign of a drawing: its name, then places on a sheet of 160 by 90. */
export type Stroke = [string, ...(string | number)[]];

export interface Word {
    key: string;
    title: string;
    /** As it stands in sentences. */
    also: string[];
    text: string;
    draw: Stroke[];
    see: string[];
}

export const words = [...(text.words as unknown as Word[])].sort((a, b) => a.title.localeCompare(b.title));

export const wordOf = new Map(words.map((word) => [word.key, word]));

const escaped = (said: string) => said.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

const patterns = words.map((word) => ({
    word,
    // What is written in capitals is meant so.
    said: word.also.map((one) => new RegExp(`(?<![\\w-])${escaped(one)}s?(?![\\w-])`, /^[A-Z]/.test(one) ? '' : 'i')),
}));

/** The words of the trade that a text uses. */
export function wordsIn(said: string): Word[] {
    return patterns.filter((one) => one.said.some((pattern) => pattern.test(said))).map((one) => one.word);
}

/** Words whose title or text holds all that is looked for. */
export function wordsFor(search: string): Word[] {
    const wanted = search.toLowerCase().split(/\s+/).filter(Boolean);
    return words.filter((word) => {
        const said = `${word.title} ${word.also.join(' ')} ${word.text}`.toLowerCase();
        return wanted.every((one) => said.includes(one));
    });
}
