import { useState } from 'react';
import type { FinderStep } from '@/generated/props';
import Button from '@/ui/Button';
import Panel from '@/ui/Panel';
import FinderSign from './FinderSign';

interface Props {
    steps: FinderStep[];
    open: boolean;
    onOpenChange: (open: boolean) => void;
    onFound: (family: string) => void;
}

/** Leads to the kind of circuit by what is seen: three presses at most. */
export default function Finder({ steps, open, onOpenChange, onFound }: Props) {
    const [way, setWay] = useState<string[]>([]);
    const step = steps.find((one) => one.key === way[way.length - 1]) ?? steps[0];
    const close = (shown: boolean) => {
        setWay([]);
        onOpenChange(shown);
    };
    if (!step) return null;
    return (
        <Panel
            open={open}
            onOpenChange={close}
            title={step.question}
            description="By what is seen, not by its name. If it turns out to be another one, it can be changed later."
        >
            <ul className="grid gap-2 sm:grid-cols-2">
                {step.choices.map((choice) => (
                    <li key={choice.label}>
                        <button
                            type="button"
                            onClick={() => {
                                if (choice.family !== null) {
                                    onFound(choice.family);
                                    close(false);
                                } else if (choice.next !== null) setWay([...way, choice.next]);
                            }}
                            className="flex min-h-20 w-full items-center gap-3 rounded-[5px] border border-soft/60 bg-sheet px-3 py-2 text-left leading-snug hover:border-ink"
                        >
                            <FinderSign sign={choice.sign} />
                            <span>{choice.label}</span>
                        </button>
                    </li>
                ))}
            </ul>
            {way.length > 0 && (
                <Button kind="quiet" className="mt-3" onClick={() => setWay(way.slice(0, -1))}>
                    One question back
                </Button>
            )}
        </Panel>
    );
}
