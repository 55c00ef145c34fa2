import { describe, expect, it } from 'vitest';
import { inUnits, lengthOf, nextToolNumber, nextWorkOffset, numberProblem, typedNumber, withoutTool, withValue, type SetupDocument } from './document';

const setup: SetupDocument = {
    format: 'oak-setup/1',
    units: 'mm',
    workOffsets: { G54: { X: 1 } },
    tools: [{ number: 1 }, { number: 2 }],
    offsets: { H: { '1': -200, '2': { geometry: -210, wear: 0.02 } } },
};

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
    it('takes a tool out with its own offsets, and gives a new one a number without a length', () => {
        const without = withoutTool(setup, 1);
        expect(without.tools).toEqual([{ number: 1 }]);
        expect(without.offsets?.H).toEqual({ '1': -200 });
        expect(nextToolNumber(without)).toBe(2);
        expect(nextToolNumber({ ...setup, offsets: { H: { '7': -190 } } })).toBe(8);
    });
    it('refuses a number that could be two, and says which value counts', () => {
        expect(typedNumber('1,250')).toBeNull();
        expect(typedNumber('0,250')).toBe(0.25);
        expect(typedNumber('1,25')).toBe(1.25);
        expect(numberProblem('1,250', -20)).toBe('1.250 or 1250? Write it without the comma; -20 counts.');
        expect(numberProblem('-2O', -20)).toBe('Not a number; -20 counts.');
        expect(numberProblem('x', undefined)).toBe('Not a number; it counts as empty.');
    });
    it('begins with round figures of the units', () => {
        expect([50, 20, 10, 5, -20].map(inUnits('mm'))).toEqual([50, 20, 10, 5, -20]);
        expect([50, 20, 10, 5, -20].map(inUnits('in'))).toEqual([2, 0.75, 0.375, 0.25, -0.75]);
    });
});
