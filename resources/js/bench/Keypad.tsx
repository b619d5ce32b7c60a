import { useState } from 'react';
import AwayLine from '@/away/AwayLine';
import Button from '@/ui/Button';
import { LiveNumber, TypedNumber } from './DockNumber';
import Leads from './Leads';
import { LeadPlaces } from './NextTest';
import { Answers, DockSays, SeenOn, Watched } from './ReadingDock';
import { useDock, type DockProps } from './useDock';

const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'];

/** The dock under a thumb: keys of its own, so that no keyboard of the system covers the card. */
export default function Keypad(props: DockProps & { onMore: () => void }) {
    const { card, lastWords, typed, onType, undo, meters, leads, stepping, supplyLabel, onMore } = props;
    const dock = useDock(props);
    const [left, setLeft] = useState(() => localStorage.getItem('ispira-hand') === 'left');
    const [more, setMore] = useState(false);
    const swap = () => {
        localStorage.setItem('ispira-hand', left ? 'right' : 'left');
        setLeft(!left);
    };
    const press = (key: string) => {
        if (dock.overRange) dock.setOverRange(false);
        onType(typed + key);
    };
    const key =
        'figure min-h-[50px] rounded-[6px] border border-transparent bg-[#2a3338] text-[1.35rem] text-dock-ink active:bg-[#3b474d]';
    const side =
        'min-h-[50px] rounded-[6px] border border-dock-rule px-1 text-[0.95rem] leading-tight text-dock-ink aria-pressed:bg-dock-ink aria-pressed:text-dock';
    const record = (
        <Button
            kind="act"
            onClick={dock.record}
            disabled={dock.sending}
            aria-disabled={dock.readsNothing}
            className="min-h-[50px] min-w-0 px-1! text-[1.1rem] aria-disabled:opacity-45"
        >
            Record
        </Button>
    );
    return (
        <section
            aria-label="Reading"
            className="on-dock flex flex-col gap-1.5 bg-dock px-2.5 pt-1.5 pb-2.5 text-dock-ink"
        >
            <div className="flex min-h-6 items-center justify-between gap-2 text-[0.85rem]">
                <DockSays dock={dock} lastWords={lastWords} standing={card.meter || card.setUp} undo={undo} />
                {props.practice && !props.answers && dock.meter === '' && (
                    <button
                        type="button"
                        onClick={dock.letAnswer}
                        className="min-h-11 shrink-0 px-1 font-medium text-dock-ink underline underline-offset-4"
                    >
                        let it answer
                    </button>
                )}
                <AwayLine dock />
                <button
                    type="button"
                    aria-expanded={more}
                    onClick={() => setMore(!more)}
                    className="min-h-11 min-w-11 shrink-0 px-1 text-dock-soft underline decoration-dotted underline-offset-4"
                >
                    {more ? 'less' : 'more'}
                </button>
            </div>
            {more && (
                <div className="flex flex-wrap items-end gap-x-3 gap-y-1.5">
                    {dock.numeric && card.bench && meters.length > 0 && (
                        <label className="flex flex-col text-[0.82rem] text-dock-soft">
                            read by
                            <select
                                value={dock.meter}
                                onChange={(event) => dock.chooseMeter(event.target.value)}
                                className="mt-0.5 min-h-11 max-w-36 rounded-[4px] border border-dock-rule bg-dock px-1 text-base text-dock-ink"
                            >
                                <option value="">hand, typed</option>
                                {meters.map((one) => (
                                    <option key={one.id} value={one.id}>
                                        {one.name}
                                    </option>
                                ))}
                            </select>
                        </label>
                    )}
                    {dock.numeric && (
                        <label className="flex w-24 flex-col text-[0.82rem] text-dock-soft">
                            {supplyLabel}
                            <input
                                value={dock.supply}
                                onChange={(event) => dock.setSupply(event.target.value)}
                                inputMode="decimal"
                                className="figure mt-0.5 min-h-11 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink"
                            />
                        </label>
                    )}
                    {dock.meter === '' && !stepping && <SeenOn dock={dock} />}
                    {card.quantity === 'ohms' && <Leads ohms={leads} />}
                    {dock.numeric && dock.meter === '' && (
                        <button
                            type="button"
                            onClick={() => onType(typed.startsWith('-') ? typed.slice(1) : `-${typed}`)}
                            className="figure min-h-11 min-w-11 rounded-[4px] border border-dock-rule text-lg"
                        >
                            +/−
                        </button>
                    )}
                    <button
                        type="button"
                        onClick={swap}
                        className="min-h-11 text-[0.9rem] text-dock-soft underline decoration-dotted underline-offset-4"
                    >
                        {left ? 'for the right hand' : 'for the left hand'}
                    </button>
                    <button
                        type="button"
                        onClick={onMore}
                        className="min-h-11 text-[0.9rem] text-dock-soft underline decoration-dotted underline-offset-4"
                    >
                        cannot do this here
                    </button>
                </div>
            )}
            <LeadPlaces card={card} near />
            {card.watch && <Watched dock={dock} />}
            {!dock.numeric ? (
                <>
                    <Answers dock={dock} card={card} grid />
                    {record}
                </>
            ) : (
                <>
                    {dock.meter === '' ? (
                        <TypedNumber
                            card={card}
                            field={dock.field}
                            value={typed}
                            overRange={dock.overRange}
                            error={Boolean(dock.error)}
                            onType={onType}
                            ownKeys
                        />
                    ) : (
                        <LiveNumber live={dock.live} />
                    )}
                    <div className={`grid grid-cols-4 gap-1.5 ${left ? '[direction:rtl]' : ''}`}>
                        {dock.meter === '' ? (
                            keys.map((one, n) => (
                                <button
                                    key={one}
                                    type="button"
                                    onClick={() => press(one)}
                                    aria-label={one === '.' ? 'point' : one}
                                    className={key}
                                    style={{ gridColumn: `${(n % 3) + 1}`, gridRow: `${Math.floor(n / 3) + 1}` }}
                                >
                                    {one}
                                </button>
                            ))
                        ) : (
                            <button type="button" className={`${side} col-span-3 row-span-2`} onClick={dock.release}>
                                let go
                            </button>
                        )}
                        {dock.meter === '' && (
                            <>
                                <button
                                    type="button"
                                    aria-label="Delete the last digit"
                                    onClick={() => onType(typed.slice(0, -1))}
                                    className={`${side} text-[1.2rem]`}
                                    style={{ gridColumn: '4', gridRow: '1' }}
                                >
                                    ⌫
                                </button>
                                <button
                                    type="button"
                                    aria-pressed={dock.overRange}
                                    onClick={() => dock.setOverRange(!dock.overRange)}
                                    className={side}
                                    style={{ gridColumn: '4', gridRow: '2' }}
                                >
                                    over range
                                </button>
                                <button
                                    type="button"
                                    aria-pressed={!dock.steady}
                                    onClick={() => dock.setSteady(!dock.steady)}
                                    className={side}
                                    style={{ gridColumn: '3', gridRow: '4' }}
                                >
                                    wanders
                                </button>
                            </>
                        )}
                        <div
                            className="grid"
                            style={{ gridColumn: '4', gridRow: dock.meter === '' ? '3 / 5' : '1 / 3' }}
                        >
                            {record}
                        </div>
                    </div>
                </>
            )}
        </section>
    );
}
