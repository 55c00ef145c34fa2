import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { send } from '../shared/server';
import { decode, type BenchAnswer, type Motion } from './answer';

/** Long enough to let a number be typed to its end, short enough to answer while typing. */
const PAUSE = 120;

export interface Checked {
    text: string;
    answer: BenchAnswer;
    motion: Motion;
}

/**
 * The check of a text, asked for again shortly after every change; the last answer stands until the next one comes.
 * `current` says whether the answer is that of the text as it is.
 */
export function useCheck(program: number, setupVersion: number, text: string): { checked: Checked | null; current: boolean; error: Error | null } {
    const [asked, setAsked] = useState(text);
    useEffect(() => {
        const timer = setTimeout(() => setAsked(text), PAUSE);
        return () => clearTimeout(timer);
    }, [text]);
    const query = useQuery({
        queryKey: ['check', program, setupVersion, asked],
        queryFn: async ({ signal }) => ({ text: asked, answer: await send<BenchAnswer>('POST', `/programs/${program}/check`, { text: asked }, signal) }),
        placeholderData: keepPreviousData,
        gcTime: 60_000,
    });
    const checked = useMemo(() => (query.data === undefined ? null : { ...query.data, motion: decode(query.data.answer) }), [query.data]);
    return { checked, current: checked?.text === text, error: query.error };
}
