import { describe, expect, it } from 'vitest';
import { unpack } from '../shared/columns';
import { packed } from '../shared/columns.test.fixture';
import { MOVED, NEW, differenceOf, reachChanges, type CompareAnswer, type Side } from './difference';

const columns = (prefix: string, corners: number[]): Parameters<typeof packed>[1] => ({
    [`${prefix}corners`]: ['u8', new Uint8Array(corners)],
    [`${prefix}line`]: ['u32', Uint32Array.from(corners.keys())],
    [`${prefix}kind`]: ['u8', new Uint8Array(corners.length)],
});

describe('the difference of two texts', () => {
    it('has the run of either, and what has become of each move', () => {
        const answer = unpack<CompareAnswer>(packed({ was: { scene: { axes: [] } }, is: { scene: { axes: [] } } }, {
            ...columns('', [1, 1, 2]), ...columns('was.', [1, 3]),
            change: ['u8', new Uint8Array([0, MOVED, NEW])], other: ['u32', new Uint32Array([0, 2, 0])],
            'was.change': ['u8', new Uint8Array([0, MOVED])], gaps: ['u32', new Uint32Array([2])],
        }));
        const { motion, difference } = differenceOf(answer);
        expect(motion.rows).toBe(3);
        expect([...motion.firstCorner]).toEqual([0, 1, 2, 4]);
        expect(difference.was.rows).toBe(2);
        expect([...difference.was.firstCorner]).toEqual([0, 1, 4]);
        expect([...difference.change]).toEqual([0, MOVED, NEW]);
        expect([...difference.wasChange]).toEqual([0, MOVED]);
        expect([...difference.gaps]).toEqual([2]);
    });

    it('tells which end of which axis has more or less to spare', () => {
        const reach = (spare: Record<string, [number | null, number | null]>) =>
            Object.fromEntries(Object.entries(spare).map(([axis, ends]) => [axis, { spare: ends }])) as unknown as Side['reach'];
        expect(reachChanges(reach({ X: [10, 20], Z: [5, null] }), reach({ X: [10, 18.5], Y: [1, 1], Z: [4, null] }))).toEqual([
            { axis: 'X', side: '+', was: 20, is: 18.5 },
            { axis: 'Z', side: '−', was: 5, is: 4 },
        ]);
    });
});
