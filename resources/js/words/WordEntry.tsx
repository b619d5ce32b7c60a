import WordDrawing from './WordDrawing';
import { wordOf, type Word } from './words';

/** A word with its drawing, and what to look at besides. */
export default function WordEntry({ word, onWord }: { word: Word; onWord: (key: string) => void }) {
    return (
        <article
            data-word={word.key}
            className="grid gap-x-5 gap-y-2 border-t border-rule py-3 sm:grid-cols-[240px_minmax(0,1fr)]"
        >
            <WordDrawing title={word.title} draw={word.draw} />
            <div>
                <h3 className="text-[1.15rem] leading-tight font-semibold">{word.title}</h3>
                <p className="leading-snug">{word.text}</p>
                {word.see.length > 0 && (
                    <p className="flex flex-wrap gap-x-3 text-soft">
                        See also
                        {word.see.map((key) => (
                            <button
                                key={key}
                                type="button"
                                onClick={() => onWord(key)}
                                className="min-h-9 text-lake underline underline-offset-4"
                            >
                                {wordOf.get(key)?.title}
                            </button>
                        ))}
                    </p>
                )}
            </div>
        </article>
    );
}
