import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { send } from '../shared/server';
import type { HoleStrokes } from './hole';
import { keyOf } from './textKey';

/** One line in plain words, as the core gives it. */
export interface Explanation {
    line: number;
    text: string;
    note: string;
    words: [string, string][];
    before: [string, string][];
    after: [string, string][];
    axes: [string, string][];
    /** The last hole it made with a canned cycle; null where it made none. */
    hole: HoleStrokes | null;
}

/** What a line of a text does. */
export function useExplanation(program: number, setupVersion: number, text: string, line: number) {
    return useQuery({
        queryKey: ['explain', program, setupVersion, keyOf(text), line],
        queryFn: ({ signal }) => send<Explanation>('POST', `/programs/${program}/explain`, { text, line }, signal),
        placeholderData: keepPreviousData,
    });
}
