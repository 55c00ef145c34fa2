import { useQuery } from '@tanstack/react-query';
import { send } from '../shared/server';
import type { RevisionRow } from './revision';

/** Who else is at a program, and its latest revision. */
export interface EditSession {
    others: { name: string; since: string }[];
    latest: RevisionRow;
}

/** Between two words to the server, milliseconds. */
const EVERY = 15_000;

/** Tells the server whether somebody is typing here, and is told who else is, and what has been saved. */
export function useEditSession(program: number, typing: boolean): EditSession | null {
    const query = useQuery({
        queryKey: ['editing', program, typing],
        queryFn: ({ signal }) => send<EditSession>('POST', `/programs/${program}/editing`, { typing }, signal),
        refetchInterval: EVERY, refetchIntervalInBackground: false, staleTime: 0, retry: false,
    });
    return query.data ?? null;
}
