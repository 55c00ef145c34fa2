import { describe, expect, it } from 'vitest';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { arcOf, factsBetween, factsOf, lengthOf, nameOf, snapAt, snapsOf, type Snap } from './measure';
import { fit, jobBounds, placeIn, type Pane } from './view';

const motion = testMotion();
const scene = testScene();
const view = fit(jobBounds(motion, scene), 600, 560);
const plan = view.panes[0] as Pane;
const near = (x: number, y: number, mask: Uint8Array | null = null): Snap | null => snapAt(motion, view, ...placeIn(view, plan, x, y), mask);

describe('points to measure from', () => {
    it('are the ends, the middle and the centre of a move', () => {
        expect(Object.fromEntries(snapsOf(motion, 2).map(({ what, at }) => [what, at]))).toEqual({
            begin: [-20, 0, -4],
            end: [0, 0, -4],
            middle: [-10, 0, -4],
        });
        expect(Object.fromEntries(snapsOf(motion, 3).map(({ what, at }) => [what, at]))).toEqual({
            begin: [0, 0, -4],
            end: [20, 0, -4],
            middle: [10, 10, -4],
            centre: [10, 0, -4],
        });
        expect(snapsOf(motion, 0).map(({ what }) => what)).toEqual(['end']);
        expect(arcOf(motion, 3)).toBe(0);
        expect(arcOf(motion, 2)).toBe(-1);
    });
    it('are taken hold of from near, a centre too though no move runs there', () => {
        expect(near(-9, 0.2)).toMatchObject({ row: 2, what: 'middle' });
        expect(near(19.5, 0.3)?.at).toEqual([20, 0, -4]);
        expect(near(10, 0.3)).toMatchObject({ row: 3, what: 'centre' });
        expect(near(-28, 13)).toBeNull();
        expect(near(10, 0.3, new Uint8Array([1, 1, 1, 0, 1]))).toBeNull();
    });
});

describe('what is measured', () => {
    const of = (facts: [string, string][]) => Object.fromEntries(facts);
    it('of a move is its length, depth, and the radius and sweep of an arc', () => {
        // Half a circle of radius 10.
        expect(lengthOf(motion, 3)).toBeCloseTo(10 * Math.PI, 6);
        expect(of(factsOf(motion, scene, 3))).toMatchObject({
            Length: '31.416 mm',
            Radius: '10.000 mm',
            Sweep: '180.000° clockwise',
            'Depth below the top of the stock': '4.000 mm',
        });
        expect(of(factsOf(motion, scene, 2))).toEqual({ Length: '20.000 mm', 'Depth below the top of the stock': '4.000 mm' });
    });
    it('of a helix counts its rise', () => {
        const helix = { ...motion, cornerZ: Float32Array.from([25, -4, -4, -6, -8, 25]) };
        expect(lengthOf(helix, 3)).toBeCloseTo(Math.hypot(10 * Math.PI, 4), 6);
    });
    it('between two points is along the axes, straight, at an angle, and along the moves', () => {
        const [, begin] = snapsOf(motion, 2);
        const [end] = snapsOf(motion, 3);
        if (begin === undefined || end === undefined) throw new Error('The fixture has lost its moves.');
        expect(of(factsBetween(motion, scene, { ...begin, row: 1 }, end))).toMatchObject({
            ΔX: '40.000 mm',
            ΔY: '0.000 mm',
            Straight: '40.000 mm',
            'Angle in the plan': '0.000°',
            'Along the path': `${(20 + 10 * Math.PI).toFixed(3)} mm`,
        });
        expect(nameOf(motion, begin)).toBe('start of the move of line 2');
    });
});
