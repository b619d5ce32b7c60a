import { expect, test } from '@playwright/test';
import { minutes, money, percent, sketchNumber } from '../../resources/js/lib/format';
import { letterOf, stateKeys, wordFor } from '../../resources/js/jobs/states';

test('odds are rounded without ever claiming certainty', () => {
    expect(percent(0.999)).toBe('>99%');
    expect(percent(0.994)).toBe('99%');
    expect(percent(0.5)).toBe('50%');
    expect(percent(0.004)).toBe('<1%');
});

test('money and minutes are said in words', () => {
    expect(money(69.25, 'EUR')).toBe('€69');
    expect(minutes(0.7)).toBe('about a minute');
    expect(minutes(4.7)).toBe('about 5 minutes');
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
