import Reach from '@/learning/Reach';
import type { Calibration } from '@/generated/props';
import { figure, hundredths } from '@/lib/format';

/** What is nearly sure needs a decimal: 99.6 % is not 100 %. */
const whole = (share: number) =>
    share > 0.985 ? `${figure(100 * share, 1).replace(/[.,]0$/, '')} %` : hundredths(share);

/** Whether verdicts hold as often as they state. */
export default function StatedAndHeld({ calibration }: { calibration: Calibration }) {
    const { bins, held, stated, parted } = calibration;
    return (
        <section aria-label="Stated and held" className="mt-9">
            <h2 className="text-lg font-semibold">Do our verdicts hold as often as they say?</h2>
            {held.all === 0 ? (
                <p className="text-soft">No verdict has come to its end yet.</p>
            ) : (
                <>
                    <p className="max-w-[70ch] text-soft">
                        {held.of} of {held.all} held; stated were {whole(stated)} on average. The dot is what held, the
                        bar how far off that may be by chance, the hollow mark what was stated.
                    </p>
                    {parted && (
                        <p role="status" className="my-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                            {held.share < stated
                                ? 'Fewer hold than were stated, and by more than chance: look at the jobs under Lessons, and measure once more before a part is bought.'
                                : 'More hold than were stated, and by more than chance: the odds are too careful here.'}
                        </p>
                    )}
                    <ul>
                        {bins.map((bin) => (
                            <li
                                key={bin.from}
                                className="grid items-center gap-x-5 border-t border-rule py-1 sm:grid-cols-[13rem_1fr_16rem]"
                            >
                                <span className="font-medium">
                                    {bin.from === 0
                                        ? `stated under ${whole(bin.to)}`
                                        : `stated ${whole(bin.from)} to ${whole(bin.to)}`}
                                </span>
                                <Reach
                                    low={bin.held.low}
                                    high={bin.held.high}
                                    at={bin.held.share}
                                    beside={bin.stated}
                                    from={0.5}
                                    to={1}
                                />
                                <span className="text-soft">
                                    held <span className="figure text-ink">{bin.held.of}</span> of {bin.held.all},
                                    likely {whole(bin.held.low)} to {whole(bin.held.high)}
                                </span>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}
