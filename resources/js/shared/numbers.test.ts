import { describe, expect, it } from 'vitest';
import { duration, inOtherUnit, clock, figure, short, signed } from './numbers';

describe('numbers', () => {
    it('uses a real minus sign and never writes minus zero', () => {
        expect(figure(-4, 3)).toBe('−4.000');
        expect(figure(-0.0001, 3)).toBe('0.000');
    });
    it('drops zeros but keeps one decimal', () => {
        expect(short(-4, 3)).toBe('−4.0');
        expect(short(12.25, 3)).toBe('12.25');
        expect(signed(2, 3)).toBe('+2.0');
        expect(signed(0.00001, 3)).toBe('0.0');
    });
    it('writes times as they are read', () => {
        expect(clock(45)).toBe('0:45');
        expect(clock(59.6)).toBe('1:00');
        expect(clock(4050)).toBe('1:07:30');
    });
});

describe('inOtherUnit', () => {
    it('gives inches of millimetres and back, with the decimals of the unit', () => {
        expect(inOtherUnit(25.4, 'mm')).toBe('1.0000 in');
        expect(inOtherUnit(-12.7, 'mm')).toBe('−0.5000 in');
        expect(inOtherUnit(0.125, 'inch')).toBe('3.175 mm');
    });
});

describe('how long something takes', () => {
    it.each([
        [0.01, ''],
        [0.42, '0.4s'],
        [9.94, '9.9s'],
        [9.96, '10s'],
        [59.4, '59s'],
        [75, '1:15'],
        [4050, '1:07:30'],
    ])('of %f seconds is %s', (seconds, text) => {
        expect(duration(seconds)).toBe(text);
    });
});
