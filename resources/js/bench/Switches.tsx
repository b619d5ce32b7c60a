interface Props {
    pattern: string;
    label: string;
    onChange?: (pattern: string) => void;
    against?: string;
}

/** A row of small switches as they are seen on the part: up is on. */
export default function Switches({ pattern, label, onChange, against }: Props) {
    const flip = (at: number) =>
        onChange?.(
            pattern
                .split('')
                .map((one, n) => (n === at ? (one === '1' ? '0' : '1') : one))
                .join(''),
        );
    return (
        <div role="group" aria-label={label} className="inline-flex gap-1.5 border border-soft bg-dock p-2">
            {pattern.split('').map((one, n) => {
                const on = one === '1';
                const differs = against !== undefined && against[n] !== one;
                const face = (
                    <span
                        className={`flex h-14 w-8 flex-col border ${differs ? 'border-act border-2' : 'border-dock-rule'}`}
                    >
                        <span className={`flex-1 ${on ? 'bg-dock-ink' : 'bg-transparent'}`} />
                        <span className={`flex-1 ${on ? 'bg-transparent' : 'bg-dock-ink'}`} />
                    </span>
                );
                return (
                    <span key={n} className="flex flex-col items-center gap-1">
                        {onChange ? (
                            <button
                                type="button"
                                aria-pressed={on}
                                aria-label={`${label}, switch ${n + 1}`}
                                onClick={() => flip(n)}
                            >
                                {face}
                            </button>
                        ) : (
                            <span role="img" aria-label={`switch ${n + 1} ${on ? 'on' : 'off'}`}>
                                {face}
                            </span>
                        )}
                        <span className="figure text-[0.8rem] text-dock-soft" aria-hidden="true">
                            {n + 1}
                            {differs ? ' !' : ''}
                        </span>
                    </span>
                );
            })}
        </div>
    );
}
