import { expect, it } from 'vitest';
import { numberProblem, typedNumber } from './typed';

it('reads numbers as they are typed, and refuses what is none', () => {
    expect(typedNumber('−12,5')).toBe(-12.5);
    expect(typedNumber('.5')).toBe(0.5);
    expect(typedNumber('12.3.4')).toBeNull();
    expect(typedNumber('')).toBeNull();
});

it('refuses a number that could be two, and says which value counts', () => {
    expect(typedNumber('1,250')).toBeNull();
    expect(typedNumber('0,250')).toBe(0.25);
    expect(typedNumber('1,25')).toBe(1.25);
    expect(numberProblem('1,250', -20)).toBe('1.250 or 1250? Write it without the comma; -20 counts.');
    expect(numberProblem('-2O', -20)).toBe('Not a number; -20 counts.');
    expect(numberProblem('x', undefined)).toBe('Not a number; it counts as empty.');
});
