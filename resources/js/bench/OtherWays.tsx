import { Link } from '@inertiajs/react';
import Button from '@/ui/Button';
import type { BenchState } from './useBench';

/** What can be done instead of the test that is shown, or to read it another way. */
export default function OtherWays({ bench }: { bench: BenchState }) {
    const { job, card, worksheets, setPanel } = bench;
    return (
        <p className="flex flex-wrap gap-x-1">
            <Button kind="quiet" aria-keyshortcuts="T" onClick={() => bench.showTests(null)}>
                Other tests <span className="key">T</span>
            </Button>
            {card && (
                <Button kind="quiet" aria-keyshortcuts="X" onClick={() => setPanel('cannot')}>
                    Cannot do this here <span className="key">X</span>
                </Button>
            )}
            <Button kind="quiet" aria-keyshortcuts="?" onClick={() => setPanel('keys')}>
                Keys <span className="key">?</span>
            </Button>
            {card &&
                (worksheets[card.quantity] ?? [])
                    .filter((sheet) => sheet.tests.length === 0 || sheet.tests.includes(card.key.replace(/@.*/, '')))
                    .map((sheet) => (
                        <Link
                            key={sheet.key}
                            href={`/planners/${sheet.key}?job=${job.id}&test=${card.key}`}
                            className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                        >
                            {sheet.name}
                        </Link>
                    ))}
            {card && (card.quantity === 'duty' || card.quantity === 'frequency') && (
                <Link
                    href={`/jobs/${job.id}/captures?test=${card.key}`}
                    className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                >
                    From a capture
                </Link>
            )}
        </p>
    );
}
