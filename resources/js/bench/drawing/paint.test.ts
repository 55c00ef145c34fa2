import { describe, expect, it, vi } from 'vitest';
import { light } from '../../theme/inks';
import { jobBounds, fit, pick, planPoint, sidePoint, travelBounds } from './view';
import { testMotion, testScene } from '../testing/motion.test.fixture';

/** What was stroked, with the ink, width and dashes it was stroked in. */
interface Stroke {
    ink: string;
    width: number;
    dash: number[];
    segments: number;
}

class FakePath {
    segments = 0;
    moveTo() {
        return undefined;
    }
    lineTo() {
        this.segments++;
    }
}

function fakeContext() {
    const strokes: Stroke[] = [];
    const texts: string[] = [];
    let dash: number[] = [];
    const nothing = () => undefined;
    const context = {
        strokeStyle: '', fillStyle: '', lineWidth: 1, font: '', textAlign: '', globalAlpha: 1, lineCap: '',
        save: nothing, restore: nothing, beginPath: nothing, rect: nothing, clip: nothing, fillRect: nothing, clearRect: nothing, strokeRect: nothing,
        moveTo: nothing, lineTo: nothing, arc: nothing, fill: nothing, closePath: nothing, strokeText: nothing,
        measureText: (text: string) => ({ width: text.length * 7 }),
        fillText: (text: string) => texts.push(text),
        setLineDash: (next: number[]) => { dash = next; },
        stroke: (path?: FakePath) => { if (path) strokes.push({ ink: String(context.strokeStyle), width: context.lineWidth, dash, segments: path.segments }); },
    };
    return { context: context as unknown as CanvasRenderingContext2D, strokes, texts };
}

describe('the drawing', async () => {
    vi.stubGlobal('Path2D', FakePath);
    const { paintCursor, paintMovedZero, paintSheet } = await import('./paint');
    const motion = testMotion();
    const scene = testScene();
    const view = fit(jobBounds(motion, scene), 600, 560);

    it('draws rapids thin and dashed, cuts thick and plain in the ink of their depth', () => {
        const { context, strokes } = fakeContext();
        paintSheet(context, light, view, motion, scene, [-200, 200]);
        const rapids = strokes.filter((stroke) => stroke.dash.length > 0 && stroke.segments > 0);
        const cuts = strokes.filter((stroke) => stroke.dash.length === 0 && stroke.segments > 0);
        expect(rapids).toHaveLength(2);
        expect(rapids[0]?.width).toBeLessThan(1);
        expect(rapids[0]?.segments).toBe(1);
        // The plunge, the straight cut and the two chords of the arc, in plan and in elevation.
        expect(cuts.reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(8);
        expect(cuts.every((stroke) => stroke.width > 2 && stroke.ink.startsWith('rgb'))).toBe(true);
    });

    it('draws what stands in the way, and names it once', () => {
        const { context, texts } = fakeContext();
        paintSheet(context, light, view, motion, testScene({ obstacles: [{ name: 'clamp', min: [-30, -15, -14], max: [-20, -5, 5] }] }), undefined);
        expect(texts.filter((text) => text === 'clamp')).toHaveLength(1);
    });

    it('marks the ground the zero may stand on, where both its axes have one', () => {
        const { context, texts } = fakeContext();
        paintSheet(context, light, view, motion, testScene({ mayMove: { X: [-20, 20], Y: [-10, 10] } }), undefined);
        expect(texts).toContain('G54 fits in here');
        const { context: other, texts: none } = fakeContext();
        paintSheet(other, light, view, motion, testScene({ mayMove: { X: [-20, 20], Y: null } }), undefined);
        expect(none).not.toContain('G54 fits in here');
    });

    it('draws the dragged zero in the ink of its answer', () => {
        const scene = testScene({ mayMove: { X: [-10, 10], Y: [-10, 10] } });
        for (const [moved, ink] of [[[5, 5], light.moss], [[15, 5], light.clay]] as const) {
            const { context } = fakeContext();
            paintMovedZero(context, light, view, scene, [moved[0], moved[1]]);
            expect(context.strokeStyle).toBe(ink);
        }
    });

    it('draws the path as programmed in dots, and lifts the pen between stretches', () => {
        const { context, strokes } = fakeContext();
        const beside = { ...testMotion(), programmedX: Float32Array.from([NaN, -20, 0, NaN, 5, 6]), programmedY: Float32Array.from([NaN, 5, 5, NaN, 5, 6]), programmedZ: new Float32Array(6) };
        paintSheet(context, light, view, beside, scene, undefined);
        const dots = strokes.filter((stroke) => (stroke.dash[0] ?? 1) < 1 && stroke.segments > 0);
        expect(dots.map((stroke) => stroke.segments)).toEqual([2, 2]);
    });

    it('draws feed moves above the stock in moss', () => {
        const { context, strokes } = fakeContext();
        const air = { ...testMotion(), cornerZ: Float32Array.from([25, 5, 5, 5, 5, 25]) };
        paintSheet(context, light, view, air, scene, undefined);
        expect(strokes.filter((stroke) => stroke.ink === light.moss && stroke.segments > 0).reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(8);
    });

    it('names its views and the size of the stock', () => {
        const { context, texts } = fakeContext();
        paintSheet(context, light, view, motion, scene, undefined);
        expect(texts).toEqual(expect.arrayContaining(['PLAN', 'ELEVATION', '60.0', '0.0', '−14.0']));
    });

    it('draws no tool before the first move, and the words of a finding once it is picked', () => {
        const { context, texts } = fakeContext();
        paintCursor(context, light, view, motion, scene, [], null, null);
        paintCursor(context, light, view, motion, scene, [], { row: -1, share: 1 }, null);
        expect(texts).toEqual([]);
        paintCursor(context, light, view, motion, scene, [{ tool: 1, work: 'G54', words: [], limits: [null, null] }], { row: 2, share: 1 }, { text: 'line 6: decimal slip', stop: true });
        expect(texts).toEqual(['line 6: decimal slip']);
    });
});

describe('picking and fitting', () => {
    const motion = testMotion();
    const scene = testScene();
    const view = fit(jobBounds(motion, scene), 600, 560);

    it('finds the move under the pointer in either view', () => {
        expect(pick(motion, view, ...planPoint(view, -10, 0))).toBe(2);
        expect(pick(motion, view, ...planPoint(view, 15, 5))).toBe(3);
        const [x, y] = sidePoint(view, -20, -2);
        expect(pick(motion, view, x, y)).toBe(1);
        expect(pick(motion, view, ...planPoint(view, -28, 13))).toBe(-1);
    });

    it('fits the job without the way home, and the travel with all of it', () => {
        const far = testMotion();
        far.cornerX[0] = 900;
        expect(jobBounds(far, scene).max[0]).toBe(30);
        const travel = travelBounds(scene, [-150, 90], jobBounds(motion, scene));
        expect(travel.min).toEqual([-300, -200, -150]);
        expect(travel.max).toEqual([400, 210, 90]);
    });

    it('has somewhere to look where there is nothing yet', () => {
        const nothing = { ...testMotion(), rows: 0, cornerRow: new Uint32Array() };
        const bounds = jobBounds(nothing, testScene({ stock: null }));
        expect(bounds.max[0]).toBeGreaterThan(bounds.min[0]);
    });
});
