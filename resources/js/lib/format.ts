/** How the person who looks writes numbers; set before anything is shown. */
let comma = false;

export function speakNumbers(language: 'point' | 'comma'): void {
    comma = language === 'comma';
}

/** A number with so many decimals, in the language of the person who looks. */
export function figure(amount: number, digits: number): string {
    const text = amount.toFixed(digits);
    return comma ? text.replace('.', ',') : text;
}

export function percent(share: number): string {
    if (share >= 0.995) return '>99%';
    if (share < 0.01) return '<1%';
    return `${Math.round(share * 100)}%`;
}

/** A share in whole hundredths, nearly sure or not. */
export function hundredths(share: number): string {
    return `${Math.round(100 * share)} %`;
}

export function money(amount: number, currency: string): string {
    return new Intl.NumberFormat(comma ? 'de' : 'en-GB', {
        style: 'currency',
        currency,
        maximumFractionDigits: 0,
    }).format(amount);
}

export function minutes(amount: number): string {
    return amount < 1.5 ? 'about a minute' : `about ${Math.round(amount)} minutes`;
}

/** How long something lasts: learned years are no round number. */
export function years(amount: number): string {
    const shown = figure(amount, 1).replace(/[.,]0$/, '');
    return `${shown} ${shown === '1' ? 'year' : 'years'}`;
}

export function day(moment: string): string {
    return new Date(moment).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}

/** A name inside a sentence: its first letter is small, unless it is written in capitals or with a number. */
export function inline(name: string): string {
    return /^[A-Z](?![a-z])/.test(name) && !/^A /.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

export function clock(moment: string): string {
    return new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** What is typed, as far as it already is a number: for the mark on the number line only. */
export function sketchNumber(typed: string): number | null {
    const found = /^\s*(-?\d*[.,]?\d+)\s*([mkM]?)/.exec(typed);
    if (!found?.[1]) return null;
    const factor = { m: 1e-3, k: 1e3, M: 1e6 }[found[2] ?? ''] ?? 1;
    return Number(found[1].replace(',', '.')) * factor;
}

/** A time on the axis of a capture. */
export function seconds(time: number): string {
    const size = Math.abs(time);
    if (size === 0) return '0';
    if (size < 1e-3) return `${figure(time * 1e6, 1)} µs`;
    if (size < 1) return `${figure(time * 1e3, 2)} ms`;
    return `${figure(time, 3)} s`;
}

/** Minutes and seconds of a wait. */
export function countdown(left: number): string {
    const whole = Math.max(0, Math.ceil(left));
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
