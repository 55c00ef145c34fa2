import { describe, expect, it } from 'vitest';
import {
    inUnits, nextToolNumber, nextWorkOffset, notTrustedWords, offsetOf, otherOffsets, renumbered, turningOffsetOf, withOffset, withoutTool,
    withTurningOffset, type SetupDocument,
} from './document';

const setup: SetupDocument = {
    format: 'oak-setup/1',
    units: 'mm',
    workOffsets: { G54: { X: 1 } },
    tools: [{ number: 1 }, { number: 2 }],
    offsets: { H: { '1': -200, '2': { geometry: -210, wear: 0.02 } } },
};

describe('document', () => {
    it('knows both ways an offset may be written, and writes it one way', () => {
        expect(offsetOf(setup, 'H', 1)).toEqual({ geometry: -200, wear: 0 });
        expect(offsetOf(setup, 'H', 2).wear).toBe(0.02);
        expect(offsetOf(setup, 'D', 3)).toEqual({});
        expect(withOffset(setup, 'H', 1, 'wear', -0.01).offsets?.H?.['1']).toEqual({ geometry: -200, wear: -0.01 });
        expect(withOffset(setup, 'H', 1, 'geometry', undefined).offsets?.H).toEqual({ '2': { geometry: -210, wear: 0.02 } });
    });
    it('finds the offsets that are no tool’s own', () => {
        expect(otherOffsets({ ...setup, offsets: { H: { '1': 1, '31': 2 }, D: { '41': 3 } } }))
            .toEqual([{ letter: 'H', number: 31 }, { letter: 'D', number: 41 }]);
    });
    it('takes a tool’s offsets along to another number, and none that are there', () => {
        expect(renumbered(setup, 0, 9).offsets?.H).toEqual({ '2': { geometry: -210, wear: 0.02 }, '9': -200 });
        expect(renumbered(setup, 0, 2).offsets).toBe(setup.offsets);
        expect(renumbered(setup, 0, 2).tools?.[0]?.number).toBe(2);
    });
    it('says why an offset is not trusted', () => {
        const copied: SetupDocument = { ...setup, notTrusted: { H1: { why: 'copied', from: 'Hub, op 10' }, H2: { why: 'begun', at: '10:42' } } };
        expect(notTrustedWords(copied, 'H1')).toBe('H1: copied from Hub, op 10, not touched off here.');
        expect(notTrustedWords(copied, 'H2')).toBe('H2: touching off was begun at 10:42 and not finished.');
        expect(notTrustedWords(copied, 'G54')).toBeNull();
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

describe('the offsets of a lathe', () => {
    const lathe: SetupDocument = { ...setup, offsets: { T: { '1': { X: -200, Z: { geometry: -60, wear: 0.02 }, tip: 3 } } } };
    it('are read both ways they may be written', () => {
        expect(turningOffsetOf(lathe, 1, 'X')).toEqual({ geometry: -200, wear: 0 });
        expect(turningOffsetOf(lathe, 1, 'Z').wear).toBe(0.02);
        expect(turningOffsetOf(lathe, 1, 'R')).toEqual({});
    });
    it('keep the rest where one figure is changed', () => {
        expect(withTurningOffset(lathe, 1, 'X', 'wear', -0.04).offsets?.T?.['1'])
            .toEqual({ X: { geometry: -200, wear: -0.04 }, Z: { geometry: -60, wear: 0.02 }, tip: 3 });
        expect(withTurningOffset(lathe, 1, 'Z', 'geometry', undefined).offsets?.T?.['1']).toEqual({ X: -200, tip: 3 });
        expect(withTurningOffset(lathe, 2, 'R', 'geometry', 0.4).offsets?.T?.['2']).toEqual({ R: { geometry: 0.4, wear: 0 } });
    });
    it('go with their tool', () => {
        expect(Object.keys(renumbered(lathe, 0, 7).offsets?.T ?? {})).toEqual(['7']);
        expect(withoutTool(lathe, 0).offsets?.T ?? {}).toEqual({});
    });
});
