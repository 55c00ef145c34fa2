import { ARC, RAPID, placeOf, type Moment, type Motion, type StateRow } from '../answer';

export const SPEEDS = [1, 5, 20, 100, 200] as const;
export const RAPID_OVERRIDES = [1, 0.5, 0.25, 0.05] as const;
export const FEED_OVERRIDES = [1.5, 1.2, 1, 0.8, 0.5, 0.2] as const;

/** How the run is played. */
export interface Pace {
    /** So many times as fast as the machine. */
    speed: number;
    /** Overrides, 1 for the rate as programmed. */
    rapid: number;
    feed: number;
    /** What it rests at the end of. */
    rests: Rest;
}

export type Rest = 'nothing' | 'holds' | 'blocks';

/** By how much the player goes a step back or on. */
export type Stride = 'move' | 'block' | 'tool' | 'hold';

/** The rows at whose end each block of the program is done. */
const endsBlock = (motion: Motion, row: number): boolean => {
    if (row + 1 >= motion.rows) return true;
    const [here, next] = [placeOf(motion, row), placeOf(motion, row + 1)];
    return here.line !== next.line || here.text !== next.text;
};

/** Where the run is after some time of playing; it ends at its end, and at the end of what it rests at. */
export function played(motion: Motion, from: Moment | null, elapsedSeconds: number, pace: Pace, holds: { row: number }[]): { moment: Moment; ends: boolean } {
    let row = from === null || from.row < 0 ? 0 : from.row;
    let share = from === null || from.row < 0 ? 0 : from.share;
    let left = elapsedSeconds * pace.speed;
    const held = pace.rests === 'holds' ? new Set(holds.map((hold) => hold.row)) : null;
    // A row that is done when playing begins does not hold it again.
    if (share >= 1 && row + 1 < motion.rows) [row, share] = [row + 1, 0];
    for (; row < motion.rows; row++, share = 0) {
        const seconds = (motion.endSeconds[row] ?? 0) - (row > 0 ? (motion.endSeconds[row - 1] ?? 0) : 0);
        const kind = motion.kind[row] ?? 0;
        const lasts = kind === RAPID ? seconds / pace.rapid : kind <= ARC ? seconds / pace.feed : seconds;
        const rest = lasts * (1 - share);
        if (left < rest) return { moment: { row, share: share + left / lasts }, ends: false };
        left -= rest;
        if (held?.has(row) === true || (pace.rests === 'blocks' && endsBlock(motion, row))) return { moment: { row, share: 1 }, ends: true };
    }
    return { moment: { row: motion.rows - 1, share: 1 }, ends: true };
}

/** The moment a step back (-1) or on (1) leads to: the end of the next or the last move, block, tool or hold point. */
export function stepped(motion: Motion, states: StateRow[], from: Moment | null, by: 1 | -1, stride: Stride, holds: { row: number }[]): Moment {
    const at = from?.row ?? -1;
    const last = motion.rows - 1;
    const toolOf = (row: number) => states[motion.state[row] ?? 0]?.tool ?? 0;
    const held = stride === 'hold' ? new Set(holds.map((hold) => hold.row)) : null;
    const stops = (row: number): boolean => {
        switch (stride) {
            case 'move': return (motion.kind[row] ?? 0) <= ARC;
            case 'block': return endsBlock(motion, row);
            case 'tool': return row > 0 && toolOf(row) !== toolOf(row - 1);
            case 'hold': return held?.has(row) ?? false;
        }
    };
    for (let row = at + by; row >= 0 && row <= last; row += by) if (stops(row)) return { row, share: 1 };
    return by > 0 ? { row: last, share: 1 } : { row: Math.min(0, last), share: 0 };
}

