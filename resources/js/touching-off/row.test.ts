import { describe, expect, it } from 'vitest';
import { addition, firstFigures, standing, sum, type TouchRow } from './row';

const row: TouchRow = {
    subject: 'H2', offset: 'H2', axis: null, tool: '8.5 drill', isUsed: true, value: -230, isTrusted: true, why: null, state: null, by: null, begunAt: null,
    simulated: false, method: null, readings: {}, methods: [],
};
const at = () => '10:42';

describe('standing', () => {
    it('says how far a row has come', () => {
        expect(standing(row, at)).toEqual({ mark: 'clear', words: 'trusted' });
        expect(standing({ ...row, state: 'begun', begunAt: 'x', isTrusted: false }, at).words).toBe('begun at 10:42, not finished: do it again');
        expect(standing({ ...row, state: 'read', isTrusted: false }, at).mark).toBe('caution');
        expect(standing({ ...row, isTrusted: false, why: 'copied' }, at).words).toBe('copied, not touched off here');
        expect(standing({ ...row, value: null }, at)).toEqual({ mark: 'stop', words: 'empty' });
        expect(standing({ ...row, value: null, isUsed: false }, at).mark).toBe('note');
        expect(standing({ ...row, state: 'trusted', simulated: true }, at).words).toBe('trusted (simulated)');
    });
});

it('begins with what was typed last, but never with a reading', () => {
    const readings = [
        { name: 'at', words: 'Reading', is: 'position' as const, usual: null }, { name: 'block', words: 'Block', is: 'length' as const, usual: 0 },
        { name: 'side', words: 'Side', is: 'side' as const, usual: -1 },
    ];
    expect(firstFigures(readings, { at: '-200', block: '50' })).toEqual({ at: '', block: '50', side: '-1' });
});

it('takes an entry with a sign as an addition', () => {
    expect([addition('+.005'), addition('−0,02'), addition('5'), addition('+'), addition('+.0.5')]).toEqual([0.005, -0.02, null, null, null]);
});

it('writes the arithmetic out', () => {
    expect(sum([[-382.215, 'reading'], [2.5, 'radius']], -379.715, 3)).toBe('−382.215 + 2.500 = −379.715');
    expect(sum([[-198.2, 'reading'], [-50, 'block']], -248.2, 3)).toBe('−198.200 − 50.000 = −248.200');
});
