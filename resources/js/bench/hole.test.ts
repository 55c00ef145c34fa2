import { describe, expect, it } from 'vitest';
import { holeLines, type HoleStrokes } from './hole';

const peck: HoleStrokes = {
    initial: 25, r: 2, bottom: -8, back: 25, pecks: 2, seconds: 9, words: '2 strokes down, about 9 s a hole',
    strokes: [['rapid', 2], ['feed', -3], ['rapid', 2], ['rapid', -2.5], ['feed', -8], ['dwell', 0.5], ['rapid', 25]],
};

describe('the drawing of a cycle', () => {
    const { levels, strokes, y } = holeLines(peck, 60, 140, 10, 100);

    it('has every stroke beside the one before it, from where that ended', () => {
        expect(strokes.map(({ kind, from, to }) => [kind, from, to])).toEqual([
            ['rapid', 25, 2], ['feed', 2, -3], ['rapid', -3, 2], ['rapid', 2, -2.5], ['feed', -2.5, -8], ['dwell', 0.5, -8], ['rapid', -8, 25],
        ]);
        expect(strokes.map(({ x }) => x)).toEqual([70, 80, 90, 100, 110, 120, 130]);
    });

    it('lays its levels between top and foot, and names each that has room', () => {
        expect([y(25), y(-8)]).toEqual([10, 100]);
        expect(levels.map(({ name }) => name)).toEqual(['initial', 'R', 'Z']);
        expect(holeLines({ ...peck, initial: 2.5 }, 60, 140, 10, 100).levels.map(({ name }) => name)).toEqual(['R', 'Z']);
    });

    it('shows the first and the last of many pecks', () => {
        const many = { ...peck, strokes: Array.from({ length: 90 }, (_, i): [string, number] => [i % 2 === 0 ? 'feed' : 'rapid', -i / 10]) };
        expect(holeLines(many, 60, 140, 10, 100).strokes).toHaveLength(24);
    });
});
