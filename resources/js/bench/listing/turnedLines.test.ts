import { describe, expect, it } from 'vitest';
import type { TurnedScene } from '../answer';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { turnedLines } from './turnedLines';

const turned = { chuck: [[-80, -50, 20, 60]] } as unknown as TurnedScene;

describe('what a lathe shows beside Z', () => {
    it('is the diameter and the speed where each line ends, by the text it stands in', () => {
        const motion = { ...testMotion(), rpm: Float32Array.from([0, 800, 900, 1000, 1100]) };
        const own = turnedLines(motion, testScene({ turned }), 0, 10);
        expect(own?.jaws).toBe(-50);
        expect([4, 5, 8].map((line) => [own?.diameter[line], own?.rpm[line]])).toEqual([[-40, 0], [-40, 800], [40, 1100]]);
        expect(own?.diameter[6]).toBeNaN();
        const called = turnedLines(motion, testScene({ turned }), 1, 4);
        expect([2, 3].map((line) => [called?.diameter[line], called?.rpm[line]])).toEqual([[0, 900], [40, 1000]]);
    });

    it('is nothing on a mill', () => {
        expect(turnedLines(testMotion(), testScene(), 0, 10)).toBeNull();
    });
});
