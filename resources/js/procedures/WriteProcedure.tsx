import { useForm, usePage } from '@inertiajs/react';
import type { TypedProcedure, TypedStep, WriteProcedurePage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';
import Tick from '@/ui/Tick';
import ProcedureText from './ProcedureText';
import StepForm from './StepForm';

type Props = WriteProcedurePage & Shared;

const nothing: TypedStep = {
    text: '',
    cautions: '',
    least: '',
    most: '',
    reason: '',
    charge: false,
    expect: '',
    otherwise: '',
    confirm: '',
};

const lines = (text: string) =>
    text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '');

/** What is typed, as it will be read. */
function preview(typed: TypedProcedure) {
    const orNull = (text: string) => (text.trim() === '' ? null : text.trim());
    return {
        title: typed.title || 'Without a title',
        summary: typed.summary,
        cautions: lines(typed.cautions),
        abort: lines(typed.abort),
        steps: typed.steps.map((step) => ({
            text: step.text,
            cautions: lines(step.cautions),
            wait: step.least === '' ? null : { least: step.least, most: orNull(step.most), reason: step.reason },
            expect: orNull(step.expect),
            otherwise: orNull(step.otherwise),
            confirm: orNull(step.confirm),
        })),
    };
}

/** A lead writes, and reads beside it what others will read. */
export default function WriteProcedure() {
    const { key, typed, families } = usePage<Props>().props;
    const form = useForm({ key, ...typed });
    const { data, setData, processing } = form;
    const errors = form.errors as Record<string, string | undefined>;
    const setSteps = (steps: TypedStep[]) => setData('steps', steps);
    const change = (at: number, step: TypedStep) => setSteps(data.steps.map((one, n) => (n === at ? step : one)));
    const move = (at: number, by: number) => {
        const steps = [...data.steps];
        const [step] = steps.splice(at, 1);
        if (step) steps.splice(at + by, 0, step);
        setSteps(steps);
    };
    const wrong = Object.keys(errors).length;
    return (
        <Frame title={key === null ? 'Write a procedure' : `Change ${typed.title}`}>
            <div className="mx-auto grid max-w-[1240px] gap-8 px-5 py-5 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
                <form
                    aria-label="Procedure"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post('/procedures', { preserveScroll: true });
                    }}
                    className="flex flex-col gap-4"
                >
                    <p>
                        <TextLink href={key === null ? '/procedures' : `/procedures/${key}`}>Back</TextLink>
                    </p>
                    <h1 className="text-[1.7rem] leading-tight font-semibold">
                        {key === null ? 'Write a procedure' : 'Change it for the workshop'}
                    </h1>
                    <TextField
                        label="Title"
                        value={data.title}
                        onChange={(event) => setData('title', event.target.value)}
                        error={errors.title}
                    />
                    <TextArea
                        label="When it is worked"
                        rows={2}
                        value={data.summary}
                        onChange={(event) => setData('summary', event.target.value)}
                        error={errors.summary}
                    />
                    <fieldset>
                        <legend className="font-medium">Kinds of circuit that it serves</legend>
                        <p className="text-[0.9rem] text-soft">None ticked: all of them.</p>
                        <div className="grid gap-x-4 sm:grid-cols-2">
                            {families.map((family) => (
                                <Tick
                                    key={family.key}
                                    checked={data.families.includes(family.key)}
                                    onChange={(ticked) =>
                                        setData(
                                            'families',
                                            ticked
                                                ? [...data.families, family.key]
                                                : data.families.filter((one) => one !== family.key),
                                        )
                                    }
                                >
                                    {family.name}
                                </Tick>
                            ))}
                        </div>
                    </fieldset>
                    <TextArea
                        label="Cautions before anything is done"
                        hint="One a line. What can hurt comes before what is done."
                        rows={4}
                        value={data.cautions}
                        onChange={(event) => setData('cautions', event.target.value)}
                        error={errors.cautions}
                    />
                    <section aria-label="Steps" className="flex flex-col gap-4">
                        <h2 className="text-lg font-semibold">Steps</h2>
                        {errors.steps && (
                            <p role="alert" className="font-medium text-bad">
                                {errors.steps}
                            </p>
                        )}
                        {data.steps.map((step, n) => (
                            <StepForm
                                key={n}
                                number={n}
                                last={n === data.steps.length - 1}
                                step={step}
                                errors={errors}
                                onChange={(next) => change(n, next)}
                                onMove={(by) => move(n, by)}
                                onRemove={() => setSteps(data.steps.filter((_, at) => at !== n))}
                            />
                        ))}
                        <p>
                            <Button onClick={() => setSteps([...data.steps, nothing])}>Another step</Button>
                        </p>
                    </section>
                    <TextArea
                        label="What makes it safe when it is broken off"
                        hint="One thing a line."
                        rows={3}
                        value={data.abort}
                        onChange={(event) => setData('abort', event.target.value)}
                        error={errors.abort}
                    />
                    <p className="flex flex-wrap items-center gap-3">
                        <Button kind="act" type="submit" disabled={processing}>
                            Store it
                        </Button>
                        {wrong > 0 && (
                            <span role="alert" className="font-medium text-bad">
                                {wrong === 1 ? 'One field is' : `${wrong} fields are`} not right yet, marked above.
                            </span>
                        )}
                    </p>
                </form>
                <section aria-label="As it will be read" className="min-w-0">
                    <div
                        className="sticky top-3 max-h-[calc(100vh-1.5rem)] overflow-y-auto border border-rule bg-sheet px-4 py-3"
                        tabIndex={0}
                    >
                        <h2 className="mb-2 text-soft">As it will be read</h2>
                        <ProcedureText procedure={preview(data)} small />
                    </div>
                </section>
            </div>
        </Frame>
    );
}
