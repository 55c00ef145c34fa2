import { motionOf, type Motion, type Scene, type StateRow } from './answer';
import type { OakCheck } from '../contracts/oak-check-1';
import type { Columns } from '../shared/columns';

/** One of the two texts compared: what it comes to. */
export interface Side {
    verdict: OakCheck['verdict'];
    seconds: number;
    reach: OakCheck['summary']['reach'];
    scene: Scene;
    states: StateRow[];
}

export interface ToldFinding {
    severity: 'stop' | 'caution' | 'note';
    line: number;
    text: string;
}

/** What the server says of two texts. */
export interface CompareAnswer {
    was: Side;
    is: Side;
    /** Lines of the text. */
    lines: { changed: number; added: number; removed: number };
    /** Moves. */
    counts: { new: number; gone: number; moved: number; otherFeed: number };
    /** The lines whose motion has changed, in their order. */
    changes: { line: number; row: number; change: number; by: number }[];
    newFindings: ToldFinding[];
    goneFindings: ToldFinding[];
    columns: Columns;
}

export const MOVED = 1;
export const NEW = 2;
export const GONE = 3;
export const OTHER_FEED = 4;

/** What has become of each move, and the run it was. */
export interface Difference {
    /** One value a row: 0 the same, else one of the above. */
    change: Uint8Array;
    /** 1 + the row it was, 0 for none. */
    other: Uint32Array;
    was: Motion;
    wasChange: Uint8Array;
    /** Rows before which moves have gone. */
    gaps: Uint32Array;
}

export function differenceOf(answer: CompareAnswer): { motion: Motion; difference: Difference } {
    const { columns } = answer;
    return {
        motion: motionOf({ columns, scene: answer.is.scene }),
        difference: {
            change: columns.u8('change'),
            other: columns.u32('other'),
            was: motionOf({ columns: columns.within('was.'), scene: answer.was.scene }),
            wasChange: columns.u8('was.change'),
            gaps: columns.u32('gaps'),
        },
    };
}

/** How far what is spare at the ends of each axis has changed, where it has: axis, what it was, what it is. */
export function reachChanges(was: Side['reach'], is: Side['reach']): { axis: string; side: '−' | '+'; was: number; is: number }[] {
    return Object.entries(is).flatMap(([axis, { spare }]) =>
        (['−', '+'] as const).flatMap((side, n) => {
            const before = was[axis]?.spare[n];
            const now = spare[n];
            return before != null && now != null && Math.abs(before - now) > 1e-6 ? [{ axis, side, was: before, is: now }] : [];
        }),
    );
}

