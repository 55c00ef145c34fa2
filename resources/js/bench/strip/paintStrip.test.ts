import { describe, expect, it, vi } from 'vitest';
import { light } from '../../theme/inks';
import type { TurnedScene } from '../answer';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { layStrip, paintStrip, paintStripDifference } from './paintStrip';

describe('layStrip', () => {
    it('shows from below the deepest of cut and stock to the air above the stock', () => {
        const layout = layStrip(testMotion(), testScene(), 900, 170);
        expect(layout.low).toBeLessThan(-14);
        expect(layout.high).toBeGreaterThan(25);
        expect(layout.seconds).toBe(13);
        expect(layout.left).toBeLessThan(layout.right);
        expect(layout.top).toBeLessThan(layout.foot);
    });

    it('lets moves far above run off the top, since the danger is below', () => {
        const motion = testMotion();
        motion.z[0] = 400;
        expect(layStrip(motion, testScene(), 900, 170).high).toBeLessThan(60);
    });

    it('makes room for a cut that goes through the stock', () => {
        const motion = testMotion();
        motion.z[2] = -40;
        expect(layStrip(motion, testScene(), 900, 170).low).toBeLessThan(-40);
    });

    it('does without stock and without motion', () => {
        const empty = { ...testMotion(), rows: 0, kind: new Uint8Array(), z: new Float32Array(), endSeconds: new Float64Array() };
        const layout = layStrip(empty, testScene({ stock: null }), 900, 170);
        expect(layout.high).toBeGreaterThan(layout.low);
        expect(layout.seconds).toBeGreaterThan(0);
    });
});

describe('the strip of a lathe', () => {
    it('has a band for Z with the face of the jaws, and one for the diameter', () => {
        const texts: [string, number][] = [];
        const uprights: number[][] = [];
        let from = [0, 0];
        vi.stubGlobal('Path2D', class { moveTo() { return undefined; } lineTo() { return undefined; } });
        const own: Record<string, unknown> = {
            measureText: () => ({ width: 10 }), fillText: (text: string, _: number, y: number) => texts.push([text, y]),
            moveTo: (x: number, y: number) => { from = [x, y]; }, lineTo: (x: number, y: number) => uprights.push([...from, x, y]),
        };
        const context = new Proxy(own, { get: (all, name: string) => (name in all ? all[name] : () => undefined) });
        const turned = { stands: [], chuck: [[-60, -10, 20, 60]], solids: [], sizes: [], shapes: {} } as unknown as TurnedScene;
        const [motion, scene] = [testMotion(), testScene({ turned })];
        const layout = layStrip(motion, scene, 900, 170);
        paintStrip(context as unknown as CanvasRenderingContext2D, light, layout, motion, scene, [], [], []);
        const [z, across] = [texts.find(([text]) => text === 'Z')?.[1] ?? 0, texts.find(([text]) => text === 'Ø')?.[1] ?? 0];
        expect(z).toBeGreaterThan(layout.top);
        expect(z).toBeLessThan((layout.top + layout.foot) / 2);
        expect(across).toBeGreaterThan((layout.top + layout.foot) / 2);
        const share = (layout.high + 10) / (layout.high - layout.low);
        const jaws = layout.top + share * ((layout.top + layout.foot) / 2 - 3 - layout.top);
        expect(uprights.some(([x, y, toX, toY]) => x === layout.left && toX === layout.right && Math.abs((y ?? 0) - jaws) < 1e-9 && y === toY)).toBe(true);
    });
});

describe('the hold points on the strip', () => {
    it('stand by their numbers, the weightier where two fall together', () => {
        const texts: string[] = [];
        vi.stubGlobal('Path2D', class { moveTo() { return undefined; } lineTo() { return undefined; } });
        const context = new Proxy({ measureText: () => ({ width: 10 }), fillText: (text: string) => texts.push(text) } as Record<string, unknown>, {
            get: (own, name: string) => (name in own ? own[name] : () => undefined),
        });
        const motion = testMotion();
        const rows = Array.from({ length: motion.rows }, (_, row) => row);
        paintStrip(
            context as unknown as CanvasRenderingContext2D,
            light,
            layStrip(motion, testScene(), 900, 170),
            motion,
            testScene(),
            [],
            [],
            [...rows, 0].map((row) => ({ row })),
        );
        const numbers = texts.filter((text) => /^\d+$/.test(text));
        expect(numbers[0]).toBe('1');
        expect(numbers).not.toContain(String(rows.length + 1));
    });
});

