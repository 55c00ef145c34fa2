import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { unpack } from '../../shared/columns';
import { ask } from '../../shared/server';
import type { RunCursor } from '../runCursor';
import { standAt, standsOf, type Standing, type StockAnswer, type StockStands } from './stock';

/** Whose stock: the program, and what is in its listing. `key` says when it is another. */
export interface StockOf {
    program: number;
    key: readonly (string | number)[];
    what: { text: string } | { revision: number };
}

/** The run has to rest so long, in milliseconds, before the stock just there is asked for. */
const REST = 180;

async function fetched(of: StockOf, row: number | null, signal: AbortSignal): Promise<StockStands> {
    const response = await ask('POST', `/programs/${of.program}/stock`, { ...of.what, row }, signal);
    return standsOf(unpack<StockAnswer>(await response.arrayBuffer()));
}

/**
 * The stock at the moment of the run: while the run is moved about that of the last moment kept before it, and where it rests
 * the stock just there.
 */
export function useStock(
    of: StockOf | null, run: RunCursor,
): { stands: StockStands | null; at: (row: number) => Standing[] | null; settled: number; error: Error | null } {
    const [settled, setSettled] = useState(-1);
    useEffect(() => {
        if (of === null) return;
        let timer = 0;
        const wait = () => {
            window.clearTimeout(timer);
            timer = window.setTimeout(() => setSettled(run.moment?.row ?? -1), REST);
        };
        wait();
        const leave = run.subscribe(wait);
        return () => {
            window.clearTimeout(timer);
            leave();
        };
    }, [of, run]);
    const moments = useQuery({
        queryKey: ['stock', of?.program, ...(of?.key ?? [])], enabled: of !== null, gcTime: 30_000, structuralSharing: false, retry: false,
        queryFn: ({ signal }) => fetched(of as StockOf, null, signal),
    });
    const here = useQuery({
        queryKey: ['stock', of?.program, ...(of?.key ?? []), settled], enabled: of !== null && settled >= 0 && moments.data !== undefined,
        gcTime: 10_000, structuralSharing: false, retry: false,
        queryFn: ({ signal }) => fetched(of as StockOf, settled, signal),
    });
    const stands = moments.data ?? null;
    const exact = here.data;
    return {
        stands,
        at: (row) => (stands === null ? null : standAt(exact !== undefined && row === settled ? exact : stands, row)),
        settled: exact === undefined ? -1 : settled,
        error: moments.error,
    };
}
