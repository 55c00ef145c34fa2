import { describe, expect, it } from 'vitest';
import { secondsAt, type StateRow } from '../answer';
import { testMotion } from '../testing/motion.test.fixture';
import { played, stepped, type Pace } from './play';

const motion = testMotion();
const total = motion.endSeconds[motion.rows - 1] ?? 0;
const pace = (changes: Partial<Pace> = {}): Pace => ({ speed: 1, rapid: 1, feed: 1, rests: 'nothing', ...changes });

describe('playing a run', () => {
    it('goes on by the time that has passed, times the speed', () => {
        const { moment, ends } = played(motion, null, 0.5, pace({ speed: 2 }), []);
        expect(secondsAt(motion, moment)).toBeCloseTo(1);
        expect(ends).toBe(false);
        expect(secondsAt(motion, played(motion, moment, 0.25, pace(), []).moment)).toBeCloseTo(1.25);
    });

    it('ends at the end', () => {
        expect(played(motion, null, total, pace({ speed: 20 }), [])).toEqual({ moment: { row: motion.rows - 1, share: 1 }, ends: true });
    });

    it('rests at the next hold point and goes on from it', () => {
        const hold = { row: 1 };
        const resting = played(motion, null, total, pace({ rests: 'holds' }), [hold, { row: 2 }]);
        expect(resting).toEqual({ moment: { row: 1, share: 1 }, ends: true });
        expect(played(motion, resting.moment, total, pace({ rests: 'holds' }), [hold]).moment.row).toBe(motion.rows - 1);
    });

    it('rests at the end of each block, of the text it is in', () => {
        expect(played(motion, null, total, pace({ rests: 'blocks' }), [])).toEqual({ moment: { row: 0, share: 1 }, ends: true });
        const oneBlock = { ...motion, line: new Uint32Array([4, 4, 4, 8, 9]), text: null, textLine: null };
        expect(played(oneBlock, null, total, pace({ rests: 'blocks' }), []).moment).toEqual({ row: 2, share: 1 });
    });

    it('takes the overrides into account, each for its moves', () => {
        // The first row is a rapid of one second, the second a cut of two.
        expect(played(motion, null, 1, pace({ rapid: 0.5 }), []).moment).toEqual({ row: 0, share: 0.5 });
        expect(played(motion, { row: 0, share: 1 }, 1, pace({ feed: 2, rapid: 0.05 }), []).moment).toEqual({ row: 2, share: 0 });
    });
});

describe('stepping through a run', () => {
    const states = [{ tool: 1 }, { tool: 2 }] as unknown as StateRow[];
    const two = {
        ...motion,
        state: new Uint32Array([0, 0, 1, 1, 1]),
        kind: new Uint8Array([0, 1, 4, 1, 0]),
        line: new Uint32Array([4, 4, 6, 7, 7]),
        text: null,
        textLine: null,
    };
    it.each([
        ['move', 1, 1, 3], ['move', 3, -1, 1], ['block', 0, 1, 1], ['block', 4, -1, 2], ['tool', 0, 1, 2], ['tool', 4, -1, 2], ['hold', 0, 1, 3],
    ] as const)('by %s from row %i in direction %i comes to row %i', (stride, from, by, to) => {
        expect(stepped(two, states, { row: from, share: 1 }, by, stride, [{ row: 3 }])).toEqual({ row: to, share: 1 });
    });
    it('comes to the ends of the run where there is nothing more', () => {
        expect(stepped(two, states, { row: 3, share: 1 }, 1, 'tool', [])).toEqual({ row: 4, share: 1 });
        expect(stepped(two, states, { row: 1, share: 1 }, -1, 'hold', [])).toEqual({ row: 0, share: 0 });
    });
});
