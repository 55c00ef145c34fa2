import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ServerError, send } from './server';

const answer = (status: number, body: unknown) => vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status })));

async function refusal(): Promise<ServerError> {
    try {
        await send('PUT', '/setups/1', { a: 1 });
    } catch (error) {
        if (error instanceof ServerError) return error;
        throw error;
    }
    throw new Error('The server took it.');
}

describe('send', () => {
    beforeEach(() => vi.stubGlobal('document', { cookie: 'a=b; XSRF-TOKEN=x%3Dy' }));
    afterEach(() => vi.unstubAllGlobals());

    it('sends JSON with the token, and gives back what is answered', async () => {
        const fetch = answer(200, { version: 2 });
        vi.stubGlobal('fetch', fetch);
        expect(await send('PUT', '/setups/1', { a: 1 })).toEqual({ version: 2 });
        const [url, options] = fetch.mock.calls[0] as unknown as [string, RequestInit];
        expect(url).toBe('/setups/1');
        expect(options.body).toBe('{"a":1}');
        expect(options.headers).toMatchObject({ 'X-XSRF-TOKEN': 'x=y', Accept: 'application/json' });
    });

    it('passes on the words and the fields of a refusal', async () => {
        vi.stubGlobal('fetch', answer(422, { message: 'Not stored.', fields: { clearance: 'Must be 0 or more.' } }));
        const error = await refusal();
        expect(error.message).toBe('Not stored.');
        expect(error.fields.clearance).toBe('Must be 0 or more.');
        expect(error.status).toBe(422);
    });

    it.each([401, 419])('says what to do when signed out (%i)', async (status) => {
        vi.stubGlobal('fetch', answer(status, { message: 'Unauthenticated.' }));
        expect((await refusal()).message).toContain('Sign in again');
    });

    it('says that typing is kept when nothing answers', async () => {
        vi.stubGlobal('fetch', vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))));
        expect((await refusal()).message).toContain('kept on this computer');
    });

    it('has words even where the answer is none', async () => {
        vi.stubGlobal('fetch', vi.fn(() => Promise.resolve(new Response('<html>', { status: 502 }))));
        expect((await refusal()).message).toBe('The server answered 502.');
    });
});
