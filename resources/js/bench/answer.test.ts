import { describe, expect, it } from 'vitest';
import { decode, momentAt, rowAtLine, secondsAt, tipAt, type BenchAnswer } from './answer';

const column = (array: ArrayBufferView) => btoa(String.fromCharCode(...new Uint8Array(array.buffer)));

/** Three rows: a rapid (line 2), an event (line 3), an arc in two chords (line 5). */
const answer = {
    scene: { axes: ['Z'] },
    columns: {
        line: column(new Uint32Array([2, 3, 5])),
        kind: column(new Uint8Array([0, 6, 2])),
        state: column(new Uint32Array([0, 0, 0])),
        endSeconds: column(new Float64Array([2, 2, 6])),
        feed: column(new Float64Array([0, 0, 100])),
        x: column(new Float64Array([10, 10, 30])),
        y: column(new Float64Array([0, 0, 0])),
        z: column(new Float64Array([5, 5, 5])),
        shownZ: column(new Float64Array([5, 5, 5])),
        machineZ: column(new Float64Array([5, 5, 5])),
        cornerRow: column(new Uint32Array([0, 2, 2])),
        cornerX: column(new Float32Array([10, 20, 30])),
        cornerY: column(new Float32Array([0, 10, 0])),
        cornerZ: column(new Float32Array([5, 5, 5])),
    },
} as unknown as BenchAnswer;

describe('answer', () => {
    const motion = decode(answer);
    it('finds the rows of a line, or the last before it', () => {
        expect(rowAtLine(motion, 5)).toBe(2);
        expect(rowAtLine(motion, 4)).toBe(1);
        expect(rowAtLine(motion, 1)).toBe(-1);
    });
    it('finds the rows of a line inside a called program', () => {
        const inCall = { ...motion, text: new Uint8Array([0, 1, 1]), textLine: new Uint32Array([2, 2, 4]) };
        expect(rowAtLine(inCall, 4, 1)).toBe(2);
        expect(rowAtLine(inCall, 3, 1)).toBe(1);
        expect(rowAtLine(inCall, 1, 1)).toBe(-1);
        expect(rowAtLine(inCall, 2, 2)).toBe(-1);
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
});
