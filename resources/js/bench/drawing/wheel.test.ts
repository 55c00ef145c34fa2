import { describe, expect, it } from 'vitest';
import { wheelOf } from './wheel';

const turn = (event: Partial<WheelEvent>) =>
    wheelOf({ deltaX: 0, deltaY: 0, deltaMode: 0, ctrlKey: false, metaKey: false, shiftKey: false, ...event } as WheelEvent);

describe('the wheel', () => {
    it('zooms in on a notch up and out on one down, in pixels or in lines', () => {
        for (const event of [{ deltaY: -120 }, { deltaY: -6, deltaMode: 1 }]) expect(turn(event)).toEqual({ zoom: expect.closeTo(1.197, 3) });
        expect((turn({ deltaY: 120 }) as { zoom: number }).zoom).toBeLessThan(1);
    });

    it('pans across with Shift, however the browser tells it', () => {
        expect(turn({ deltaY: 120, shiftKey: true })).toEqual({ pan: [-120, 0] });
        expect(turn({ deltaX: 120, shiftKey: true })).toEqual({ pan: [-120, 0] });
    });

    it('pans with two fingers and zooms with a pinch', () => {
        expect(turn({ deltaX: 4, deltaY: -7 })).toEqual({ pan: [-4, 7] });
        expect(turn({ deltaY: 9 })).toEqual({ pan: [expect.closeTo(0), -9] });
        expect((turn({ deltaY: -6, ctrlKey: true }) as { zoom: number }).zoom).toBeCloseTo(Math.exp(0.06), 6);
    });
});
