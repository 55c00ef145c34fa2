import { describe, expect, it } from 'vitest';
import { lengthOf, nextWorkOffset, typedNumber, withValue, type SetupDocument } from './document';

const setup: SetupDocument = { format: 'oak-setup/1', units: 'mm', workOffsets: { G54: { X: 1 } }, tools: [{ number: 1 }, { number: 2 }], offsets: { H: { '1': -200, '2': { geometry: -210, wear: 0.02 } } } };

describe('document', () => {
    it('changes one value and leaves the rest and the original alone', () => {
        const next = withValue(setup, 'workOffsets.G54.X', -5);
        expect(next.workOffsets?.G54?.X).toBe(-5);
        expect(setup.workOffsets?.G54?.X).toBe(1);
        expect(next.tools).toBe(setup.tools);
    });
    it('makes what is missing on the way, and takes fields and rows out', () => {
        expect(withValue(setup, 'workOffsets.G55.Y', 2).workOffsets?.G55).toEqual({ Y: 2 });
        expect(withValue(setup, 'tools.0', undefined).tools).toEqual([{ number: 2 }]);
        expect('workOffsets' in withValue(setup, 'workOffsets', undefined)).toBe(false);
    });
    it('reads numbers as they are typed, and refuses what is none', () => {
        expect(typedNumber('−12,5')).toBe(-12.5);
        expect(typedNumber('.5')).toBe(0.5);
        expect(typedNumber('12.3.4')).toBeNull();
        expect(typedNumber('')).toBeNull();
    });
    it('knows both ways a length offset may be written', () => {
        expect(lengthOf(setup, 1)).toEqual({ geometry: -200, wear: 0 });
        expect(lengthOf(setup, 2).wear).toBe(0.02);
        expect(lengthOf(setup, 3)).toEqual({});
    });
    it('offers the next work offset', () => {
        expect(nextWorkOffset(setup)).toBe('G55');
    });
});
