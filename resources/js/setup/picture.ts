import type { Obstacle, Stock } from '../contracts/oak-setup-1';
import { isBar, type SetupDocument } from './document';

type Vector = [number, number, number];

export interface Placed {
    name: string;
    /** The box around it, seen from the first stock's work offset. */
    min: Vector;
    max: Vector;
    angle: number;
    isRound: boolean;
}

export interface Picture {
    frame: string;
    stocks: Placed[];
    obstacles: (Placed & { index: number })[];
    zeros: { name: string; at: Vector }[];
    min: Vector;
    max: Vector;
}

/** What is clamped in a setup, seen from its first stock's work offset. What stands in machine coordinates, or comes from a file, is left out. */
export function pictureOf(document: SetupDocument): Picture {
    const frame = document.stock?.workOffset ?? 'G54';
    const zero = document.workOffsets?.[frame] ?? {};
    const shiftOf = (name: string): Vector => {
        const at = document.workOffsets?.[name] ?? zero;
        return [(at.X ?? 0) - (zero.X ?? 0), (at.Y ?? 0) - (zero.Y ?? 0), (at.Z ?? 0) - (zero.Z ?? 0)];
    };
    const placed = (name: string, [low, high]: [Vector, Vector], offset: string, angle = 0, isRound = false): Placed => {
        const shift = shiftOf(offset);
        return { name, min: low.map((at, n) => at + (shift[n] ?? 0)) as Vector, max: high.map((at, n) => at + (shift[n] ?? 0)) as Vector, angle, isRound };
    };
    const stocks = [document.stock, ...(document.moreStock ?? [])].flatMap((stock, n) => {
        const box = stock === undefined ? null : boxOfStock(stock);
        return stock === undefined || box === null ? [] : [
            placed(n === 0 ? 'stock' : `stock ${n + 1}`, box, stock.workOffset ?? frame, 0, isBar(stock) && (stock.axis ?? 'Z') === 'Z'),
        ];
    });
    const obstacles = (document.obstacles ?? []).flatMap((obstacle, index) => {
        const box = boxOfObstacle(obstacle);
        return box === null || obstacle.workOffset === 'machine' ? [] : [{
            ...placed(obstacle.name ?? `obstacle ${index + 1}`, box, obstacle.workOffset ?? frame, obstacle.angle ?? 0, obstacle.shape === 'cylinder'), index,
        }];
    });
    const zeros = Object.keys(document.workOffsets ?? {}).map((name) => ({ name, at: shiftOf(name) }));
    const all = [...stocks, ...obstacles];
    const edge = (n: number, pick: (...values: number[]) => number, end: 'min' | 'max') => pick(...all.map((one) => one[end][n] ?? 0), 0);
    return {
        frame, stocks, obstacles, zeros,
        min: [0, 1, 2].map((n) => edge(n, Math.min, 'min')) as Vector, max: [0, 1, 2].map((n) => edge(n, Math.max, 'max')) as Vector,
    };
}

/** Of a bar turned before, where it does not say so: as thick and as long as its points. */
function barOf({ outer }: Stock): { diameter?: number; length?: number } {
    return outer === undefined ? {} : { diameter: Math.max(...outer.map(([, across]) => across ?? 0)), length: -Math.min(...outer.map(([z]) => z ?? 0)) };
}

function boxOfStock(stock: Stock): [Vector, Vector] | null {
    if (stock.shape === 'box' && stock.min !== undefined && stock.max !== undefined) return [stock.min, stock.max];
    const { diameter, length } = { ...barOf(stock), ...stock };
    if (!isBar(stock) || diameter === undefined || length === undefined) return null;
    const [radius, far, near] = [diameter / 2, -length, stock.face ?? 0];
    const along: [number, number] = stock.towards === 'plus' ? [-near, -far] : [far, near];
    const across: [number, number] = [-radius, radius];
    const ranges = ['X', 'Y', 'Z'].map((axis) => (axis === (stock.axis ?? 'Z') ? along : across));
    return [ranges.map(([low]) => low) as Vector, ranges.map(([, high]) => high) as Vector];
}

function boxOfObstacle({ shape, min, max, at, diameter, bottom, top }: Obstacle): [Vector, Vector] | null {
    if (shape === 'box') return min === undefined || max === undefined ? null : [min, max];
    if (at === undefined || diameter === undefined || bottom === undefined || top === undefined) return null;
    return [[at[0] - diameter / 2, at[1] - diameter / 2, bottom], [at[0] + diameter / 2, at[1] + diameter / 2, top]];
}

/** An obstacle moved in plan, to whole steps. */
export function moved(obstacle: Obstacle, by: [number, number], step: number): Obstacle {
    const to = (value: number, shift: number) => Number((value + Math.round(shift / step) * step).toFixed(6));
    if (obstacle.at !== undefined) return { ...obstacle, at: [to(obstacle.at[0], by[0]), to(obstacle.at[1], by[1])] };
    const shifted = (corner: Vector): Vector => [to(corner[0], by[0]), to(corner[1], by[1]), corner[2]];
    return { ...obstacle, ...(obstacle.min && { min: shifted(obstacle.min) }), ...(obstacle.max && { max: shifted(obstacle.max) }) };
}
