import { router, usePage } from '@inertiajs/react';
import { useLayoutEffect, useState } from 'react';
import type { BenchPage, DiagnosisShown, ReadingShown } from '@/generated/props';
import { percent, sketchNumber } from '@/lib/format';
import type { Shared } from '@/lib/page';
import { markRead } from './Cautions';
import { spellsUnit, useUndo, type DockProps } from './useDock';
import { useOthers } from './useOthers';

export type BenchProps = BenchPage & Shared;

export type Lies = 'tests' | 'reasons' | 'why' | 'readings' | 'cannot' | 'keys' | 'suspects' | 'strip' | null;

/** In words, what the last reading changed. */
function whatChanged(before: DiagnosisShown, after: DiagnosisShown, reading: ReadingShown | undefined): string {
    const was = before.suspects[0];
    const is = after.suspects[0];
    if (!reading || !is || !was) return '';
    const old = before.suspects.find((suspect) => suspect.remedy === is.remedy)?.probability ?? 0;
    const lead = is.remedy === was.remedy ? is.label : `${is.label} now leads`;
    return `Recorded ${reading.value}. ${lead}: ${percent(old)} to ${percent(is.probability)}.`;
}

/** What the bench knows and does, whatever its layout. */
export function useBench() {
    const props = usePage<BenchProps>().props;
    const { job, diagnosis, readings, whatIf, pulse, user, cannot } = props;
    const { card } = diagnosis;
    // A question changes nothing, so nothing can be recorded while it is asked.
    const open = props.open && whatIf === null;
    const exercise = props.practice?.exercise ?? null;
    const hides = exercise?.hides === true;
    const [panel, setPanel] = useState<Lies>(null);
    const [near, setNear] = useState<string[] | null>(null);
    const [volts, setVolts] = useState(false);
    const [put, setPut] = useState({ test: '', red: '', black: '' });
    const [draft, setDraft] = useState({ test: '', value: '' });
    const [shownByMeter, setShownByMeter] = useState<number | null>(null);
    const [said, setSaid] = useState({ reading: '', words: '' });
    const undo = useUndo(job.id);
    const others = useOthers(
        job.id,
        pulse,
        readings,
        user?.name ?? '',
        whatIf !== null || Object.keys(props.errors).length > 0,
    );
    // A reading that was struck out or taken back has nothing more to say.
    const lastWords = readings.some((one) => one.id === said.reading && !one.struck) ? said.words : null;
    const measured = hides && card ? (props.practice?.answers[card.key] ?? null) : null;
    const typed = draft.test === card?.key ? draft.value : (measured?.value ?? '');
    const visit = (question: Record<string, string>) =>
        router.get(`/jobs/${job.id}/bench`, question, { preserveState: true, preserveScroll: true });
    const ask = (question: Record<string, string>) => {
        setPanel(null);
        visit(question);
    };
    const leadsPut = put.test === card?.key ? put : { test: card?.key ?? '', red: '', black: '' };
    const putLead = (lead: 'red' | 'black', node: string) => setPut({ ...leadsPut, [lead]: node });
    const showTests = (places: string[] | null) => {
        setNear(places);
        setPanel('tests');
    };
    const [putNext, setPutNext] = useState<'red' | 'black'>('red');
    /** A part of the drawing: where leads are put, they go to its ends; else its tests are shown. */
    const pressed = (element: { id: string; from: string; to: string }) => {
        const places = exercise?.leads ? exercise.places.map((place) => place.value) : [];
        const [first, second] = [element.from, element.to].filter((node) => places.includes(node));
        if (!hides || first === undefined) {
            showTests([element.id, element.from, element.to]);
            return;
        }
        // Pressed again, the lead goes to the other end.
        const other = putNext === 'red' ? 'black' : 'red';
        if (second !== undefined && leadsPut[other] === first) putLead(other, second);
        else {
            putLead(putNext, first);
            setPutNext(other);
        }
    };
    const another = () => {
        setPanel(null);
        const next = diagnosis.tests.find((test) => test.key !== card?.key && test.key !== diagnosis.next?.key);
        if (next) visit({ test: next.key });
    };
    const recorded = (page: { props: unknown }) => {
        const now = page.props as BenchProps;
        if (card) markRead(job.id, card.cautions);
        const [newest] = now.readings;
        setSaid({ reading: newest?.id ?? '', words: whatChanged(diagnosis, now.diagnosis, newest) });
    };
    // Before the eye can see what is new, the keys know of it too.
    useLayoutEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement;
            const typing = target.tagName === 'INPUT';
            if (
                event.altKey ||
                event.ctrlKey ||
                event.metaKey ||
                document.querySelector('[role=dialog]') ||
                (typing &&
                    target.getAttribute('inputmode') !== 'decimal' &&
                    target.getAttribute('inputmode') !== 'none') ||
                ['TEXTAREA', 'SELECT'].includes(target.tagName)
            )
                return;
            const key = event.key.toLowerCase();
            if (typing && card && spellsUnit(card, typed)) return;
            if (key === 't') showTests(null);
            else if (key === 'w' && !hides) setPanel('why');
            else if (key === 'l') setPanel('readings');
            else if (key === 'x' && card && open && !hides) setPanel('cannot');
            else if (key === 'u' && undo.undo !== null) undo.takeBack();
            else if (key === '?') setPanel('keys');
            else if (key === 'v' && !typing) setVolts((shown) => !shown);
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
    // Since the last reading something was left out: what is proposed now stands in its place.
    const left = cannot[cannot.length - 1];
    const instead =
        left && (left.at ?? '') > (readings.find((one) => one.map === null)?.takenAt ?? '') ? left : undefined;
    const dock: DockProps | null =
        card && open
            ? {
                  jobId: job.id,
                  meters: props.meters,
                  leads: props.leads,
                  stepping: props.stepping,
                  card,
                  supplyLabel: props.sheet.potential.supply,
                  lastWords: others ?? lastWords,
                  typed,
                  onType: (value) => setDraft({ test: card.key, value }),
                  onLive: setShownByMeter,
                  onRecorded: recorded,
                  undo,
                  practice: props.practice?.answers[card.key] ?? null,
                  answers: hides,
              }
            : null;
    return {
        ...props,
        card,
        open,
        currency: user?.currency ?? 'EUR',
        /** Tests that were read in this attempt, beside the map. */
        done: readings.filter((one) => one.map === null && !one.struck).length,
        doubted: readings.find((one) => one.doubts.length > 0 && !one.kept && !one.struck),
        proposed: props.chosen === null || props.chosen === diagnosis.next?.key,
        choice: diagnosis.tests.find((test) => test.key === card?.key),
        instead,
        panel,
        setPanel,
        near,
        volts,
        setVolts,
        sketched: shownByMeter ?? sketchNumber(typed),
        dock,
        exercise,
        hides,
        /** Another one where the dock is to begin anew. */
        dockOf: `${card?.key ?? ''} ${JSON.stringify(measured)}`,
        leadsPut,
        putLead,
        undo,
        ask,
        showTests,
        pressed,
        another,
    };
}

export type BenchState = ReturnType<typeof useBench>;
