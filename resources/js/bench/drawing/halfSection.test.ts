import { describe, expect, it, vi } from 'vitest';
import { light } from '../../theme/inks';
import type { Scene, TurnedScene } from '../answer';
import { nameDiameters, paintInsert, paintTurnedStock } from './halfSection';
import type { Labels } from './Labels';
import type { Half, Pen } from './pen';

type Place = [number, number];

/** A pen that keeps what it was asked to draw, ten pixels to the millimetre, the axis at 500. */
function recorded(): { half: Half; lines: [Place, Place][]; fills: number[][]; frames: number[][]; polygon: Place[] } {
    const lines: [Place, Place][] = [];
    const [fills, frames, polygon]: [number[][], number[][], Place[]] = [[], [], []];
    let from: Place = [0, 0];
    const nothing = () => undefined;
    const pen = {
        save: nothing, restore: nothing, beginPath: nothing, rect: nothing, clip: nothing, closePath: nothing, stroke: nothing, fill: nothing,
        setLineDash: nothing,
        moveTo: (x: number, y: number) => {
            from = [x, y];
            polygon.push(from);
        },
        lineTo: (x: number, y: number) => {
            lines.push([from, [x, y]]);
            polygon.push([x, y]);
        },
        fillRect: (...box: number[]) => void fills.push(box),
        strokeRect: (...box: number[]) => void frames.push(box),
        measureText: (text: string) => ({ width: 8 * text.length }),
    } as unknown as Pen;
    const half = {
        pen, inks: light, view: { scale: 10 }, pane: { left: 0, top: 0, width: 2000, height: 1000 },
        at: (z: number, x: number): Place => [1000 + 10 * z, 500 - 10 * x],
    } as unknown as Half;
    return { half, lines, fills, frames, polygon };
}

/** Ø40 to Z-30, Ø20 from there to the face, with a bore of Ø10 from Z-10; jaws from Z-50 back. */
const turned: TurnedScene = {
    stands: [[-60, -30, [0, 20]], [-30, -10, [0, 10]], [-10, 0, [5, 10]]],
    chuck: [[-80, -50, 20, 60]],
    solids: [],
    threads: [],
    isFront: false,
    wanted: [],
    sizes: [],
    shapes: {},
    holders: {},
};
const scene = { stock: { min: [-20, -20, -60], max: [20, 20, 1] }, decimals: 3 } as unknown as Scene;

describe('a turned part in half section', () => {
    it('has the shape the drawing wants over it, on both sides of the axis', () => {
        const { half, lines } = recorded();
        paintTurnedStock(half, scene, { ...turned, wanted: [[[-20, 15], [-10, 12]]] });
        expect(lines).toContainEqual([[800, 350], [900, 380]]);
        expect(lines).toContainEqual([[800, 650], [900, 620]]);
    });

    it('is cut open above its axis and whole below it', () => {
        const { half, fills, frames } = recorded();
        paintTurnedStock(half, scene, turned);
        const stretches = fills.map((box) => box.map((figure) => Math.round(figure)));
        expect(stretches).toContainEqual([900, 400, 101, 50]); // from the bore out, above the axis
        expect(stretches).toContainEqual([900, 500, 101, 100]); // from the axis out, below it
        expect(frames).toContainEqual([400, 300, 610, 400]); // the bar as it was
        expect(frames.slice(1)).toEqual([[200, -100, 300, 400], [200, 700, 300, 400]]); // the jaws on both sides
    });

    it('stands before its tailstock', () => {
        const { half, polygon } = recorded();
        const solids: TurnedScene['solids'] = [{ name: 'the tailstock', outline: [[0, 2], [20, 14]] }];
        paintTurnedStock(half, { ...scene, stock: null }, { ...turned, stands: [], chuck: [], solids });
        expect(polygon.slice(0, 4)).toEqual([[1000, 480], [1200, 360], [1200, 640], [1000, 520]]);
    });

    it('has an edge at every step, and none across what goes on', () => {
        const { half, lines } = recorded();
        paintTurnedStock(half, { ...scene, stock: null }, { ...turned, chuck: [] });
        const upright = lines.filter(([from, to]) => from[0] === to[0]).map(([from, to]) => [from[0], from[1], to[1]]);
        expect(upright).toContainEqual([700, 300, 400]); // the shoulder, above
        expect(upright).toContainEqual([700, 700, 600]); // and below
        expect(upright).toContainEqual([1000, 600, 400]); // the face
        expect(upright.filter(([at]) => at === 650)).toEqual([]);
    });

    it('has a thread as a thin line at its root and a bar where it ends', () => {
        const { half, lines } = recorded();
        paintTurnedStock(half, { ...scene, stock: null }, { ...turned, chuck: [], threads: [[0, 9, -8, 9, 4], [0, 5.5, -6, 5.5, 5]] });
        expect(lines).toContainEqual([[1000, 410], [920, 410]]);
        expect(lines).toContainEqual([[920, 410], [920, 400]]); // up to Ø20
        expect(lines).toContainEqual([[940, 555], [940, 550]]); // in the bore of Ø10, below the axis
    });

    it('names each diameter once, where it is longest and has room', () => {
        const { half } = recorded();
        const write = vi.fn<Labels['write']>();
        const stands: TurnedScene['stands'] = [[-60, -40, [0, 20]], [-40, -39, [0, 15]], [-39, -10, [0, 20]], [-10, 0, [0, 10]]];
        nameDiameters(half, { write } as unknown as Labels, scene, { ...turned, stands });
        expect(write.mock.calls.map(([name, , places]) => [name, places[0]?.x])).toEqual([['Ø40.0', 755], ['Ø20.0', 950]]);
    });

    it('draws what cuts with its tip where the tool stands', () => {
        const { half, polygon } = recorded();
        paintInsert(half, [10, 0, -5], [[0, 0], [4, 0], [0, 4]]);
        expect(polygon).toEqual([[950, 400], [990, 400], [950, 360]]);
    });
});
