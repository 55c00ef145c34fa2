import { describe, expect, it } from 'vitest';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { around, fit, jobBounds, laidOut, paneAt, panned, pick, placeIn, travelBounds, zoomed, type Pane, type View } from './view';

const bounds = { min: [-46, -31, -14] as [number, number, number], max: [46, 31, 10] as [number, number, number] };
const paneOf = (view: View, title: Pane['title']): Pane => view.panes.find((pane) => pane.title === title) ?? (() => { throw new Error(title); })();

describe('view', () => {
    it.each([['two', 2], ['three', 3], ['half-section', 1]] as const)('shows all of the bounds in every view: %s', (layout, count) => {
        const view = fit(bounds, 600, 570, layout);
        expect(view.panes).toHaveLength(count);
        for (const at of [bounds.min, bounds.max]) {
            for (const pane of view.panes) {
                const [x, y] = placeIn(view, pane, at[pane.across], at[pane.up]);
                expect(paneAt(view, x, y)?.title).toBe(pane.title);
            }
        }
    });
    it('lays the views as on a drawing: X the same in plan and elevation, Z the same in elevation and end view', () => {
        const view = fit(bounds, 600, 570, 'three');
        const [plan, elevation, end] = [paneOf(view, 'PLAN'), paneOf(view, 'ELEVATION'), paneOf(view, 'END VIEW')];
        expect(placeIn(view, plan, 20, 5)[0]).toBe(placeIn(view, elevation, 20, 5)[0]);
        expect(placeIn(view, elevation, 20, 5)[1]).toBe(placeIn(view, end, 3, 5)[1]);
        // Seen from the right, the back of the part is on the right.
        expect(placeIn(view, end, 30, 0)[0]).toBeGreaterThan(placeIn(view, end, -30, 0)[0]);
    });
    it('has X plus below the axis where it stands upside down', () => {
        const view = fit(bounds, 600, 570, 'half-section', true);
        const section = paneOf(view, 'HALF SECTION');
        expect(placeIn(view, section, 0, 10)[1]).toBeGreaterThan(placeIn(view, section, 0, 0)[1]);
    });
    it('still shows the job on a sheet that has become small', () => {
        const view = fit(bounds, 300, 130, 'three');
        expect(view.scale * 62).toBeGreaterThan(10);
        expect(fit(bounds, 0, 0).scale).toBeGreaterThan(0);
    });
    it.each([false, true])('keeps the point under the pointer when it zooms, and what is dragged under it: upside down %s', (isOver) => {
        const view = fit(bounds, 600, 570, 'three', isOver);
        const [front] = view.panes;
        if (front === undefined) throw new Error('no pane');
        const [atX, atY] = placeIn(view, front, 4, 3);
        const dragged = placeIn(panned(view, 7, 11, front), front, 4, 3);
        expect([dragged[0] - atX, dragged[1] - atY].map((by) => Math.round(by * 1e6) / 1e6)).toEqual([7, 11]);
        for (const pane of view.panes) {
            const [x, y] = placeIn(view, pane, 4, 3);
            const close = zoomed(view, 3, x, y);
            expect(placeIn(close, pane, 4, 3)[0]).toBeCloseTo(x, 6);
            expect(placeIn(close, pane, 4, 3)[1]).toBeCloseTo(y, 6);
        }
    });
    it('pans the elevation without moving the plan in Y', () => {
        const view = fit(bounds, 600, 570);
        const elevation = paneOf(view, 'ELEVATION');
        const moved = panned(view, 0, 25, elevation);
        expect(moved.centre[1]).toBe(view.centre[1]);
        expect(placeIn(moved, elevation, 0, 0)[1]).toBeCloseTo(placeIn(view, elevation, 0, 0)[1] + 25, 6);
    });
    it('keeps what is looked at on a sheet of another size', () => {
        const view = zoomed(fit(bounds, 600, 570), 4, 100, 100);
        const wide = laidOut(view, 900, 500, 'three');
        expect([wide.scale, wide.centre]).toEqual([view.scale, view.centre]);
        expect(wide.panes.map((pane) => pane.title)).toEqual(['PLAN', 'ELEVATION', 'END VIEW']);
        expect(laidOut(view, 600, 570, 'two')).toBe(view);
    });
});

describe('picking and fitting', () => {
    const motion = testMotion();
    const scene = testScene();
    const view = fit(jobBounds(motion, scene), 600, 560, 'three');
    const at = (title: Pane['title'], across: number, up: number) => placeIn(view, paneOf(view, title), across, up);

    it('finds the move under the pointer in every view', () => {
        expect(pick(motion, view, ...at('PLAN', -10, 0))).toBe(2);
        expect(pick(motion, view, ...at('PLAN', 15, 5))).toBe(3);
        expect(pick(motion, view, ...at('ELEVATION', -20, -2))).toBe(1);
        expect(pick(motion, view, ...at('END VIEW', 5, -4))).toBe(3);
        expect(pick(motion, view, ...at('PLAN', -28, 13))).toBe(-1);
    });
    it('does not find what is not shown', () => {
        expect(pick(motion, view, ...at('PLAN', 15, 5), new Uint8Array([1, 1, 1, 0, 1]))).toBe(-1);
        expect(pick(motion, view, ...at('PLAN', 15, 5), new Uint8Array([1, 1, 1, 2, 1]))).toBe(-1);
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
        const nothing = { ...testMotion(), rows: 0, firstCorner: new Uint32Array(1) };
        const empty = jobBounds(nothing, testScene({ stock: null }));
        expect(empty.max[0]).toBeGreaterThan(empty.min[0]);
    });
});

it('takes in everything that is clamped', () => {
    const boxes = [
        { min: [0, 0, -5] as [number, number, number], max: [10, 5, 0] as [number, number, number] },
        { min: [50, -3, -9] as [number, number, number], max: [60, 2, -4] as [number, number, number] },
    ];
    expect(around(boxes)).toEqual({ min: [0, -3, -9], max: [60, 5, 0] });
    const motion = { ...testMotion(), rows: 0 };
    expect(jobBounds(motion, { ...testScene(), stock: boxes[0] ?? null, moreStock: boxes.slice(1) }).min).toEqual([0, -3, -9]);
});
