import { describe, expect, it } from 'vitest';
import { testScene } from '../testing/motion.test.fixture';
import { doesNotFitAt, grasps, machineAt, planAt } from './zero';
import type { View } from './view';

const view: View = {
    width: 400, height: 400, layout: 'two', scale: 2, isOver: false, centre: [0, 0, 0],
    panes: [
        { title: 'PLAN', across: 0, up: 1, left: 0, top: 0, width: 400, height: 200 },
        { title: 'ELEVATION', across: 0, up: 2, left: 0, top: 200, width: 400, height: 200 },
    ],
};

describe('the zero in the plan', () => {
    it('is grasped near its mark, and only in the plan', () => {
        expect(grasps(view, 205, 108)).toBe(true);
        expect(grasps(view, 230, 100)).toBe(false);
        expect(grasps(view, 200, 300)).toBe(false);
    });

    it('follows the pointer on the decimals of the unit', () => {
        expect(planAt(view, testScene(), 250.3, 80)).toEqual([25.15, 10]);
        expect(planAt({ ...view, scale: 3 }, testScene(), 201, 100)).toEqual([0.333, 0]);
    });

    it('says where it would stand in the machine', () => {
        expect(machineAt(testScene(), [12.5, -0.25])).toEqual({ X: -387.5, Y: -200.25 });
    });

    it('fits inside the area, up to its edge, and nowhere where there is none', () => {
        const scene = testScene({ mayMove: { X: [-10, 20], Y: [null, 5] } });
        expect(doesNotFitAt(scene, [20, -999])).toEqual([]);
        expect(doesNotFitAt(scene, [20.001, 0])).toEqual(['X']);
        expect(doesNotFitAt(scene, [0, 5.001])).toEqual(['Y']);
        expect(doesNotFitAt(testScene({ mayMove: { X: null } }), [0, 0])).toEqual(['X']);
        expect(doesNotFitAt(testScene(), [999, 999])).toEqual([]);
    });

    it('looks at the heights too, which stay where they are', () => {
        expect(doesNotFitAt(testScene({ mayMove: { X: [-10, 20], Z: [-5, 0] } }), [1, 0])).toEqual([]);
        expect(doesNotFitAt(testScene({ mayMove: { X: [-10, 20], Z: [-9, -2] } }), [1, 0])).toEqual(['Z']);
    });
});
