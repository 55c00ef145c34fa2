import { describe, expect, it } from 'vitest';
import { packed } from '../shared/columns.test.fixture';
import { unpack } from '../shared/columns';
import { heightsOf, isTurnedBack, momentAt, motionOf, onPart, placeOf, rowAtLine, secondsAt, shownAt, tipAt, type BenchAnswer, type StateRow } from './answer';

/** Three rows: a rapid (line 2), an event (line 3), an arc in two chords (line 5). */
const answer = unpack<BenchAnswer>(packed({ scene: { axes: ['Z'] } }, {
    line: ['u32', new Uint32Array([2, 3, 5])],
    kind: ['u8', new Uint8Array([0, 6, 2])],
    state: ['u32', new Uint32Array([0, 0, 1])],
    endSeconds: ['f64', new Float64Array([2, 2, 6])],
    feed: ['f32', new Float32Array([0, 0, 100])],
    x: ['f32', new Float32Array([10, 10, 30])],
    y: ['f32', new Float32Array([0, 0, 0])],
    z: ['f32', new Float32Array([5, 5, 5])],
    machineZ: ['f64', new Float64Array([-245, -245, -245])],
    corners: ['u8', new Uint8Array([1, 0, 2])],
    cornerX: ['f32', new Float32Array([10, 20, 30])],
    cornerY: ['f32', new Float32Array([0, 10, 0])],
    cornerZ: ['f32', new Float32Array([5, 5, 5])],
    heightZ0: ['f32', new Float32Array([0, 0, 25])],
}));

describe('answer', () => {
    const motion = motionOf(answer);
    it('lays its corners by row', () => {
        expect([...motion.firstCorner]).toEqual([0, 1, 1, 3]);
        expect(motion.text).toBeNull();
        expect(heightsOf(answer.columns, 0).z[2]).toBe(25);
    });
    it('finds the rows of a line, or the last before it', () => {
        expect(rowAtLine(motion, 5)).toBe(2);
        expect(rowAtLine(motion, 4)).toBe(1);
        expect(rowAtLine(motion, 1)).toBe(-1);
        expect(placeOf(motion, 2)).toEqual({ text: 0, line: 5 });
    });
    it('finds the rows of a line inside a called program', () => {
        const inCall = { ...motion, isStraight: false, text: new Uint8Array([0, 1, 1]), textLine: new Uint32Array([2, 2, 4]) };
        expect(rowAtLine(inCall, 4, 1)).toBe(2);
        expect(rowAtLine(inCall, 3, 1)).toBe(1);
        expect(rowAtLine(inCall, 1, 1)).toBe(-1);
        expect(rowAtLine(inCall, 2, 2)).toBe(-1);
        expect(placeOf(inCall, 2)).toEqual({ text: 1, line: 4 });
    });
    it('turns seconds into moments and back', () => {
        const moment = momentAt(motion, 3);
        expect(moment).toEqual({ row: 2, share: 0.25 });
        expect(secondsAt(motion, moment)).toBe(3);
    });
    it('follows the drawn path within a row', () => {
        expect(tipAt(motion, { row: 2, share: 0.25 })).toEqual([15, 5, 5]);
        expect(tipAt(motion, { row: 2, share: 1 })).toEqual([30, 0, 5]);
    });
    it('shows the position by the offsets of the state', () => {
        const states = [{ shift: { Z: 0 } }, { shift: { Z: -250 } }] as unknown as StateRow[];
        expect(shownAt(motion, states, 'Z', 0)).toBe(-245);
        expect(shownAt(motion, states, 'Z', 2)).toBe(5);
        expect(shownAt(motion, states, 'B', 2)).toBeUndefined();
    });
});

describe('the run on a part that is turned', () => {
    const motion = motionOf(answer);

    it('is the run as it is where nothing turns the part', () => {
        expect(onPart(motion)).toBe(motion);
        expect(isTurnedBack(motion, 1)).toBe(false);
    });

    it('is drawn by its places on the part, and knows where the tool does not come from above', () => {
        const places = { x: Float32Array.of(1, 1, 3), y: Float32Array.of(0, 0, 0), z: Float32Array.of(-5, -5, -5) };
        const turned = {
            ...motion, onPart: { ...places, cornerX: motion.cornerX, cornerY: motion.cornerY, cornerZ: places.z, turned: Uint8Array.of(0, 0, 1) },
        };
        const laid = onPart(turned);
        expect(tipAt(laid, { row: 2, share: 1 })).toEqual([3, 0, -5]);
        expect([0, 2].map((row) => isTurnedBack(laid, row))).toEqual([false, true]);
        // As the machine makes it, it comes from above.
        expect(isTurnedBack(turned, 2)).toBe(false);
    });
});
