import Button from '@/ui/Button';
import type { BenchState } from './useBench';
import TextLink from '@/ui/TextLink';

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
                <TextLink apart key={sheet.key} href={`/planners/${sheet.key}?job=${job.id}&test=${card.key}`}>
                    {sheet.name}
                </TextLink>
            ))}
            {captured && (
                <TextLink apart href={`/jobs/${job.id}/captures?test=${card.key}`}>
                    From a capture
                </TextLink>
            )}
        </p>
    );
}
