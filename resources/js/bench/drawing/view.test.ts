import { describe, expect, it } from 'vitest';
import { fit, panned, planPoint, sidePoint, zoomed } from './view';

const bounds = { min: [-46, -31, -14] as [number, number, number], max: [46, 31, 10] as [number, number, number] };

describe('view', () => {
    const view = fit(bounds, 600, 570);
    it('shows all of the bounds, X the same way in plan and elevation', () => {
        for (const [x, y, z] of [bounds.min, bounds.max]) {
            const [px, py] = planPoint(view, x, y);
            const [ex, ez] = sidePoint(view, x, z);
            expect(px).toBe(ex);
            expect(px).toBeGreaterThan(0);
            expect(px).toBeLessThan(600);
            expect(py).toBeGreaterThan(0);
            expect(py).toBeLessThan(view.split);
            expect(ez).toBeGreaterThan(view.split);
            expect(ez).toBeLessThan(570);
        }
    });
    it('keeps the point under the pointer when it zooms', () => {
        const [px, py] = planPoint(view, 20, 10);
        const close = zoomed(view, 3, px, py);
        const [qx, qy] = planPoint(close, 20, 10);
        expect(qx).toBeCloseTo(px, 6);
        expect(qy).toBeCloseTo(py, 6);
    });
    it('pans the elevation without moving the plan in Y', () => {
        const moved = panned(view, 0, 25, false);
        expect(moved.centre[1]).toBe(view.centre[1]);
        expect(sidePoint(moved, 0, 0)[1]).toBeCloseTo(sidePoint(view, 0, 0)[1] + 25, 6);
    });
});
