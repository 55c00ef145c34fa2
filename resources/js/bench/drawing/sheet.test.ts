import { describe, expect, it } from 'vitest';
import { light } from '../../theme/inks';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { paintCursor } from './cursor';
import { paintMeasure, snapsOf } from './measure';
import { paintMoves } from './moves';
import { eachHalf } from './pen';
import { maskOf, everything } from './shows';
import { paintFigures, paintMovedZero } from './sheet';
import { recordingPen } from '../testing/pen.test.fixture';
import { fit, jobBounds } from './view';

describe('the drawing', () => {
    const motion = testMotion();
    const scene = testScene();
    const view = fit(jobBounds(motion, scene), 600, 560);
    const moves = (of = motion, mask: Uint8Array | null = null) => {
        const { pen, strokes } = recordingPen();
        eachHalf(pen, light, view, (half) => paintMoves(half, of, scene, mask));
        return strokes;
    };

    it('draws rapids thin and dashed, cuts thick and plain in the ink of their depth', () => {
        const rapids = moves().filter((stroke) => stroke.dash.length > 0);
        const cuts = moves().filter((stroke) => stroke.dash.length === 0);
        expect(rapids).toHaveLength(2);
        expect(rapids[0]?.width).toBeLessThan(1);
        // The way up is a point in the plan and a line in the elevation.
        expect(rapids.map((stroke) => stroke.segments)).toEqual([1, 1]);
        expect(cuts.reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(8);
        expect(cuts.every((stroke) => stroke.width > 2 && stroke.ink.startsWith('rgb'))).toBe(true);
    });

    it('draws feed moves above the stock in moss', () => {
        const air = moves({ ...testMotion(), cornerZ: Float32Array.from([25, 5, 5, 5, 5, 25]) });
        expect(air.filter((stroke) => stroke.ink === light.moss).reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(8);
    });

    it('leaves out what is hidden and pales what is dimmed', () => {
        const dimmed = moves(motion, maskOf(motion, scene, [], { ...everything, rapids: false, rule: { z: -3, dims: 'below' } }));
        expect(dimmed.some((stroke) => stroke.dash.length > 0)).toBe(false);
        expect(dimmed.filter((stroke) => stroke.alpha < 0.2).reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(6);
        expect(dimmed.filter((stroke) => stroke.alpha === 1).reduce((sum, stroke) => sum + stroke.segments, 0)).toBe(2);
    });

    it('draws what stands in the way, and names it once', () => {
        const { pen, texts } = recordingPen();
        const outline: [number, number][] = [[-30, -15], [-20, -15], [-20, -5], [-30, -5]];
        paintFigures(pen, light, view, motion, testScene({ obstacles: [{ name: 'clamp', min: [-30, -15, -14], max: [-20, -5, 5], outline }] }), [null, null]);
        expect(texts.filter((text) => text === 'clamp')).toHaveLength(1);
    });

    it('marks the ground the zero may stand on, where both its axes have one', () => {
        const { pen, texts } = recordingPen();
        paintFigures(pen, light, view, motion, testScene({ mayMove: { X: [-20, 20], Y: [-10, 10] } }), [null, null]);
        expect(texts).toContain('G54 may be set in here');
        const none = recordingPen();
        paintFigures(none.pen, light, view, motion, testScene({ mayMove: { X: [-20, 20], Y: null } }), [null, null]);
        expect(none.texts).not.toContain('G54 may be set in here');
    });

    it('draws the dragged zero in the ink of its answer', () => {
        const movable = testScene({ mayMove: { X: [-10, 10], Y: [-10, 10] } });
        for (const [moved, ink] of [[[5, 5], light.moss], [[15, 5], light.clay]] as const) {
            const { pen, strokes } = recordingPen();
            paintMovedZero(pen, light, view, movable, [moved[0], moved[1]]);
            expect(strokes.map((stroke) => stroke.ink)).toContain(ink);
        }
    });

    it('draws the path as programmed in dots, and lifts the pen between stretches', () => {
        const { pen, strokes } = recordingPen();
        const beside = {
            ...testMotion(),
            programmedX: Float32Array.from([NaN, -20, 0, NaN, 5, 6]),
            programmedY: Float32Array.from([NaN, 5, 5, NaN, 5, 6]),
            programmedZ: new Float32Array(6),
        };
        paintFigures(pen, light, view, beside, scene, [null, null]);
        const dots = strokes.filter((stroke) => (stroke.dash[0] ?? 1) < 1 && stroke.segments > 0);
        expect(dots.map((stroke) => stroke.segments)).toEqual([2, 2]);
    });

    it('names its views and the size of the stock, in each view its own', () => {
        const { pen, texts } = recordingPen();
        paintFigures(pen, light, fit(jobBounds(motion, scene), 600, 560, 'three'), motion, scene, [null, null]);
        expect(texts).toEqual(['PLAN', '60.0', '30.0', 'ELEVATION', '0.0', '−14.0', '14.0', 'END VIEW', '30.0']);
    });

    it('draws no tool before the first move, and the words of a finding once it is picked', () => {
        const { pen, texts } = recordingPen();
        paintCursor(pen, light, view, motion, scene, [], null, null);
        paintCursor(pen, light, view, motion, scene, [], { row: -1, share: 1 }, null);
        expect(texts).toEqual([]);
        paintCursor(
            pen,
            light,
            view,
            motion,
            scene,
            [{ tool: 1, work: 'G54', words: [], limits: [null, null], shift: {} }],
            { row: 2, share: 1 },
            { text: 'line 6: decimal slip', stop: true },
        );
        expect(texts).toEqual(['line 6: decimal slip']);
    });

    it('writes a length between two points as each view sees it, and the radius of an arc in the view it lies in', () => {
        const [end, begin] = snapsOf(motion, 2);
        const { pen, texts } = recordingPen();
        paintMeasure(pen, light, view, motion, scene, [begin, end].flatMap((snap) => snap ?? []));
        expect(texts).toEqual(['20.000', '20.000']);
        const radius = recordingPen();
        paintMeasure(radius.pen, light, view, motion, scene, snapsOf(motion, 3).slice(0, 1));
        expect(radius.texts).toEqual(['R10.000']);
    });
});