describe('how much of the rim cuts', () => {
    it('stands in a band of its own, air as a line, and nothing where it is not known', () => {
        vi.stubGlobal('Path2D', class { moveTo() { return undefined; } lineTo() { return undefined; } });
        const motion = {
            ...testMotion(),
            cuts: {
                depth: new Float32Array(5),
                width: new Float32Array(5),
                angle: Float32Array.of(0, 0, 180, 90, 0),
                volume: Float32Array.of(0, 0, 50, 20, 0),
                air: new Uint8Array(5),
                marks: Uint8Array.of(2, 2, 2, 2, 2),
                power: new Float32Array(4),
                chip: new Float32Array(4),
            },
        };
        const layout = layStrip(motion, testScene(), 900, 170);
        const heights = (marks: Uint8Array): number[] => {
            const tall: number[] = [];
            const pen = new Proxy(
                {
                    measureText: () => ({ width: 10 }),
                    fillRect: (_x: number, y: number, _w: number, h: number) => {
                        if (y + h === 140 && h < 20) tall.push(h);
                    },
                } as Record<string, unknown>,
                { get: (own, name: string) => (name in own ? own[name] : () => undefined) },
            );
            paintStrip(pen as unknown as CanvasRenderingContext2D, light, layout, { ...motion, cuts: { ...motion.cuts, marks } }, testScene(), [], [], []);
            return tall;
        };
        expect(layout.foot).toBeLessThan(layStrip(testMotion(), testScene(), 900, 170).foot);
        const [air, full, half] = heights(motion.cuts.marks);
        expect([air, (full ?? 0) / (half ?? 1)]).toEqual([2, 2]);
        expect(heights(new Uint8Array(5))).toEqual([]);
    });
});

describe('a long run on the strip', () => {
    it('is gathered to one upright for each column of dots and ink', () => {
        let lines = 0;
        vi.stubGlobal('Path2D', class { moveTo() { return undefined; } lineTo() { lines++; } });
        const pen = new Proxy({ measureText: () => ({ width: 10 }) } as Record<string, unknown>, {
            get: (own, name: string) => (name in own ? own[name] : () => undefined),
        });
        const rows = 50_000;
        const motion = {
            ...testMotion(),
            rows,
            kind: new Uint8Array(rows).fill(1),
            z: Float32Array.from({ length: rows }, (_, i) => -2 - (i % 3)),
            state: new Uint32Array(rows),
            endSeconds: Float64Array.from({ length: rows }, (_, i) => i / 100),
        };
        paintStrip(pen as unknown as CanvasRenderingContext2D, light, layStrip(motion, testScene(), 900, 170), motion, testScene(), [], [], []);
        expect(lines).toBeGreaterThan(800);
        expect(lines).toBeLessThan(20_000);
    });
});

describe('two runs on one strip', () => {
    it('have a band under what has changed, the old heights in dots, and a cross where moves have gone', () => {
        const rects: number[] = [];
        const strokes: { ink: string; dash: number[] }[] = [];
        let dash: number[] = [];
        vi.stubGlobal('Path2D', class { moveTo() { return undefined; } lineTo() { return undefined; } });
        const pen = {
            strokeStyle: '', fillStyle: '', lineWidth: 1, beginPath: () => undefined, moveTo: () => undefined, lineTo: () => undefined,
            fillRect: (x: number) => rects.push(x), setLineDash: (next: number[]) => { dash = next; },
            stroke: () => strokes.push({ ink: pen.strokeStyle, dash }),
        };
        const motion = testMotion();
        const layout = layStrip(motion, testScene(), 900, 170);
        paintStripDifference(pen as unknown as CanvasRenderingContext2D, light, layout, motion, {
            change: Uint8Array.from([0, 0, 1, 2, 0]),
            other: Uint32Array.from([0, 0, 3, 0, 0]),
            was: testMotion(),
            wasChange: new Uint8Array(5),
            gaps: Uint32Array.from([1]),
        });
        expect(rects).toHaveLength(2);
        // The cross of two strokes, and the path of the old heights.
        expect(strokes.map((stroke) => stroke.dash.length)).toEqual([0, 0, 2]);
        expect(strokes.every(({ ink }) => ink === light.clay)).toBe(true);
    });
});
