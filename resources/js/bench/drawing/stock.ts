import type { Columns } from '../../shared/columns';
import { edgePairs, smooth } from './skinEdges';

/** A grid over a stock, seen from one side. */
export interface Field {
    x: number;
    y: number;
    dx: number;
    dy: number;
    /** Cells along X and along Y. */
    columns: number;
    rows: number;
    bottom: number;
    top: number;
    /** How a rotary axis turns the part that is seen there; null where it stands as it was given. */
    turn: { axis: string; angle: number } | null;
    /** Whether something is taken off from that side, by the end of the run. */
    isCut: boolean;
    /** Heights before anything was cut; null where it was level and full. */
    blank: Float32Array | null;
}

/** A field with the heights of its cells at a moment. */
export interface Standing {
    field: Field;
    heights: Float32Array;
}

/** How a stock stands at some moments of a run. */
export interface Stands<Stand> {
    /** The row of the run each stand is after; -1 before all. */
    after: number[];
    stands: Stand[];
}

/** The same of a milled stock, by the fields that face the tool in each; see the server's StockAnswer. */
export interface StockStands extends Stands<Standing[]> {
    /** Every stock from every side. */
    fields: Field[];
}

export interface StockAnswer {
    fields: (Omit<Field, 'columns' | 'blank'> & { columnCount: number; shaped: boolean })[];
    after: number[];
    stands: number[][];
    columns: Columns;
}

export function standsOf({ fields: given, after, stands, columns }: StockAnswer): StockStands {
    const [heights, blanks] = [columns.f32('heights'), columns.f32('blanks')];
    let [from, blank] = [0, 0];
    const fields = given.map(({ columnCount, shaped, ...field }): Field => {
        if (shaped) blank += columnCount * field.rows;
        return { ...field, columns: columnCount, blank: shaped ? blanks.subarray(blank - columnCount * field.rows, blank) : null };
    });
    return {
        fields, after,
        stands: stands.map((numbers) => numbers.flatMap((number) => {
            const field = fields[number];
            if (field === undefined) return [];
            const cells = field.columns * field.rows;
            from += cells;
            return [{ field, heights: heights.subarray(from - cells, from) }];
        })),
    };
}

/** The sides something is cut off by name, where the part is turned: A0, A90; of each stock its field there. */
export function sidesOf({ fields }: Pick<StockStands, 'fields'>): { name: string; fields: Field[] }[] {
    const axis = fields.find(({ turn }) => turn !== null)?.turn?.axis;
    if (axis === undefined) return [];
    const sides = new Map<string, Field[]>();
    // A side that is only passed on the way is none to look at.
    for (const field of fields.filter(({ isCut }) => isCut)) {
        const name = `${axis}${Math.round((field.turn?.angle ?? 0) * 100) / 100}`;
        sides.set(name, [...(sides.get(name) ?? []), field]);
    }
    return [...sides].map(([name, own]) => ({ name, fields: own }));
}

/** A side as it stood when it last faced the tool, no later than a row; nothing of what has not. */
export function sideAt({ after, stands }: Pick<StockStands, 'after' | 'stands'>, fields: Field[], row: number): Standing[] {
    return fields.flatMap((field) => {
        let found: Standing | undefined;
        for (let n = 0; n < after.length; n++) {
            if ((after[n] ?? 0) <= row) found = stands[n]?.find((one) => one.field === field) ?? found;
        }
        return found === undefined ? [] : [found];
    });
}

/** The last stand that is not after a row, or the first. */
export function standAt<Stand>({ after, stands }: Stands<Stand>, row: number): Stand | null {
    let found = 0;
    for (let n = 0; n < after.length; n++) if ((after[n] ?? 0) <= row) found = n;
    return stands[found] ?? null;
}

/** The place on the material over a point of the plan, or on the edge of it just beside; null where there is none. */
export function standing({ field, heights }: Standing, x: number, y: number): [number, number, number] | null {
    if (x < field.x - field.dx || y < field.y - field.dy || x > field.x + (field.columns + 1) * field.dx || y > field.y + (field.rows + 1) * field.dy)
        return null;
    const column = Math.min(field.columns - 1, Math.max(0, Math.floor((x - field.x) / field.dx)));
    const row = Math.min(field.rows - 1, Math.max(0, Math.floor((y - field.y) / field.dy)));
    const z = heights[row * field.columns + column] ?? field.bottom;
    return z > field.bottom ? [x, y, z] : null;
}

/** How deep it is cut where it is cut deepest, at any of its moments. */
export function deepestOf({ stands }: Pick<StockStands, 'stands'>): number {
    let deepest = 1e-9;
    for (const { field, heights } of stands.flat()) for (const z of heights) if (z > field.bottom) deepest = Math.max(deepest, field.top - z);
    return deepest;
}

