import { describe, expect, it } from 'vitest';
import { verdictWords } from './Verdict';

describe('verdictWords', () => {
    it('says what stands against a program, and how much', () => {
        expect(verdictWords({ verdict: 'stop', stops: 2, cautions: 1, notes: 4 })).toBe('Stop — 2 errors, 1 caution, 4 notes');
        expect(verdictWords({ verdict: 'stop', stops: 1, cautions: 0, notes: 0 })).toBe('Stop — 1 error');
        expect(verdictWords({ verdict: 'caution', stops: 0, cautions: 3, notes: 0 })).toBe('Caution — 3 cautions');
    });
    it('never says more of a clear program than that nothing was found', () => {
        expect(verdictWords({ verdict: 'clear', stops: 0, cautions: 0, notes: 0 })).toBe('Clear — nothing found; prove it out');
        expect(verdictWords({ verdict: 'clear', stops: 0, cautions: 0, notes: 1 })).toBe('Clear — 1 note; prove it out');
        expect(verdictWords({ verdict: 'clear', stops: 0, cautions: 0, notes: 2 })).toBe('Clear — 2 notes; prove it out');
        expect(verdictWords({ verdict: null, stops: 0, cautions: 0, notes: 0 })).toBe('Not checked yet');
    });
});
