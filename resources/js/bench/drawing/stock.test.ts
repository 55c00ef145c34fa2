import { expect, it } from 'vitest';
import { deepestOf, skinOf, standAt, standing, type StockStands } from './stock';

/** Four cells by two, 10 high, a slot along the second column, through in its second row. */
const field = { x: -4, y: 0, dx: 2, dy: 1, columns: 4, rows: 2, bottom: -10, top: 0 };
const cut = Float32Array.of(0, -4, 0, 0, 0, -10, 0, 0);

it('gives the stand that a moment is after', () => {
    const stands: StockStands = { ...field, after: [-1, 5, 9], heights: Float32Array.from([...new Float32Array(8), ...cut, ...new Float32Array(8).fill(-1)]) };
    expect([...standAt(stands, 4)]).toEqual([0, 0, 0, 0, 0, 0, 0, 0]);
    expect([...standAt(stands, 5)]).toEqual([...cut]);
    expect([...standAt(stands, 400)]).toEqual(new Array(8).fill(-1));
});

it('lays a skin over the material and down its sides, and shades it by depth', () => {
    const { places, shades, corners } = skinOf(field, cut, 4, 100);
    const at = (i: number, j: number, n: number) => places[(j * 8 + i) * 3 + n];
    // The bottom ring, the ring above it, and the cells; a hole is shaded as the deepest.
    expect([at(0, 0, 2), at(1, 1, 2), at(2, 2, 2), at(3, 2, 2), at(3, 3, 2), at(7, 5, 2)]).toEqual([-10, 0, 0, -4, -10, -10]);
    expect([at(0, 0, 0), at(7, 0, 0), at(3, 0, 0), at(0, 0, 1), at(0, 5, 1)]).toEqual([-4, 4, -1, 0, 2]);
    expect([shades[8 + 3], shades[2 * 8 + 2], shades[2 * 8 + 3], shades[3 * 8 + 3]]).toEqual([0, 0, 1, 1]);
    expect(corners.length % 3).toBe(0);
    expect(Math.max(...corners)).toBeLessThan(places.length / 3);
});

it('keeps what is lowest where cells fall together, and shows nothing where nothing is', () => {
    const coarse = skinOf(field, cut, 4, 2);
    expect([coarse.places[(2 * 6 + 2) * 3 + 2], coarse.places[(2 * 6 + 3) * 3 + 2]]).toEqual([-10, 0]);
    expect(skinOf(field, new Float32Array(8).fill(-10), 4, 100).corners).toHaveLength(0);
});

it('measures the shades by the deepest cut of the whole run, holes left out', () => {
    expect(deepestOf({ ...field, heights: Float32Array.of(0, -3, -10, -7.5) })).toBe(7.5);
});

it('tells how high the material stands under a point, and of none where there is none', () => {
    expect([standing(field, cut, -1.5, 0.2), standing(field, cut, -4.2, 1.9), standing(field, cut, -1, 1.5)]).toEqual([[-1.5, 0.2, -4], [-4.2, 1.9, 0], null]);
});
