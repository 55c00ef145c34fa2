import { describe, expect, it } from 'vitest';
import { unpack, type Columns } from './columns';
import { packed } from './columns.test.fixture';

describe('packed columns', () => {
    const body = packed(
        { words: 'Ø 5' },
        {
            kind: ['u8', new Uint8Array([1, 2, 3])],
            tool: ['u16', new Uint16Array([7])],
            line: ['u32', new Uint32Array([9, 70000])],
            z: ['f32', new Float32Array([-4.5])],
            seconds: ['f64', new Float64Array([0.1])],
        },
    );
    const { words, columns } = unpack<{ words: string; columns: Columns }>(body);

    it('are laid over the body, with the head beside them', () => {
        expect(words).toBe('Ø 5');
        expect([...columns.u8('kind')]).toEqual([1, 2, 3]);
        expect([...columns.u16('tool')]).toEqual([7]);
        expect([...columns.u32('line')]).toEqual([9, 70000]);
        expect([...columns.f32('z')]).toEqual([-4.5]);
        expect([...columns.f64('seconds')]).toEqual([0.1]);
        expect(columns.f64('seconds').buffer).toBe(body);
    });

    it('are empty where they are not there, and refused where they are something else', () => {
        expect(columns.within('ki').u8('nd')).toHaveLength(3);
        expect(columns.within('ki').has('line')).toBe(false);
        expect(columns.has('text')).toBe(false);
        expect(columns.u8('text')).toHaveLength(0);
        expect(() => columns.f32('line')).toThrow('u32');
        expect(() => unpack(new TextEncoder().encode('{"message": "no"}').buffer)).toThrow('no body');
    });
});
