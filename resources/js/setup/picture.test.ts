import { describe, expect, it } from 'vitest';
import type { SetupDocument } from './document';
import { moved, pictureOf } from './picture';

const setup: SetupDocument = {
    format: 'oak-setup/1', units: 'mm',
    workOffsets: { G54: { X: -400, Y: -200, Z: 0 }, G55: { X: -300, Y: -200, Z: 5 } },
    stock: { shape: 'box', min: [-50, -40, -25], max: [50, 40, 0], workOffset: 'G54' },
    moreStock: [{ shape: 'cylinder', axis: 'X', diameter: 20, length: 60, face: 1, workOffset: 'G55' }],
    obstacles: [
        { shape: 'box', name: 'jaw', min: [-80, 40, -30], max: [80, 60, 5] },
        { shape: 'cylinder', at: [0, -60], diameter: 10, bottom: -20, top: 10, workOffset: 'G54' },
        { shape: 'box', min: [-500, -300, -400], max: [-450, -250, -300], workOffset: 'machine' },
    ],
};

describe('pictureOf', () => {
    it('lays every piece where its work offset has it', () => {
        const { frame, stocks, zeros } = pictureOf(setup);
        expect(frame).toBe('G54');
        expect(stocks[1]?.min).toEqual([40, -10, -5]);
        expect(stocks[1]?.max).toEqual([101, 10, 15]);
        expect(zeros).toEqual([{ name: 'G54', at: [0, 0, 0] }, { name: 'G55', at: [100, 0, 5] }]);
    });

    it('shows a bar by its other names, as large as its points where it says no more', () => {
        const of = (stock: typeof setup.stock) => pictureOf({ format: 'oak-setup/1', units: 'mm', ...(stock === undefined ? {} : { stock }) }).stocks[0]?.max;
        expect(of({ shape: 'bar', diameter: 30, length: 50, face: 1 })).toEqual([15, 15, 1]);
        expect(of({ shape: 'profile', outer: [[-60, 40], [-20, 40], [-20, 30], [0, 30]] })).toEqual([20, 20, 0]);
    });

    it('shows clamps, and leaves out what stands in machine coordinates', () => {
        const { obstacles, min, max } = pictureOf(setup);
        expect(obstacles.map(({ name, index, isRound }) => [name, index, isRound])).toEqual([['jaw', 0, false], ['obstacle 2', 1, true]]);
        expect([min, max]).toEqual([[-80, -65, -30], [101, 60, 15]]);
    });

    it('has room for nothing at all', () => {
        expect(pictureOf({ format: 'oak-setup/1', units: 'mm' })).toMatchObject({ stocks: [], obstacles: [], zeros: [], min: [0, 0, 0] });
    });
});

it('moves an obstacle by whole steps, and keeps its size and height', () => {
    expect(moved(setup.obstacles?.[0] ?? { shape: 'box' }, [10.3, -2.26], 0.5)).toMatchObject({ min: [-69.5, 37.5, -30], max: [90.5, 57.5, 5] });
    expect(moved(setup.obstacles?.[1] ?? { shape: 'box' }, [0.2, 1], 0.5)).toMatchObject({ at: [0, -59] });
});
