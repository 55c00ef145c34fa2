import { expect, it } from 'vitest';
import { packed } from '../../shared/columns.test.fixture';
import { unpack } from '../../shared/columns';
import { deepestOf, sideAt, sidesOf, skinOf, standAt, standing, standsOf, type Field, type StockAnswer } from './stock';

/** Four cells by two, 10 high, a slot along the second column, through in its second row. */
const field = { x: -4, y: 0, dx: 2, dy: 1, columns: 4, rows: 2, bottom: -10, top: 0, turn: null, isCut: true, blank: null };
const heights = Float32Array.of(0, -4, 0, 0, 0, -10, 0, 0);
const cut = { field, heights };

it('gives the stand that a moment is after', () => {
    const one = { field, heights: new Float32Array(8) };
    const stands = { after: [-1, 5, 9], stands: [[one], [cut], [one, cut]] };
    expect([standAt(stands, 4), standAt(stands, 5), standAt(stands, 400)]).toEqual([[one], [cut], [one, cut]]);
});

it('gives a side as it stood when it last faced the tool, by its name', () => {
    const turned = { ...field, turn: { axis: 'A', angle: 90 } };
    const [first, second] = [{ field, heights: new Float32Array(8) }, { field: turned, heights }];
    const stands = { fields: [field, turned], after: [-1, 5, 9], stands: [[first], [cut], [second]] };
    expect(sidesOf(stands).map(({ name }) => name)).toEqual(['A0', 'A90']);
    expect(sidesOf({ fields: [field, { ...turned, isCut: false }] }).map(({ name }) => name)).toEqual(['A0']);
    expect(sidesOf({ fields: [field] })).toEqual([]);
    const at = (of: Field, row: number) => sideAt(stands, [of], row);
    expect([at(field, 4), at(field, 20), at(turned, 8), at(turned, 9)]).toEqual([[first], [cut], [], [second]]);
});

it('lays a skin over the material and down its sides, and shades it by depth', () => {
    const { places, shades, corners } = skinOf(cut, 4, 100);
    const at = (i: number, j: number, n: number) => places[(j * 8 + i) * 3 + n];
    // The bottom ring, the ring above it, and the cells; a hole is shaded as the deepest.
    expect([at(0, 0, 2), at(1, 1, 2), at(2, 2, 2), at(3, 2, 2), at(3, 3, 2), at(7, 5, 2)]).toEqual([-10, 0, 0, -4, -10, -10]);
    expect([at(0, 0, 0), at(7, 0, 0), at(3, 0, 0), at(0, 0, 1), at(0, 5, 1)]).toEqual([-4, 4, -1, 0, 2]);
    expect([shades[8 + 3], shades[2 * 8 + 2], shades[2 * 8 + 3], shades[3 * 8 + 3]]).toEqual([0, 0, 1, 1]);
    expect(corners.length % 3).toBe(0);
    expect(Math.max(...corners)).toBeLessThan(places.length / 3);
});

it('keeps what is lowest where cells fall together, and shows nothing where nothing is', () => {
    const coarse = skinOf(cut, 4, 2);
    expect([coarse.places[(2 * 6 + 2) * 3 + 2], coarse.places[(2 * 6 + 3) * 3 + 2]]).toEqual([-10, 0]);
    expect(skinOf({ field, heights: new Float32Array(8).fill(-10) }, 4, 100).corners).toHaveLength(0);
});

it('draws the edges where a floor breaks off into a wall, above and below it, and none along a slope', () => {
    const grid = { x: 0, y: 0, dx: 1, dy: 1, columns: 8, rows: 3, bottom: -10, top: 0, turn: null, isCut: true, blank: null };
    const rows = (...row: number[]) => ({ field: grid, heights: Float32Array.of(...row, ...row, ...row) });
    const levels = (standing: Parameters<typeof skinOf>[0]) => {
        const { edges } = skinOf(standing, 4, 100);
        // Lines that run along the step, by how high they stand; the outline of the stock is left out.
        return new Set(Array.from({ length: edges.length / 6 }, (_, n) => [edges[6 * n], edges[6 * n + 3], edges[6 * n + 2]])
            .filter(([from, to]) => from === to && (from ?? 0) > 1 && (from ?? 0) < 7).map(([, , z]) => z));
    };
    expect(levels(rows(0, 0, 0, 0, -4, -4, -4, -4))).toEqual(new Set([0, -4]));
    expect(levels(rows(0, -1, -2, -3, -4, -5, -6, -7))).toEqual(new Set());
});

it('measures the shades by the deepest cut of the whole run, holes left out', () => {
    expect(deepestOf({ stands: [[cut], [{ field, heights: Float32Array.of(0, -3, -10, -7.5) }]] })).toBe(7.5);
});

it('tells how high the material stands under a point, and of none where there is none', () => {
    expect([standing(cut, -1.5, 0.2), standing(cut, -4.2, 1.9), standing(cut, -1, 1.5), standing(cut, 40, 1)]).toEqual([
        [-1.5, 0.2, -4],
        [-4.2, 1.9, 0],
        null,
        null,
    ]);
});

it('takes an answer apart: every side of every stock, and which of them face the tool', () => {
    const grid = { x: 0, y: 0, dx: 1, dy: 1, rows: 1, bottom: -5, top: 0, turn: null, isCut: true };
    const body = packed(
        {
            fields: [
                { ...grid, columnCount: 2, shaped: false },
                { ...grid, columnCount: 3, shaped: true },
            ],
            after: [-1, 4],
            stands: [[0], [1, 0]],
        },
        { heights: ['f32', Float32Array.of(1, 2, 3, 4, 5, 6, 7)], blanks: ['f32', Float32Array.of(3, 9, 9)] },
    );
    const { fields, stands } = standsOf(unpack<StockAnswer>(body));
    expect(stands.map((stand) => stand.map(({ field: of, heights: at }) => [fields.indexOf(of), ...at]))).toEqual([[[0, 1, 2]], [[1, 3, 4, 5], [0, 6, 7]]]);
    expect(fields.map(({ blank }) => blank && [...blank])).toEqual([null, [3, 9, 9]]);
});

it('shows the worst of what is off where cells fall together', () => {
    const off = [0, 0.5, NaN, NaN, -1, 0, NaN, 0.25];
    const skin = skinOf(cut, 4, 2, (cell) => off[cell] ?? NaN);
    expect([skin.off?.[2 * 6 + 2], skin.off?.[2 * 6 + 3], skin.off?.[0]]).toEqual([-1, 0.25, NaN]);
});

it('shades nothing of a round bar but what is cut of it', () => {
    const blank = Float32Array.of(-6, 0, 0, -6, -6, 0, 0, -6);
    const { shades } = skinOf({ field: { ...field, blank }, heights: Float32Array.of(-6, 0, -3, -6, -6, 0, -3, -8) }, 8, 100);
    expect([0, 1, 2, 3].map((column) => shades[(2 + 1) * 8 + 2 + column])).toEqual([0, 0, 0.375, 1]);
});
