import { describe, expect, it } from 'vitest';
import { light } from '../../theme/inks';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { Raster, dotOf, rasterMoves } from './raster';
import { fit, jobBounds, placeIn, type Pane } from './view';

const inked = (raster: Raster) => raster.dots.filter((dot) => dot !== 0).length;

describe('drawing in dots', () => {
    it('reads a colour as a picture holds it', () => {
        expect(dotOf('#010203').toString(16)).toBe('ff030201');
        expect(dotOf('rgb(1 2 3)').toString(16)).toBe('ff030201');
        expect(dotOf('#ffffff', 0.5) >>> 24).toBe(128);
    });

    it('draws a piece from end to end, dashed where wanted', () => {
        const raster = new Raster(20, 5);
        raster.line(2, 2, 17, 2, 7, 1, false);
        expect([...raster.dots.subarray(40, 60)]).toEqual(Array.from({ length: 20 }, (_, x) => (x >= 2 && x <= 17 ? 7 : 0)));
        const dashed = new Raster(40, 1);
        dashed.line(0, 0, 39, 0, 7, 1, true);
        expect(inked(dashed)).toBe(6 + 6 + 6 + 6);
    });

    it('cuts a piece off at the edges and leaves out what passes by, however long', () => {
        const raster = new Raster(10, 10);
        raster.line(-1e9, 5, 1e9, 5, 7, 1, false);
        expect(inked(raster)).toBe(10);
        const beside = new Raster(10, 10);
        beside.line(-50, 20, 60, 20, 7, 2, false);
        beside.line(-5, 8, 2, 15, 7, 2, false);
        expect(inked(beside)).toBe(0);
    });

    it('draws the moves where the pen would', () => {
        const [motion, scene] = [testMotion(), testScene()];
        const view = fit(jobBounds(motion, scene), 300, 280);
        const plan = view.panes[0] as Pane;
        const raster = new Raster(plan.width, plan.height);
        const steps = [...rasterMoves(raster, light, view, plan, 1, motion, scene, null)];
        expect(steps).toHaveLength(0);
        for (const [x, y] of [[-10, 0], [5, 5]] as const) {
            const [atX, atY] = placeIn(view, plan, x, y);
            expect(raster.dots[Math.floor(atY) * raster.width + Math.floor(atX)]).not.toBe(0);
        }
        const empty = new Raster(plan.width, plan.height);
        expect([...rasterMoves(empty, light, view, plan, 1, motion, scene, new Uint8Array(5))]).toEqual([]);
        expect(inked(empty)).toBe(0);
    });

    it('looks up between stretches of a long run', () => {
        const rows = 65_000;
        const motion = {
            ...testMotion(),
            rows,
            kind: new Uint8Array(rows).fill(1),
            firstCorner: Uint32Array.from({ length: rows + 1 }, (_, i) => i),
            cornerX: new Float32Array(rows),
            cornerY: new Float32Array(rows),
            cornerZ: new Float32Array(rows),
        };
        const view = fit(jobBounds(motion, testScene()), 300, 280);
        expect([...rasterMoves(new Raster(300, 200), light, view, view.panes[0] as Pane, 1, motion, testScene(), null)]).toHaveLength(6);
    });
});
