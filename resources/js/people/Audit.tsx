import { usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import type { AuditPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = AuditPage & Shared;

/** What was done to people and settings, by whom and when. */
export default function Audit() {
    const { acts, before } = usePage<Props>().props;
    return (
        <Frame title="What was done">
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">What was done</h1>
                <p className="mt-2 text-soft">
                    To people and settings, by whom and when. What was done in a job stands in its log.
                </p>
                {acts.length === 0 && <p className="mt-5">Nothing yet.</p>}
                <ul className="mt-5 border-b border-rule">
                    {acts.map((one) => (
                        <li
                            key={one.sequence}
                            className="grid gap-x-4 border-t border-rule py-2 sm:grid-cols-[11rem_minmax(0,1fr)]"
                        >
                            <span className="figure text-soft">
                                {day(one.at)} {clock(one.at)}
                            </span>
                            <span>
                                <strong className="font-semibold">{one.by}</strong> {one.words} {one.about}
                                {one.detail && <span className="text-soft">: {one.detail}</span>}
                            </span>
                        </li>
                    ))}
                </ul>
                {before !== null && <TextLink href={`/audit?before=${before}`}>Older ones</TextLink>}
            </div>
        </Frame>
    );
}
