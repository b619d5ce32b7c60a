import { Link } from '@inertiajs/react';
import Button from '@/ui/Button';
import type { BenchState } from './useBench';

/** What can be done instead of the test that is shown. */
export default function OtherWays({ bench }: { bench: BenchState }) {
    const { card, setPanel } = bench;
    return (
        <p className="flex flex-wrap gap-x-1 lg:-my-1.5">
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
        </p>
    );
}

/** Other ways to come to the value of the test: a worksheet, a capture. */
export function WorkedOut({ bench }: { bench: BenchState }) {
    const { job, card, worksheets } = bench;
    const link = 'inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4';
    const sheets = card
        ? (worksheets[card.quantity] ?? []).filter(
              (sheet) => sheet.tests.length === 0 || sheet.tests.includes(card.key.replace(/@.*/, '')),
          )
        : [];
    const captured = card && (card.quantity === 'duty' || card.quantity === 'frequency');
    if (!card || (sheets.length === 0 && !captured)) return null;
    return (
        <p className="flex flex-wrap gap-x-1">
            {sheets.map((sheet) => (
                <Link key={sheet.key} href={`/planners/${sheet.key}?job=${job.id}&test=${card.key}`} className={link}>
                    {sheet.name}
                </Link>
            ))}
            {captured && (
                <Link href={`/jobs/${job.id}/captures?test=${card.key}`} className={link}>
                    From a capture
                </Link>
            )}
        </p>
    );
}
