import Panel from '@/ui/Panel';

const keys: [string, string][] = [
    ['Enter', 'record what stands in the dock'],
    ['1 to 9', 'choose an answer'],
    ['O', 'over range'],
    ['S', 'the reading wanders'],
    ['B, F', 'it misbehaves now, it works now'],
    ['A', 'let a practice unit answer'],
    ['I', 'read from a meter, or type again'],
    ['R', 'let go of a held reading'],
    ['U', 'take back what was recorded or struck out'],
    ['T', 'other tests'],
    ['X', 'cannot do this here'],
    ['W', 'why these odds'],
    ['L', 'readings'],
    ['V', 'volts on the drawing'],
    ['?', 'these keys'],
    ['Escape', 'close what lies over the page'],
];

/** Every key of the bench. */
export default function KeysPanel({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Panel open={open} onOpenChange={onOpenChange} title="Keys" description="They work as soon as the page stands.">
            <dl className="grid grid-cols-[6rem_1fr] gap-x-4 gap-y-1.5">
                {keys.map(([key, does]) => (
                    <div key={key} className="contents">
                        <dt>
                            <span className="key">{key}</span>
                        </dt>
                        <dd>{does}</dd>
                    </div>
                ))}
            </dl>
        </Panel>
    );
}
