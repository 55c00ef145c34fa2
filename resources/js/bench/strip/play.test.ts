import { describe, expect, it } from 'vitest';
import { secondsAt } from '../answer';
import { testMotion } from '../testing/motion.test.fixture';
import { played } from './play';

const motion = testMotion();
const total = motion.endSeconds[motion.rows - 1] ?? 0;

describe('playing a run', () => {
    it('goes on by the time that has passed, times the speed', () => {
        const { moment, ends } = played(motion, null, 0.5, 2, []);
        expect(secondsAt(motion, moment)).toBeCloseTo(1);
        expect(ends).toBe(false);
        expect(secondsAt(motion, played(motion, moment, 0.25, 1, []).moment)).toBeCloseTo(1.25);
    });

    it('ends at the end', () => {
        expect(played(motion, null, total, 20, [])).toEqual({ moment: { row: motion.rows - 1, share: 1 }, ends: true });
    });

    it('rests at the next hold point and goes on from it', () => {
        const hold = { row: 1 };
        const resting = played(motion, null, total, 20, [hold, { row: 2 }]);
        expect(resting).toEqual({ moment: { row: 1, share: 1 }, ends: true });
        expect(played(motion, resting.moment, total, 20, [hold]).moment.row).toBe(motion.rows - 1);
    });
});
