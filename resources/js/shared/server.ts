import { tab } from './tab';

/** What the server answered instead of what was asked for. */
export class ServerError extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly fields: Record<string, string>,
        /** All that it said. */
        readonly body: unknown = null,
    ) {
        super(message);
    }
}

function token(): string {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** Sends JSON and gives back the response; throws ServerError with the server's own words. */
export async function ask(method: Method, url: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
    let response: Response;
    try {
        response = await fetch(url, {
            method,
            body: body === undefined ? null : JSON.stringify(body),
            signal: signal ?? null,
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token(), 'X-Oak-Tab': tab() },
        });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') throw error;
        throw new ServerError('The server does not answer. Unsaved changes are kept on this computer.', 0, {});
    }
    if (!response.ok) {
        const said = ((await response.json().catch(() => null)) ?? {}) as {
            message?: string; fields?: Record<string, string>; errors?: Record<string, string[]>;
        };
        const first = Object.fromEntries(Object.entries(said.errors ?? {}).map(([field, words]) => [field, words[0] ?? '']));
        const message =
            response.status === 401 || response.status === 419
                ? 'You have been signed out. Sign in again in another window; unsaved changes are kept.'
                : said.message;
        throw new ServerError(message ?? `The server answered ${response.status}.`, response.status, said.fields ?? first, said);
    }
    return response;
}

/** Sends JSON and gives back JSON; throws ServerError with the server's own words. */
export async function send<Answer>(method: Method, url: string, body?: unknown, signal?: AbortSignal): Promise<Answer> {
    const response = await ask(method, url, body, signal);
    return (await response.json().catch(() => null)) as Answer;
}
