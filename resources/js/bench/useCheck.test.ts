import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { packed } from '../shared/columns.test.fixture';
import { answerTo } from './useCheck';

describe('the answer to a text', () => {
    const asked: string[] = [];
    let replies: Response[] = [];
    beforeEach(() => {
        asked.length = 0;
        vi.useFakeTimers();
        vi.stubGlobal('document', { cookie: '' });
        vi.stubGlobal('fetch', (url: string, { method, signal }: { method: string; signal: AbortSignal | null }) => {
            asked.push(`${method} ${url}`);
            if (signal?.aborted === true) return Promise.reject(new DOMException('', 'AbortError'));
            return Promise.resolve(replies.shift() ?? new Response(null, { status: 500 }));
        });
    });
    afterEach(() => vi.useRealTimers());
    const progress = (state: string, share: number, status = 200) =>
        new Response(JSON.stringify({ check: 'c1', state, share, message: 'It broke.' }), { status });
    const body = () => new Response(packed({ questions: [] }, {}));

    it('comes at once for a usual program', async () => {
        replies = [body()];
        expect((await answerTo(4, { text: 'G21' }, new AbortController().signal, () => undefined)).questions).toEqual([]);
        expect(asked).toEqual(['POST /programs/4/check']);
    });

    it('of a long one is waited for, and told how far it is', async () => {
        replies = [progress('waiting', 0, 202), progress('running', 0.5), progress('done', 1), body()];
        const told: number[] = [];
        const answer = answerTo(4, { text: 'G21' }, new AbortController().signal, ({ share }) => told.push(share));
        await vi.runAllTimersAsync();
        expect((await answer).questions).toEqual([]);
        expect(told).toEqual([0, 0.5, 1]);
        expect(asked).toEqual(['POST /programs/4/check', 'GET /long-checks/c1', 'GET /long-checks/c1', 'GET /long-checks/c1/answer']);
    });

    it('says so where the check failed or was stopped', async () => {
        replies = [progress('failed', 0, 202)];
        await expect(answerTo(4, { revision: 2 }, new AbortController().signal, () => undefined)).rejects.toThrow('It broke.');
        replies = [progress('stopped', 0, 202)];
        await expect(answerTo(4, { revision: 2 }, new AbortController().signal, () => undefined)).rejects.toThrow('stopped before its end');
    });

    it('that nobody waits for any more has its check stopped', async () => {
        replies = [progress('running', 0.1, 202)];
        const leaving = new AbortController();
        const answer = answerTo(4, { revision: 2 }, leaving.signal, () => leaving.abort()).catch((error: unknown) => error);
        await vi.runAllTimersAsync();
        expect(await answer).toBeInstanceOf(DOMException);
        expect(asked.at(-1)).toBe('DELETE /long-checks/c1');
    });
});
