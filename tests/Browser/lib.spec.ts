import { expect, test } from '@playwright/test';
import { likeliest } from '../../resources/js/bench/outcomes';
import { minutes, money, percent, sketchNumber, years } from '../../resources/js/lib/format';
import { letterOf, stateKeys, wordFor } from '../../resources/js/jobs/states';

test('odds are rounded without ever claiming certainty', () => {
    expect(percent(0.999)).toBe('>99%');
    expect(percent(0.994)).toBe('99%');
    expect(percent(0.5)).toBe('50%');
    expect(percent(0.004)).toBe('<1%');
});

test('money, minutes and years are said in words', () => {
    expect(money(69.25, 'EUR')).toBe('€69');
    expect(minutes(0.7)).toBe('about a minute');
    expect(minutes(4.7)).toBe('about 5 minutes');
    expect(years(6.602053388090351)).toBe('6.6 years');
    expect(years(5)).toBe('5 years');
    expect(years(1.04)).toBe('1 year');
});

test('what is being typed is sketched on the number line as far as it is a number', () => {
    expect(sketchNumber('12.4')).toBe(12.4);
    expect(sketchNumber('0,42')).toBe(0.42);
    expect(sketchNumber('420m')).toBeCloseTo(0.42);
    expect(sketchNumber('1.2k')).toBe(1200);
    expect(sketchNumber('-0.3')).toBe(-0.3);
    expect(sketchNumber('')).toBeNull();
    expect(sketchNumber('OL')).toBeNull();
});

test('every state has a key of its own, and a word in its cell', () => {
    const states = Object.values(stateKeys);
    expect(new Set(states.map(letterOf)).size).toBe(states.length);
    const cell = { states: [{ value: 'right' as const, label: 'off, right' }] };
    expect(wordFor('right', cell)).toBe('off, right');
    expect(wordFor('slow', cell)).toBe('slow');
});

test('where there is no room for all outcomes the likeliest stay, in their order', () => {
    const outcomes = [0.03, 0.11, 0.1, 0.75, 0.001].map((probability, at) => ({
        value: null,
        from: at,
        to: at + 1,
        label: `${at} to ${at + 1} V`,
        probability,
        remedies: [],
    }));
    const labels = (most: number) => likeliest(outcomes, most).map((one) => one.label);
    expect(labels(3)).toEqual(['1 to 2 V', '2 to 3 V', '3 to 4 V']);
    expect(labels(1)).toEqual(['3 to 4 V']);
    expect(labels(9)).toHaveLength(4);
});
