import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { send } from '../shared/server';

/** One line in plain words, as the core gives it. */
export interface Explanation {
    line: number;
    text: string;
    note: string;
    words: [string, string][];
    before: [string, string][];
    after: [string, string][];
    axes: [string, string][];
}

/** What a line of a text does; asked for only while somebody wants to know. */
export function useExplanation(program: number, setupVersion: number, text: string, line: number, wanted: boolean) {
    return useQuery({
        queryKey: ['explain', program, setupVersion, text, line],
        queryFn: ({ signal }) => send<Explanation>('POST', `/programs/${program}/explain`, { text, line }, signal),
        placeholderData: keepPreviousData,
        enabled: wanted,
        gcTime: 30_000,
    });
}
