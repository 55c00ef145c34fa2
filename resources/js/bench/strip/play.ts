import { momentAt, secondsAt, type Moment, type Motion } from '../answer';

export const SPEEDS = [1, 5, 20, 100, 200] as const;

/**
 * Where the run is after some time of playing. It ends at the end of the run, and rests at the end of a hold point's move
 * where holds are given.
 */
export function played(motion: Motion, from: Moment | null, elapsedSeconds: number, speed: number, holds: { row: number }[]): { moment: Moment; ends: boolean } {
    const begin = from === null || from.row < 0 ? 0 : secondsAt(motion, from);
    const total = motion.endSeconds[motion.rows - 1] ?? 0;
    const until = begin + elapsedSeconds * speed;
    // The next hold that lies ahead; one that is stood on does not hold again.
    const next = holds.map(({ row }) => ({ row, at: motion.endSeconds[row] ?? 0 })).filter(({ at }) => at > begin + 1e-6).sort((a, b) => a.at - b.at)[0];
    if (next !== undefined && until >= next.at) return { moment: { row: next.row, share: 1 }, ends: true };
    return until >= total ? { moment: { row: motion.rows - 1, share: 1 }, ends: true } : { moment: momentAt(motion, until), ends: false };
}
