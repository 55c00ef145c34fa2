import { describe, expect, it } from 'vitest';
import { inUnits, lengthOf, nextToolNumber, nextWorkOffset, withoutTool, type SetupDocument } from './document';

const setup: SetupDocument = {
    format: 'oak-setup/1',
    units: 'mm',
    workOffsets: { G54: { X: 1 } },
    tools: [{ number: 1 }, { number: 2 }],
    offsets: { H: { '1': -200, '2': { geometry: -210, wear: 0.02 } } },
};

describe('document', () => {
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
    it('begins with round figures of the units', () => {
        expect([50, 20, 10, 5, -20].map(inUnits('mm'))).toEqual([50, 20, 10, 5, -20]);
        expect([50, 20, 10, 5, -20].map(inUnits('in'))).toEqual([2, 0.75, 0.375, 0.25, -0.75]);
    });
});
