import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { afterPause } from './pause';

describe('after a pause', () => {
    beforeEach(() => { vi.useFakeTimers(); });
    afterEach(() => { vi.useRealTimers(); });

    it('calls once, with what was given last', () => {
        const call = vi.fn();
        const ask = afterPause(call, 400);
        for (const given of ['a', 'ab', 'abc']) {
            ask(given);
            vi.advanceTimersByTime(300);
        }
        expect(call).not.toHaveBeenCalled();
        vi.advanceTimersByTime(100);
        expect(call.mock.calls).toEqual([['abc']]);
    });

    it('does not wait where it is told not to, and calls nothing twice', () => {
        const call = vi.fn();
        const ask = afterPause(call, 400);
        ask.flush();
        ask('a');
        expect(ask.isWaiting()).toBe(true);
        ask.flush();
        expect(ask.isWaiting()).toBe(false);
        vi.advanceTimersByTime(1000);
        expect(call.mock.calls).toEqual([['a']]);
    });
});
