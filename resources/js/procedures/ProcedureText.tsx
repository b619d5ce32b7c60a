import { countdown } from '@/lib/format';
import type { Procedure } from '@/generated/props';

/** A step as it can be read: a wait as seconds or as it was typed. */
export interface StepText {
    text: string;
    cautions: string[];
    wait: { least: number | string; most: number | string | null; reason: string } | null;
    expect: string | null;
    otherwise: string | null;
    confirm: string | null;
}

type Text = Pick<Procedure, 'title' | 'summary' | 'cautions' | 'abort'> & { steps: StepText[] };

const time = (wait: number | string) => (typeof wait === 'number' ? countdown(wait) : wait);

/** A procedure from its cautions to its way out. */
export default function ProcedureText({ procedure, small = false }: { procedure: Text; small?: boolean }) {
    const Title = small ? 'h3' : 'h1';
    const Out = small ? 'h4' : 'h2';
    return (
        <>
            <Title className={`leading-tight font-semibold ${small ? 'text-[1.3rem]' : 'text-[1.7rem]'}`}>
                {procedure.title}
            </Title>
            <p className="text-soft">{procedure.summary}</p>
            {procedure.cautions.map((caution) => (
                <p key={caution} className="mt-2 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    {caution}
                </p>
            ))}
            <ol className="mt-5 border-b border-rule">
                {procedure.steps.map((step, n) => (
                    <li key={n} className="grid grid-cols-[2rem_1fr] border-t border-rule py-2">
                        <span className="figure text-soft">{n + 1}</span>
                        <div className="min-w-0 break-words">
                            {step.cautions.map((caution) => (
                                <p key={caution} className="mb-1 border-l-4 border-warn bg-caution px-2 py-0.5">
                                    {caution}
                                </p>
                            ))}
                            <p>{step.text}</p>
                            {step.wait && (
                                <p className="text-soft">
                                    Wait {time(step.wait.least)} at least
                                    {step.wait.most === null ? '' : `, ${time(step.wait.most)} at most`}.{' '}
                                    {step.wait.reason}
                                </p>
                            )}
                            {step.expect && (
                                <p className="text-soft">
                                    Seen: {step.expect}.{step.otherwise ? ` If not: ${step.otherwise}` : ''}
                                </p>
                            )}
                            {step.confirm && <p className="font-medium text-bad">Cannot be undone. {step.confirm}</p>}
                        </div>
                    </li>
                ))}
            </ol>
            <Out className="mt-5 font-semibold">When it is broken off</Out>
            <ul className="list-disc pl-5">
                {procedure.abort.map((line) => (
                    <li key={line}>{line}</li>
                ))}
            </ul>
        </>
    );
}
