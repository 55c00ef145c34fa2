import { expect, it } from 'vitest';
import type { Section } from '../sheet/sheet';
import type { Motion } from './answer';
import { rowsOf, tookOf } from './sheetLines';

const section = (key: string, from: number, to: number): Section => ({ key, lines: [from, to], standing: 'written', theirs: [] });
const sections = [section('head', 1, 2), section('face G54 1', 3, 4), section('seat G54 1', 5, 6), section('face G55 1', 7, 8), section('end', 9, 9)];

function motion(volumes: number[] | null): Motion {
    const lines = [3, 4, 4, 5, 7, 9];
    return {
        rows: lines.length, line: new Uint32Array(lines), endSeconds: new Float64Array([1, 3, 4, 9, 10, 12]),
        cuts: volumes === null ? null : { volume: new Float32Array(volumes) },
    } as unknown as Motion;
}

it('sums what each operation takes, wherever it is made', () => {
    expect(tookOf(motion([0, 5000, 7500, 250, 12500, 0]), 'mm', sections)).toEqual({
        face: { seconds: 5, volume: '25.0 cm³' }, seat: { seconds: 5, volume: '0.25 cm³' }, end: { seconds: 2, volume: null },
    });
    expect(tookOf(motion(null), 'inch', sections).face).toEqual({ seconds: 5, volume: null });
    expect(tookOf(motion([0, 0.25, 0, 2, 0, 0]), 'inch', sections)).toMatchObject({ face: { volume: '0.250 in³' }, seat: { volume: '2.00 in³' } });
});

it('marks the rows of an operation, and none where it makes none', () => {
    expect([...(rowsOf(motion(null), sections, 'face') ?? [])]).toEqual([1, 1, 1, 0, 1, 0]);
    expect(rowsOf(motion(null), sections, 'bore')).toBeNull();
});
