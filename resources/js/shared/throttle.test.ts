import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { throttle } from './throttle';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

it('calls at once, then at most once in a while, and in the end with what was given last', () => {
    const called: number[] = [];
    const follow = throttle((n: number) => called.push(n), 100);
    follow(1);
    follow(2);
    follow(3);
    expect(called).toEqual([1]);
    vi.advanceTimersByTime(100);
    expect(called).toEqual([1, 3]);
    vi.advanceTimersByTime(500);
    expect(called).toEqual([1, 3]);
    follow(4);
    expect(called).toEqual([1, 3, 4]);
});
