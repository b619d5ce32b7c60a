import { useState } from 'react';
import type { TypedStep } from '@/generated/props';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Tick from '@/ui/Tick';

interface Props {
    number: number;
    last: boolean;
    step: TypedStep;
    /** By field, as "steps.2.least". */
    errors: Record<string, string | undefined>;
    onChange: (step: TypedStep) => void;
    onMove: (by: number) => void;
    onRemove: () => void;
}

/** One step: what is done, and only as much more as it needs. */
export default function StepForm({ number, last, step, errors, onChange, onMove, onRemove }: Props) {
    const wrong = (field: keyof TypedStep) => errors[`steps.${number}.${field}`];
    const [asked, setAsked] = useState<string[]>([]);
    // What is typed, wrong or asked for stands open; the rest is one press away.
    const has = (part: string, ...fields: (keyof TypedStep)[]) =>
        asked.includes(part) || fields.some((one) => (step[one] !== '' && step[one] !== false) || wrong(one));
    const more = {
        cautions: has('cautions', 'cautions'),
        wait: has('wait', 'least', 'most', 'reason', 'charge'),
        expect: has('expect', 'expect', 'otherwise'),
        confirm: has('confirm', 'confirm'),
    };
    const parts = [
        ['cautions', 'a caution'],
        ['wait', 'a wait'],
        ['expect', 'what should be seen'],
        ['confirm', 'that it cannot be undone'],
    ] as const;
    const field = (name: Exclude<keyof TypedStep, 'charge'>) => ({
        value: step[name],
        onChange: (event: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) =>
            onChange({ ...step, [name]: event.target.value }),
        error: wrong(name),
    });
    return (
        <fieldset className="flex flex-col gap-3 border-l-4 border-rule pl-3">
            <legend className="float-left mb-1 w-full font-semibold">Step {number + 1}</legend>
            {more.cautions && (
                <TextArea label="Cautions before it" hint="One a line." rows={2} {...field('cautions')} />
            )}
            <TextArea label="What is done" rows={2} {...field('text')} />
            {more.wait && (
                <div className="grid gap-3 sm:grid-cols-[8rem_8rem_1fr]">
                    <TextField label="Wait at least" placeholder="5 min" {...field('least')} />
                    <TextField label="At most" placeholder="any longer" {...field('most')} />
                    <TextField label="Why" {...field('reason')} />
                    <div className="sm:col-span-3">
                        <Tick checked={step.charge} onChange={(charge) => onChange({ ...step, charge })}>
                            Longer for a larger capacitor, where that is told
                        </Tick>
                    </div>
                </div>
            )}
            {more.expect && (
                <div className="grid gap-3 sm:grid-cols-2">
                    <TextField label="What should be seen" {...field('expect')} />
                    <TextField label="If it is not" {...field('otherwise')} />
                </div>
            )}
            {more.confirm && (
                <TextField
                    label="What cannot be undone"
                    hint="What lies behind, and the other way."
                    {...field('confirm')}
                />
            )}
            <p className="flex flex-wrap items-center gap-x-3">
                {parts
                    .filter(([part]) => !more[part])
                    .map(([part, words]) => (
                        <Button key={part} kind="quiet" onClick={() => setAsked([...asked, part])}>
                            Add {words}
                        </Button>
                    ))}
                <span className="ml-auto flex gap-1">
                    <Button
                        kind="quiet"
                        aria-label={`Up: step ${number + 1}`}
                        disabled={number === 0}
                        onClick={() => onMove(-1)}
                    >
                        Up
                    </Button>
                    <Button
                        kind="quiet"
                        aria-label={`Down: step ${number + 1}`}
                        disabled={last}
                        onClick={() => onMove(1)}
                    >
                        Down
                    </Button>
                    <Button
                        kind="quiet"
                        aria-label={`Remove step ${number + 1}`}
                        disabled={number === 0 && last}
                        onClick={onRemove}
                    >
                        Remove
                    </Button>
                </span>
            </p>
        </fieldset>
    );
}
