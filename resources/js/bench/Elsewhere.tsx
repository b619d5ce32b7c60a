import type { ElsewhereShown } from '@/generated/props';
import TextLink from '@/ui/TextLink';

/** Nothing of the list explains the readings: what looks sound, what does not, what is cleared, and what would narrow it. */
export default function Elsewhere({ jobId, found }: { jobId: string; found: ElsewhereShown }) {
    return (
        <section aria-label="Not in the list" className="my-3 border-2 border-lake bg-sheet px-4 py-3">
            <p className="text-[1.15rem] leading-tight font-semibold">No fault of the list explains the readings</p>
            <p className="mt-1">
                Nothing has to be replaced on that. The fault lies between what looks sound and what does not: follow
                the wires from one to the other, and look for what no list has, such as a leak, a part of another model,
                or two faults at once.
            </p>
            <Readings title="Not as in a sound machine" lines={found.odd} none="Nothing yet, beyond what was heard." />
            <Readings title="As in a sound machine" lines={found.sound} none="Nothing yet." />
            {found.together.length > 0 && (
                <div className="mt-2">
                    <p className="font-semibold">Two faults at once would explain it better</p>
                    <ul>
                        {found.together.map((two) => (
                            <li key={two} className="border-t border-rule py-1">
                                {two}
                            </li>
                        ))}
                    </ul>
                    <p className="text-soft">
                        Cure the one that is easier to see, prove it, and let the new map speak for the other.
                    </p>
                </div>
            )}
            {found.cleared.length > 0 && (
                <p className="mt-2">
                    <strong className="font-semibold">Cleared so far:</strong> {found.cleared.join(', ').toLowerCase()}.
                </p>
            )}
            {found.narrows.length > 0 && (
                <>
                    <p className="mt-2 font-semibold">What would narrow it</p>
                    <ul>
                        {found.narrows.map((test) => (
                            <li key={test.key}>
                                <TextLink href={`/jobs/${jobId}/bench?test=${test.key}`} preserveScroll>
                                    {test.title}
                                </TextLink>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}

function Readings({ title, lines, none }: { title: string; lines: string[]; none: string }) {
    return (
        <div className="mt-2">
            <p className="font-semibold">{title}</p>
            {lines.length === 0 ? (
                <p className="text-soft">{none}</p>
            ) : (
                <ul>
                    {lines.map((line) => (
                        <li key={line} className="border-t border-rule py-1">
                            {line}
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}
