import { describe, expect, it } from 'vitest';
import { byConsequence, type OffsetMistake } from './OffsetMistakes';

describe('what an offset mistake leads to', () => {
    it('puts what breaks something apart from what the control stops', () => {
        const of = (meets: OffsetMistake['meets']) => ({ meets }) as OffsetMistake;
        const { crashes, alarms, harmless } = byConsequence(
            ['limit', 'stock', 'nothing', 'below-stock', 'obstacle', 'too-deep', 'limit'].map((meets) => of(meets as OffsetMistake['meets'])),
        );
        expect(crashes.map(({ meets }) => meets)).toEqual(['stock', 'below-stock', 'obstacle', 'too-deep']);
        expect([alarms.length, harmless.length]).toEqual([2, 1]);
    });
});