/**
 * Which share of what is off a place shows: 0 as wanted, up to 1 left and down to −1 gouged, by so much off at the most.
 * Beside what is wanted not a number.
 */
export type Off = (cell: number) => number;

/**
 * A skin over a field for the graphics card: places, a shade for each (0 uncut and at the sides, up to 1 where it is cut
 * deepest), and corners three by three.
 */
export interface Skin {
    places: Float32Array;
    shades: Float32Array;
    /** What is off at each place, where it was asked for: of the cells that fall together the worst. */
    off: Float32Array | null;
    corners: Uint32Array;
    /** The edges where a floor or a top breaks off into a wall: ends of lines, two by two. */
    edges: Float32Array;
}

/** What is as near to how it was is not cut. */
const UNCUT = 1e-4;

/** Around the cells stand two more rings of places on the edges of the stock, one at their heights and one at the bottom: its sides. */
const RINGS = 2;

/**
 * The skin over the material, no finer than so many places along its longer side; of cells that fall together the lowest counts,
 * so that no slot is lost. Where there is no material there is no skin.
 */
export function skinOf({ field, heights }: Standing, deepest: number, finest: number, offOf: Off | null = null): Skin {
    const step = Math.max(1, Math.ceil(Math.max(field.columns, field.rows) / finest));
    const [wide, deep] = [Math.ceil(field.columns / step), Math.ceil(field.rows / step)];
    const [across, along] = [wide + 2 * RINGS, deep + 2 * RINGS];
    const places = new Float32Array(across * along * 3);
    const shades = new Float32Array(across * along);
    const level = new Float32Array(across * along);
    const off = offOf === null ? null : new Float32Array(across * along).fill(NaN);
    for (let j = 0; j < along; j++) {
        const [cellY, ringY] = inward(j, deep);
        for (let i = 0; i < across; i++) {
            const [cellX, ringX] = inward(i, wide);
            const ring = Math.max(ringX, ringY);
            let z = ring === RINGS ? field.bottom : Infinity;
            let worst = NaN;
            let isCut = false;
            for (let row = cellY * step; ring < RINGS && row < Math.min(field.rows, (cellY + 1) * step); row++) {
                for (let column = cellX * step; column < Math.min(field.columns, (cellX + 1) * step); column++) {
                    const cell = row * field.columns + column;
                    const height = heights[cell] ?? z;
                    z = Math.min(z, height);
                    isCut ||= height < (field.blank === null ? field.top : (field.blank[cell] ?? field.top)) - UNCUT;
                    const here = offOf?.(cell) ?? NaN;
                    if (!(Math.abs(here) <= Math.abs(worst))) worst = Number.isNaN(here) ? worst : here;
                }
            }
            const n = j * across + i;
            if (off !== null && ring === 0) off[n] = worst;
            level[n] = z;
            places.set([field.x + within(cellX, wide, field.columns, step) * field.dx, field.y + within(cellY, deep, field.rows, step) * field.dy, z], n * 3);
            shades[n] = ring > 0 || !isCut ? 0 : Math.min(1, Math.max(0, (field.top - z) / deepest));
        }
    }
    const corners: number[] = [];
    for (let j = 0; j + 1 < along; j++) {
        for (let i = 0; i + 1 < across; i++) {
            const [a, b, c, d] = [j * across + i, j * across + i + 1, (j + 1) * across + i, (j + 1) * across + i + 1];
            if ([a, b, c, d].every((n) => (level[n] ?? 0) <= field.bottom)) continue;
            corners.push(a, b, d, a, d, c);
        }
    }
    const pairs = edgePairs(level, across, along, Math.min(field.dx, field.dy) * step);
    smooth(places, pairs, (n) => {
        const [i, j] = [n % across, Math.floor(n / across)];
        return i < RINGS || j < RINGS || i >= across - RINGS || j >= along - RINGS;
    }, [field.dx * step, field.dy * step]);
    const edges = Float32Array.from(pairs.flatMap((pair) => pair.flatMap((n) => [...places.subarray(3 * n, 3 * n + 3)])));
    return { places, shades, off, corners: Uint32Array.from(corners), edges };
}

/** The cell a place stands for, and the ring it is in: 0 for the cells themselves. */
function inward(n: number, cells: number): [number, number] {
    return [Math.min(cells - 1, Math.max(0, n - RINGS)), Math.max(0, RINGS - n, n - RINGS - cells + 1)];
}

/** Where a cell's place is, counted in fine cells: in its middle, the outermost on the edges of the stock. */
function within(cell: number, cells: number, fine: number, step: number): number {
    if (cell === 0) return 0;
    return cell === cells - 1 ? fine : (cell + 0.5) * step;
}
