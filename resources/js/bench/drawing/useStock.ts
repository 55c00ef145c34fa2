import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { unpack } from '../../shared/columns';
import { ask } from '../../shared/server';
import type { RunCursor } from '../runCursor';
import type { TurnedStretch } from '../answer';
import { standAt, standsOf, type Standing, type Stands, type StockAnswer, type StockStands } from './stock';

/** Whose stock: the program, and what is in its listing. `key` says when it is another. */
export interface StockOf {
    program: number;
    key: readonly (string | number)[];
    what: { text: string } | { revision: number };
}

/** The run has to rest so long, in milliseconds, before the stock just there is asked for. */
const REST = 180;

/** How the stock is told by the server. */
type Read<Told> = (response: Response) => Promise<Told>;

const ofMill: Read<StockStands> = async (response) => standsOf(unpack<StockAnswer>(await response.arrayBuffer()));

const ofLathe: Read<Stands<TurnedStretch[]>> = async (response) => (await response.json()) as Stands<TurnedStretch[]>;

interface StockHere<Stand, Told> {
    stands: Told | null;
    at: (row: number) => Stand | null;
    /** The row the stock is exact at; -1 where it is that of a moment before. */
    settled: number;
    error: Error | null;
}

/** The stock of a mill at the moment of the run. */
export function useStock(of: StockOf | null, run: RunCursor): StockHere<Standing[], StockStands> {
    return useStands(of, run, ofMill);
}

/** The stock of a lathe at the moment of the run. */
export function useTurnedStock(of: StockOf | null, run: RunCursor): StockHere<TurnedStretch[], Stands<TurnedStretch[]>> {
    return useStands(of, run, ofLathe);
}

/**
 * The stock at the moment of the run: while the run is moved about that of the last moment kept before it, and where it rests
 * the stock just there.
 */
function useStands<Stand, Told extends Stands<Stand>>(of: StockOf | null, run: RunCursor, read: Read<Told>): StockHere<Stand, Told> {
    const fetched = async (row: number | null, signal: AbortSignal): Promise<Told> =>
        read(await ask('POST', `/programs/${of?.program ?? 0}/stock`, { ...of?.what, row }, signal));
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
        queryFn: ({ signal }) => fetched(null, signal),
    });
    const here = useQuery({
        queryKey: ['stock', of?.program, ...(of?.key ?? []), settled], enabled: of !== null && settled >= 0 && moments.data !== undefined,
        gcTime: 10_000, structuralSharing: false, retry: false,
        queryFn: ({ signal }) => fetched(settled, signal),
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
