import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { percent } from '@/lib/format';
import type { SuspectShown } from '@/generated/props';
import Button from '@/ui/Button';

interface Props {
    job: string;
    part: string;
    leading: SuspectShown;
    refit: string[];
}

/** A part alone on the bench: proven good, with what to mind when it goes back, or hooked up wrongly. */
export default function LooseVerdict({ job, part, leading, refit }: Props) {
    const [sending, setSending] = useState(false);
    if (leading.remedy === 'hook-up') {
        return (
            <section aria-label="Hook-up" className="mt-4 border-l-4 border-warn bg-caution px-3 py-2">
                <p className="font-medium">
                    It is the bench, not the part: feed off, look at each clip and jumper and at the fuse in it, and put
                    it right.
                </p>
                <p>What was read through the clips is then struck out and read again.</p>
                <Button
                    className="mt-2"
                    disabled={sending}
                    onClick={() => {
                        setSending(true);
                        router.post(`/jobs/${job}/hook-up`, {}, { onFinish: () => setSending(false) });
                    }}
                >
                    It is clipped right now
                </Button>
            </section>
        );
    }
    return (
        <section aria-label="Proven good" className="mt-4">
            <p className="border-l-4 border-good pl-3 text-lg">
                <strong className="font-semibold">{part}: proven good.</strong> Everything that tells a good one from a
                bad one on the bench speaks for it, {percent(leading.probability)}. What only shows in the machine is
                not proved by that.
            </p>
            {refit.length > 0 && (
                <>
                    <h2 className="mt-4 font-semibold">Where it goes back, mind this</h2>
                    <ul className="list-disc pl-5">
                        {refit.map((one) => (
                            <li key={one}>{one}</li>
                        ))}
                    </ul>
                </>
            )}
            <Link
                href={`/jobs/${job}/proof`}
                className="mt-4 inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
            >
                Close it as proven good
            </Link>
        </section>
    );
}
