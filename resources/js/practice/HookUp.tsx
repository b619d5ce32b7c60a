import { useEffect, useState } from 'react';
import { usePage } from '@inertiajs/react';
import type { BenchState } from '@/bench/useBench';
import type { ExerciseShown } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import Select from '@/ui/Select';
import { act } from './act';

/** How the test is gone at: power, charge and leads, and then what the meter shows. */
export default function HookUp({ bench, exercise }: { bench: BenchState; exercise: ExerciseShown }) {
    const { job, card, leadsPut, putLead } = bench;
    const { errors } = usePage<Shared>().props;
    const [power, setPower] = useState('on');
    const [discharged, setDischarged] = useState(false);
    const measure = () => {
        if (card)
            act(job.id, 'measured', {
                test: card.key,
                red: leadsPut.red,
                black: leadsPut.black,
                isolated: power === 'off',
                discharged: power === 'off' && discharged,
            });
    };
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement;
            if (event.altKey || event.ctrlKey || event.metaKey || document.querySelector('[role=dialog]')) return;
            const typed = target.getAttribute('inputmode') !== 'decimal' && target.getAttribute('type') !== 'checkbox';
            if (target.tagName === 'INPUT' && typed) return;
            if (['TEXTAREA', 'SELECT'].includes(target.tagName)) return;
            if (event.key.toLowerCase() !== 'm') return;
            event.preventDefault();
            measure();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
    if (!card) return null;
    const error = errors.test ?? errors.red ?? errors.black ?? errors.kind;
    return (
        <section aria-label="How you go at it" className="flex flex-col gap-2 border-t border-rule pt-2">
            <div className="flex flex-wrap gap-x-6 gap-y-2">
                {exercise.near && (
                    <Choices
                        label="Power"
                        value={power}
                        onChange={setPower}
                        choices={[
                            { value: 'on', label: 'On' },
                            { value: 'off', label: 'Switched off, secured, proved dead' },
                        ]}
                    />
                )}
                {exercise.near && exercise.stores && power === 'off' && (
                    <label className="flex min-h-11 items-center gap-2 self-end">
                        <input
                            type="checkbox"
                            className="h-5 w-5"
                            checked={discharged}
                            onChange={(event) => setDischarged(event.target.checked)}
                        />
                        Capacitors discharged
                    </label>
                )}
            </div>
            {exercise.leads && (
                <div className="grid gap-2 sm:grid-cols-2">
                    <Select
                        label="Red lead at"
                        value={leadsPut.red}
                        empty="where the test says"
                        choices={exercise.places}
                        onChange={(event) => putLead('red', event.target.value)}
                    />
                    <Select
                        label="Black lead at"
                        value={leadsPut.black}
                        empty="where the test says"
                        choices={exercise.places}
                        onChange={(event) => putLead('black', event.target.value)}
                    />
                </div>
            )}
            <p className="flex flex-wrap items-center gap-x-4">
                <Button kind="plain" aria-keyshortcuts="M" onClick={measure}>
                    {card.unit === '' ? 'Look and listen' : 'Read the meter'} <span className="key">M</span>
                </Button>
                {error ? (
                    <span role="alert" className="font-medium text-bad">
                        {error}
                    </span>
                ) : (
                    <span role="status" className="leading-snug">
                        {exercise.note ?? (bench.dock?.practice ? 'It stands in the dock: write it down.' : '')}
                    </span>
                )}
            </p>
        </section>
    );
}
