import { usePage } from '@inertiajs/react';
import JobRow from '@/jobs/JobRow';
import RecordsTabs from '@/learning/RecordsTabs';
import type { LessonsPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = LessonsPage & Shared;

/** Verdicts that did not hold, and what was noted for next time. */
export default function Lessons() {
    const { vain, more } = usePage<Props>().props;
    return (
        <Frame title="Lessons">
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <RecordsTabs here="lessons" />
                <h1 className="mt-5 text-[1.8rem] leading-none font-semibold">Lessons</h1>
                <p className="mt-2 mb-4 max-w-[70ch] text-soft">
                    Jobs on which something was replaced that did not hold. Each can be gone through once more: where
                    the odds went wrong, which reading misled, which test would have told.
                </p>
                {vain.length === 0 && <p>Every verdict has held so far.</p>}
                <ul className="border-b border-rule">
                    {vain.map((one) => (
                        <li key={one.listed.job.id}>
                            <ul>
                                <JobRow listed={one.listed} stage />
                            </ul>
                            <p className="flex flex-wrap items-center gap-x-4 pb-2 sm:pl-[6.75rem]">
                                {one.lesson ? (
                                    <span className="max-w-[70ch]">{one.lesson}</span>
                                ) : (
                                    <span className="text-soft">Nothing noted for next time yet.</span>
                                )}
                                <TextLink
                                    href={`/jobs/${one.listed.job.id}/replay`}
                                    aria-label={`Go through ${one.listed.job.number} once more`}
                                >
                                    Go through it
                                </TextLink>
                            </p>
                        </li>
                    ))}
                </ul>
                {more && <p className="text-soft">Older ones are found in the list of jobs.</p>}
            </div>
        </Frame>
    );
}
