import { describe, expect, it } from 'vitest';
import type { StateRow } from '../answer';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { DIMMED, HIDDEN, SHOWN, everything, maskOf, type Shows } from './shows';

const [H, S, D] = [HIDDEN, SHOWN, DIMMED];
const states = [{ tool: 1 }, { tool: 2 }] as unknown as StateRow[];
const motion = { ...testMotion(), state: new Uint32Array([0, 0, 0, 1, 1]) };

describe('what is drawn', () => {
    it('is everything unless something is left out', () => {
        expect(maskOf(motion, testScene(), states, everything)).toBeNull();
    });
    it.each<[string, Partial<Shows>, number[]]>([
        ['one tool', { tool: 2 }, [H, H, H, S, S]],
        ['the lines of one operation', { lines: [5, 6] }, [H, S, S, H, H]],
        ['no rapids', { rapids: false }, [H, S, S, S, H]],
        ['no cuts', { cuts: false }, [S, H, H, H, S]],
        ['what lies above a rule dimmed', { rule: { z: 0, dims: 'above' } }, [D, S, S, S, S]],
        ['what lies below a rule dimmed', { rule: { z: -3, dims: 'below' } }, [S, S, D, D, S]],
    ])('is %s', (_, shows, mask) => {
        expect([...(maskOf(motion, testScene(), states, { ...everything, ...shows }) ?? [])]).toEqual(mask);
    });
    it('takes a feed move above the stock for air', () => {
        const above = { ...motion, z: Float32Array.from([25, 5, 5, -4, 25]) };
        expect([...(maskOf(above, testScene(), states, { ...everything, air: false }) ?? [])]).toEqual([S, H, H, S, S]);
    });
});
