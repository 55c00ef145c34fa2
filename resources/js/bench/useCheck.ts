import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { unpack } from '../shared/columns';
import { ServerError, ask, send } from '../shared/server';
import { keyOf } from './textKey';
import { motionOf, type BenchAnswer, type Motion } from './answer';

/** Long enough to let a number be typed to its end, short enough to answer while typing; a long text waits for a real pause. */
const PAUSE = 120;
const LONG_PAUSE = 900;
/** Letters from which a text is long. */
const LONG = 200_000;

/** Milliseconds without a change after which the whole cut is worked out, where it was too long to wait for. */
const GO_ON = 6000;

/** Between two looks at how far a long check is. */
const LOOK_AGAIN = 250;

export interface Checked {
    text: string;
    /** When it was answered: what goes with it is asked for anew with the next answer. */
    asOf: number;
    answer: BenchAnswer;
    motion: Motion;
}

/** How far the check of a long program is. */
export interface Progress {
    check: string;
    state: 'waiting' | 'running' | 'done' | 'failed' | 'stopped';
    share: number;
    message: string;
}

/**
 * The answer to a text, or to a revision, which need not be sent. That of a long one is waited for: `told` hears how far
 * it is, and whoever does not want it any more has it stopped.
 */
export async function answerTo(
    program: number, what: ({ text: string } | { revision: number }) & { wholeStock?: true }, signal: AbortSignal, told: (progress: Progress) => void,
): Promise<BenchAnswer> {
    const response = await ask('POST', `/programs/${program}/check`, what, signal);
    if (response.status !== 202) return unpack<BenchAnswer>(await response.arrayBuffer());
    let progress = (await response.json()) as Progress;
    const path = `/long-checks/${progress.check}`;
    try {
        for (;;) {
            told(progress);
            if (progress.state === 'done') return unpack<BenchAnswer>(await (await ask('GET', `${path}/answer`, undefined, signal)).arrayBuffer());
            if (progress.state === 'failed') throw new ServerError(progress.message, 500, {});
            if (progress.state === 'stopped') throw new ServerError('The check was stopped before its end. Change the text, or ask for it again.', 409, {});
            await new Promise((later) => setTimeout(later, LOOK_AGAIN));
            progress = await send<Progress>('GET', path, undefined, signal);
        }
    } catch (error) {
        if (signal.aborted) void send('DELETE', path).catch(() => undefined);
        throw error;
    }
}

export interface Check {
    checked: Checked | null;
    /** Whether the answer is that of the text as it is. */
    current: boolean;
    error: Error | null;
    /** Share done of a long check that is under way, 0 to 1; null where none is. */
    share: number | null;
    /** Why it has not begun, where it has not. */
    waits: string;
    stop: () => void;
    again: () => void;
    /** Has all of the text taken out of the stock, however long it takes. */
    whole: () => void;
    /** Whether that has been asked for of this text. */
    isWhole: boolean;
}

/**
 * The check of a text in the units the person has set, asked for again shortly after every change; the last answer stands until the next
 * one comes. `written` is a text nobody is typing at: that of an operation sheet.
 */
export function useCheck(
    program: number, setupVersion: number, text: string, saved: { text: string; revision: number }, units: string, written: string | null = null,
): Check {
    const [asked, setAsked] = useState(text);
    const [progress, setProgress] = useState<Progress | null>(null);
    const under = useRef<Progress | null>(null);
    const [wholeOf, setWholeOf] = useState<string | null>(null);
    const isWhole = wholeOf === asked;
    useEffect(() => {
        const timer = setTimeout(() => setAsked(text), text === written ? 0 : text.length > LONG ? LONG_PAUSE : PAUSE);
        return () => clearTimeout(timer);
    }, [text, written]);
    const query = useQuery({
        queryKey: ['check', program, setupVersion, units, keyOf(asked), isWhole],
        queryFn: async ({ signal }) => {
            try {
                const answer = await answerTo(program,
                { ...(asked === saved.text ? { revision: saved.revision } : { text: asked }), ...(isWhole ? { wholeStock: true as const } : {}) },
                signal, (
                    told,
                ) => {
                    under.current = told;
                    setProgress(told);
                });
                return { text: asked, asOf: Date.now(), answer, motion: motionOf(answer) };
            } finally {
                under.current = null;
                setProgress(null);
            }
        },
        // What has been taken apart is compared with nothing, and a stopped check is not begun again by itself.
        structuralSharing: false,
        // One that waits for its turn among this person's own asks again.
        retry: (count, error) =>
            error instanceof ServerError && error.status === 429 ? count < 60 : count < 1 && !(error instanceof ServerError && error.status >= 400),
        retryDelay: 1000,
        placeholderData: keepPreviousData,
    });
    const checked = useMemo((): Checked | null => query.data ?? null, [query.data]);
    // What takes too long while somebody types is worked out by the queue once they have stopped.
    const gaveUp = !isWhole && checked?.text === asked && text === asked && checked.answer.result.summary.stock?.tooLong === true;
    useEffect(() => {
        if (!gaveUp) return undefined;
        const timer = setTimeout(() => setWholeOf(asked), GO_ON);
        return () => clearTimeout(timer);
    }, [gaveUp, asked]);
    const stop = useCallback(() => {
        if (under.current !== null) void send('DELETE', `/long-checks/${under.current.check}`);
    }, []);
    const { refetch } = query;
    return {
        checked,
        current: checked?.text === text && !query.isPlaceholderData,
        error: query.error,
        share: progress?.share ?? null,
        waits: progress?.state === 'waiting' ? progress.message : '',
        stop,
        again: useCallback(() => void refetch(), [refetch]),
        whole: useCallback(() => setWholeOf(asked), [asked]),
        isWhole,
    };
}
