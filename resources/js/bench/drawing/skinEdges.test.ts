import { describe, expect, it } from 'vitest';
import { edgePairs, smooth } from './skinEdges';

const SIZE = 60;

/** A level plate with a pocket 5 deep where `isIn` says, in cells of 1. */
function pocket(isIn: (x: number, y: number) => boolean): { level: Float32Array; places: Float32Array } {
    const level = new Float32Array(SIZE * SIZE);
    const places = new Float32Array(3 * SIZE * SIZE);
    for (let n = 0; n < SIZE * SIZE; n++) {
        const [x, y] = [n % SIZE, Math.floor(n / SIZE)];
        level[n] = isIn(x, y) ? -5 : 0;
        places.set([x, y, level[n] ?? 0], 3 * n);
    }
    return { level, places };
}

const round = (x: number, y: number) => Math.hypot(x - 30, y - 30) < 20;

describe('the edges of a skin', () => {
    it('run round without the steps of the cells', () => {
        const { level, places } = pocket(round);
        const pairs = edgePairs(level, SIZE, SIZE, 1);
        const off = () => {
            const foot = [...new Set(pairs.flat())].filter((n) => (level[n] ?? 0) < 0);
            const away = foot.map((n) => Math.hypot((places[3 * n] ?? 0) - 30, (places[3 * n + 1] ?? 0) - 30));
            const mean = away.reduce((sum, one) => sum + one, 0) / away.length;
            return Math.sqrt(away.reduce((sum, one) => sum + (one - mean) ** 2, 0) / away.length);
        };
        const stepped = off();
        smooth(places, pairs, () => false, [1, 1]);
        expect(off()).toBeLessThan(0.5 * stepped);
    });

    it('leave no place further than half a cell from where it was, and what is no edge where it was', () => {
        const { level, places } = pocket(round);
        const before = places.slice();
        const pairs = edgePairs(level, SIZE, SIZE, 1);
        smooth(places, pairs, () => false, [1, 1]);
        const onEdge = new Set(pairs.flat());
        for (let n = 0; n < SIZE * SIZE; n++) {
            const by = Math.max(Math.abs((places[3 * n] ?? 0) - (before[3 * n] ?? 0)), Math.abs((places[3 * n + 1] ?? 0) - (before[3 * n + 1] ?? 0)));
            expect(by).toBeLessThanOrEqual(onEdge.has(n) ? 0.5 + 1e-6 : 0);
            expect(places[3 * n + 2]).toBe(before[3 * n + 2]);
        }
    });

    it('keep straight walls and their corners', () => {
        const { level, places } = pocket((x, y) => x > 10 && x < 40 && y > 15 && y < 35);
        const before = places.slice();
        smooth(places, edgePairs(level, SIZE, SIZE, 1), () => false, [1, 1]);
        expect(places).toEqual(before);
    });

    it('move nothing that is fixed', () => {
        const { level, places } = pocket(round);
        const before = places.slice();
        smooth(places, edgePairs(level, SIZE, SIZE, 1), () => true, [1, 1]);
        expect(places).toEqual(before);
    });
});
