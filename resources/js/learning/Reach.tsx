interface Props {
    low: number;
    high: number;
    at: number;
    /** Another value on the same scale, as a hollow mark. */
    beside?: number;
    from?: number;
    to: number;
}

/** A share with how far it may lie off, on a scale of its own. */
export default function Reach({ low, high, at, beside, from = 0, to }: Props) {
    const place = (value: number) => `${Math.min(100, Math.max(0, (100 * (value - from)) / (to - from)))}%`;
    const wide = `${Math.max(0.5, (100 * (Math.min(to, high) - Math.max(from, low))) / (to - from))}%`;
    return (
        <span className="relative block h-6 min-w-32" aria-hidden="true">
            <span className="absolute inset-x-0 top-1/2 h-px bg-rule" />
            <span
                className="absolute top-1/2 h-1.5 -translate-y-1/2 bg-lake/35"
                style={{ left: place(Math.max(from, low)), width: wide }}
            />
            {beside !== undefined && (
                <span
                    className="absolute top-1/2 h-5 w-[3px] -translate-x-1/2 -translate-y-1/2 border border-ink bg-sheet"
                    style={{ left: place(beside) }}
                />
            )}
            <span
                className="absolute top-1/2 size-3 -translate-x-1/2 -translate-y-1/2 rounded-full bg-lake"
                style={{ left: place(at) }}
            />
        </span>
    );
}
