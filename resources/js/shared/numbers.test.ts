import { describe, expect, it } from 'vitest';
import { clock, figure, short, signed } from './numbers';

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
