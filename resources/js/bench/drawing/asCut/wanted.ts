import { useQuery } from '@tanstack/react-query';
import { unpack, type Columns } from '../../../shared/columns';
import { ask } from '../../../shared/server';
import type { StockOf } from '../useStock';
import type { Off } from '../stock';

interface Difference {
    by: string;
    /** How far a wall of a solid stands beside where it is wanted, where that is what differs. */
    wall: string | null;
    x: number;
    y: number;
    volume: string;
}

/** The stock at the end beside what is wanted; see the server's MeasureAnswer. */
export interface Wanted {
    sizes: { feature: string; what: string; wanted: string; got: string | null; within: boolean }[];
    tolerance: number;
    left: Difference | null;
    gouged: Difference | null;
    columns: Columns;
}

export function useWanted(of: StockOf | null): { wanted: Wanted | null; error: Error | null } {
    const { data, error } = useQuery({
        queryKey: ['as-wanted', of?.program, ...(of?.key ?? [])], enabled: of !== null, retry: false, gcTime: 10_000, structuralSharing: false,
        queryFn: async ({ signal }) => unpack<Wanted>(await (await ask('POST', `/programs/${of?.program ?? 0}/as-wanted`, of?.what, signal)).arrayBuffer()),
    });
    return { wanted: data ?? null, error };
}

/** What shows of the map: what is within tolerance as wanted, the rest as a share of the most that is off. */
export function offOf({ columns, tolerance }: Pick<Wanted, 'columns' | 'tolerance'>): Off {
    const map = columns.f32('map');
    let most = tolerance;
    for (const over of map) if (Math.abs(over) > most) most = Math.abs(over);
    return (cell) => {
        const over = map[cell] ?? NaN;
        return Math.abs(over) <= tolerance ? 0 : over / most;
    };
}
